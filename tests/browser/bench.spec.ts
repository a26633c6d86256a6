import { bed, cell, openCopy, openLedger, saved } from './bench';
import { accessible, call, centre, dragTo, expect, open, test } from './support';

test('zones and items are moved, resized, typed, renamed and deleted; undo takes each back', async ({ page }) => {
  await openCopy(page);
  // Moved by pulling: snaps back onto the other zone's top edge when let go near it.
  const zone = bed(page, 'Must stay moist');
  const at = await centre(zone);
  await dragTo(page, zone, { x: at.x - 30, y: at.y + 3 });
  await expect(cell(page, 'y of Must stay moist')).toHaveValue('42');
  await expect(cell(page, 'x of Must stay moist')).not.toHaveValue('495');
  // Resized by its lower handle.
  await dragTo(page, page.locator('.moveable-control.moveable-s'), { x: at.x, y: at.y + 60 });
  await expect(cell(page, 'height of Must stay moist')).not.toHaveValue('321');
  // Typed in the Ledger; what is no number is not taken.
  await cell(page, 'width of Must stay moist').fill('300');
  await cell(page, 'width of Must stay moist').press('Enter');
  await expect(cell(page, 'width of Must stay moist')).toHaveValue('300');
  await cell(page, 'width of Must stay moist').fill('wide');
  await expect(cell(page, 'width of Must stay moist')).toHaveAttribute('aria-invalid', 'true');
  await cell(page, 'width of Must stay moist').press('Escape');
  await expect(cell(page, 'width of Must stay moist')).toHaveValue('300');
  // Nudged with the arrow keys while the scene has the focus.
  await bed(page, 'Stands drying').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(cell(page, 'x of Stands drying')).toHaveValue('30');
  await expect(cell(page, 'y of Stands drying')).toHaveValue('52');
  // Deleted, with its part of the key; and all of it taken back.
  await page.getByRole('button', { name: 'Item Acorn' }).click();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: 'Item Acorn' })).toHaveCount(0);
  await saved(page);
  const undo = page.getByRole('button', { name: 'Undo' });
  while (await undo.isEnabled()) await undo.click();
  await expect(cell(page, 'x of Must stay moist')).toHaveValue('495');
  await expect(cell(page, 'height of Must stay moist')).toHaveValue('321');
  await page.getByRole('button', { name: /^Key/ }).click();
  await expect(page.getByRole('checkbox', { name: 'Acorn belongs in Must stay moist' })).toBeChecked();
  await openLedger(page);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(cell(page, 'x of Must stay moist')).not.toHaveValue('495');
  await saved(page);
  const before = await cell(page, 'x of Must stay moist').inputValue();
  await page.reload();
  await expect(cell(page, 'x of Must stay moist')).toHaveValue(before);
});

test('a press that selects is not a pull: nothing moves when the pointer goes on', async ({ page }) => {
  await openCopy(page);
  await bed(page, 'Must stay moist').click({ position: { x: 100, y: 100 } });
  await page.mouse.move(300, 200, { steps: 5 });
  await expect(cell(page, 'x of Must stay moist')).toHaveValue('495');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('the key grid is walked and pressed with the keyboard', async ({ page }) => {
  await openCopy(page);
  await page.getByRole('button', { name: /^Key/ }).click();
  await page.getByRole('checkbox', { name: 'Barley belongs in Stands drying' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name: 'Poppy belongs in Must stay moist' })).toBeChecked();
  await expect(page.getByRole('heading', { name: 'Poppy in Stands drying or Must stay moist' })).toBeVisible();
  await accessible(page);
});

test('another tab that changed the question meanwhile is not overwritten, and nothing is lost', async ({
  page,
  context,
}) => {
  const id = await openCopy(page);
  const other = await context.newPage();
  await open(other, `/bench/${id}`);
  await other.getByLabel('Title of the question').fill('From the other tab');
  await other.getByLabel('Title of the question').press('Enter');
  await expect(other.getByText(/^saved at/)).toBeVisible();
  await expect
    .poll(
      async () =>
        (await call<{ value: { question: { title: string } } }>(context, 'GET', `/api/questions/${id}`)).body.value
          .question.title,
    )
    .toBe('From the other tab');

  // The browser itself writes a line for an answer of 409; it is the only one this test expects.
  page.removeAllListeners('console');
  await page.getByLabel('Title of the question').fill('From this tab');
  await page.getByLabel('Title of the question').press('Enter');
  await expect(page.getByRole('alert')).toContainText('This question was changed somewhere else meanwhile');
  await expect(page.getByText('not saved')).toBeVisible();
  await expect(page.getByLabel('Title of the question')).toHaveValue('From this tab');
  await page.getByRole('button', { name: 'Save mine as a copy' }).click();
  await page.waitForURL((url) => !url.pathname.endsWith(id));
  await expect(page.getByLabel('Title of the question')).toHaveValue('From this tab (copy)');
});

test('while the line is down changes wait, and go out when it is back', async ({ page, context }) => {
  const id = await openCopy(page);
  page.removeAllListeners('console');
  await context.setOffline(true);
  await page.getByLabel('Title of the question').fill('Typed without a line');
  await page.getByLabel('Title of the question').press('Enter');
  await expect(page.getByText('offline: not saved yet')).toBeVisible();
  await context.setOffline(false);
  await saved(page);
  expect(
    (await call<{ value: { question: { title: string } } }>(context, 'GET', `/api/questions/${id}`)).body.value.question
      .title,
  ).toBe('Typed without a line');
});

test('Proof says what is in the way, and shows where', async ({ page }) => {
  await openCopy(page);
  const proof = page.getByRole('button', { name: /^Proof/ });
  await proof.click();
  await expect(page.getByText('Nothing is in the way.')).toBeVisible();
  await expect(page.getByText('9 items · 2 zones · guessing 14 % · full marks 1 in 19,683')).toBeVisible();
  await expect(page.getByText('can be solved').locator('..')).toContainText('yes');
  await openLedger(page);
  await cell(page, 'height of Stands drying').fill('80');
  await cell(page, 'height of Stands drying').press('Enter');
  await expect(proof).toHaveAccessibleName('Proof 1 finding');
  const finding = page
    .getByRole('listitem')
    .filter({ hasText: '"Stands drying" needs 4, but by its settle rule there is room for 2.' });
  await expect(finding).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Zone Must stay moist' }).click();
  await finding.getByRole('button', { name: 'Show it on the scene' }).click();
  await expect(bed(page, 'Stands drying')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Nothing is in the way.')).toBeVisible();
});

test('Behaviour is set for several zones at once, in one step', async ({ page, context }) => {
  const id = await openCopy(page);
  const stored = async () =>
    (
      await call<{ value: { question: { zones: unknown[]; items: { id: string; copies: unknown }[] } } }>(
        context,
        'GET',
        `/api/questions/${id}`,
      )
    ).body.value.question;
  await page.getByRole('button', { name: 'Behaviour' }).click();
  await expect(page.getByText('Select zones or items')).toBeVisible();
  await bed(page, 'Stands drying').click();
  await bed(page, 'Must stay moist').click({ modifiers: ['Shift'] });
  await expect(page.getByRole('heading', { name: '2 zones' })).toBeVisible();
  await page.getByRole('radio', { name: 'centre' }).check({ force: true });
  await page.getByRole('radio', { name: 'column' }).check({ force: true });
  await cell(page, 'Capacity').fill('5');
  await cell(page, 'Capacity').press('Enter');
  await page.getByRole('radio', { name: 'swap' }).check({ force: true });
  await accessible(page);
  await expect
    .poll(async () => (await stored()).zones)
    .toMatchObject(
      ['Stands drying', 'Must stay moist'].map((label) => ({
        label,
        reach: { rule: 'centre' },
        capacity: 5,
        whenFull: 'swap',
        settle: { rule: 'column', gap: 20 },
      })),
    );
  // One undo takes one setting back from both.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('radio', { name: 'refuse' })).toBeChecked();
  // Where they differ nothing is chosen; items have their own.
  await page.getByRole('button', { name: 'Item Gravel' }).click();
  await bed(page, 'Must stay moist').click();
  await page.getByRole('radio', { name: 'whole' }).check({ force: true });
  await bed(page, 'Stands drying').click({ modifiers: ['Shift'] });
  for (const name of ['touch', 'centre', 'most of it', 'whole', 'pointer'])
    await expect(page.getByRole('radio', { name })).not.toBeChecked();
  await page.getByRole('button', { name: 'Item Gravel' }).click();
  await cell(page, 'How many copies').fill('3');
  await cell(page, 'How many copies').press('Enter');
  await expect.poll(async () => (await stored()).items.find((item) => item.id === 'gravel')?.copies).toBe(3);
});
