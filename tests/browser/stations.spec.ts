import { randomUUID } from 'node:crypto';
import { bed, cell, openCopy, saved, station, storedQuestion, tag, typed } from './bench';
import { accessible, centre, DEMO, expect, test } from './support';

test('Measures: what does not fit is seen and made to fit; items as wide as the zone', async ({ page }) => {
  const id = await openCopy(page);
  await typed(cell(page, 'height of Stands drying'), '70');
  await bed(page, 'Stands drying').click({ position: { x: 200, y: 20 } });
  await expect(page.getByText('needs 4 · room for 2')).toBeVisible();
  await page.getByRole('button', { name: 'Make it hold them' }).click();
  await expect(page.getByText(/needs 4 · room for [4-9]/)).toBeVisible();
  await page.getByRole('button', { name: 'Make its items as wide as it is' }).click();
  await saved(page);
  const question = await storedQuestion(page, id);
  expect(
    question.items.filter(({ id: item }) => question.key[0]?.belongs?.includes(item)).map(({ size }) => size.w),
  ).toEqual([396, 396, 396, 396]);
});

test('Key: cells are painted, needs and values set, the rest belongs nowhere; ghosts and the model answer stand on the scene', async ({
  page,
}) => {
  const id = await openCopy(page);
  await station(page, /^Key/).click();
  // A pull down a column of empty cells.
  const from = await centre(page.getByRole('checkbox', { name: 'Barley belongs in Must stay moist' }));
  const to = await centre(page.getByRole('checkbox', { name: 'Poppy belongs in Must stay moist' }));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await page.mouse.up();
  const either = page.getByRole('heading', { name: 'Barley, Poppy in Stands drying or Must stay moist' });
  await expect(either).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(either).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^needs/ })).toContainText('all 3');

  await tag(page, 'Barley').click();
  await expect(page.locator('.bench-ghost')).toHaveText(['Barley']);
  await typed(cell(page, 'Value of the item'), '2.5');
  await page.getByLabel('model answer on the scene').check();
  await expect(page.locator('.bench-ghost')).toHaveCount(7);
  await page.getByLabel('model answer on the scene').uncheck();

  await page.getByRole('columnheader', { name: 'Stands drying' }).getByRole('button').click();
  await page.getByRole('radio', { name: 'exactly' }).check({ force: true });
  await typed(cell(page, 'Exactly how many'), '3');
  await expect(page.getByRole('row', { name: /^needs/ })).toContainText('3');
  await page.getByRole('radio', { name: 'all in order' }).check({ force: true });
  await page.getByRole('button', { name: 'Onion: earlier' }).click();
  await saved(page);
  expect((await storedQuestion(page, id)).key[0]).toMatchObject({
    sequence: true,
    belongs: ['barley', 'poppy', 'onion', 'field-pea'],
  });
  expect((await storedQuestion(page, id)).items[0]?.value).toBe(2.5);

  await tag(page, 'Acorn').click();
  await page.getByRole('button', { name: 'All but the selected do' }).click();
  await saved(page);
  expect((await storedQuestion(page, id)).key.map(({ zone, belongs }) => [zone, belongs])).toEqual([
    ['moist', ['acorn']],
    ['dry', []],
  ]);
  await accessible(page);
});

test('Behaviour: the threshold is seen on the scene, a lid, what may be moved again, and how it is judged', async ({
  page,
}) => {
  const id = await openCopy(page);
  await station(page, /^Behaviour/).click();
  await bed(page, 'Must stay moist').click({ position: { x: 200, y: 150 } });
  const ghost = page.locator('[data-ghost="reach"]');
  await expect(ghost).toBeVisible();
  const before = (await ghost.boundingBox())?.x ?? 0;
  const slider = page.getByLabel('Per cent of the item over the zone, by a slider');
  await slider.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await ghost.boundingBox())?.x ?? 0).toBeGreaterThan(before + 5);
  await page.getByRole('radio', { name: 'covers what is inside' }).check({ force: true });
  await typed(cell(page, 'Words on the lid'), 'Cold store');
  await page.getByRole('radio', { name: 'as each item lands' }).check({ force: true });
  await tag(page, 'Gravel').click();
  await page.getByRole('radio', { name: 'stays', exact: true }).check({ force: true });
  await saved(page);
  const question = await storedQuestion(page, id);
  expect(question.zones[1]).toMatchObject({
    reach: { rule: 'share', share: 0.6 },
    lid: { label: 'Cold store', startsOpen: false },
  });
  expect(question.judging).toBe('onLand');
  expect(question.items.find(({ id: item }) => item === 'gravel')?.again).toBe(false);
});

test('Looks: worn by picking, changed for all who wear them, hard to read said at once', async ({ page }) => {
  const id = await openCopy(page);
  await station(page, /^Behaviour/).click();
  await tag(page, 'Barley').click();
  await tag(page, 'Poppy').click({ modifiers: ['Shift'] });
  await page.getByLabel('Look of the items').selectOption(' new');
  await expect(page.getByText('worn by 2')).toBeVisible();
  await page
    .getByRole('list', { name: 'States' })
    .getByRole('button', { name: /^at rest/ })
    .click();
  await page.getByRole('button', { name: 'Fill: not set' }).click();
  await page.getByRole('button', { name: 'Fill: brick', exact: true }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByRole('list', { name: 'States' })).toContainText('hard to read');
  await page.getByRole('button', { name: 'Text: not set' }).click();
  await page.getByRole('button', { name: 'Text: sheet', exact: true }).click();
  const ground = (name: string) => tag(page, name).evaluate((element) => getComputedStyle(element).backgroundColor);
  expect(await ground('Barley')).toBe('rgb(162, 58, 38)');
  expect(await ground('Poppy')).toBe('rgb(162, 58, 38)');
  expect(await ground('Acorn')).not.toBe('rgb(162, 58, 38)');
  await page
    .getByRole('list', { name: 'States' })
    .getByRole('button', { name: /^settled/ })
    .click();
  await page.getByRole('radio', { name: 'shrink away' }).check({ force: true });
  await page.getByRole('checkbox', { name: 'Put away when taken' }).check();
  await saved(page);
  expect(Object.values((await storedQuestion(page, id)).looks)).toEqual([
    expect.objectContaining({
      of: 'item',
      putAway: true,
      states: { rest: { fill: 'brick', text: 'sheet' }, settled: { motion: 'shrink' } },
    }),
  ]);
  await accessible(page);
  await page.getByRole('button', { name: 'Delete the look' }).click();
  expect(await ground('Barley')).not.toBe('rgb(162, 58, 38)');
});

test('Words & marks: feedback by the cell, hints, buttons, and what five typical answers earn', async ({ page }) => {
  const id = await openCopy(page);
  await station(page, /^Words/).click();
  const typical = page.locator('[data-typical]');
  await expect(typical.getByRole('row', { name: /puts everything where it belongs/ })).toContainText('7 of 7');
  await typed(cell(page, 'What one costs, beside its place, that is needed elsewhere, in parts of a right one'), '1');
  await expect(typical.getByRole('row', { name: /in a wrong zone/ })).toContainText('5 of 7');
  await page.getByRole('textbox', { name: 'Feedback: all right' }).fill('Every one of them keeps.');
  await page.getByText('Feedback where it happens').click();
  await page.getByRole('button', { name: /^Gravel in Stands drying, wrong/ }).click();
  await page.getByRole('textbox', { name: 'What is said of Gravel in Stands drying' }).fill('Gravel is no seed.');
  await page.getByRole('button', { name: 'Add a hint' }).click();
  await page.getByRole('textbox', { name: 'Hint 3' }).fill('Think of water.');
  // What leaving the field changes is there before the next press: it may move what is pressed.
  await page.getByRole('textbox', { name: 'Hint 3' }).blur();
  await saved(page);
  await page.getByText('What learners see').click();
  await page.getByRole('radio', { name: 'after every check' }).check({ force: true });
  await page.getByText('Words on the buttons').click();
  await typed(cell(page, 'Words on the button: Check'), 'Store them');
  await saved(page);
  const question = await storedQuestion(page, id);
  const words = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
  expect(question.feedback.right).toMatchObject(words('Every one of them keeps.'));
  expect(question.key[0]?.says?.items).toMatchObject({ gravel: words('Gravel is no seed.') });
  expect(question.hints[2]).toMatchObject(words('Think of water.'));
  expect(question.show.modelAnswer).toBe('always');
  expect(question.buttons.check).toBe('Store them');
  await accessible(page);
});

test('words that are there already stand in their fields, and looking at them changes nothing', async ({ page }) => {
  await openCopy(page, DEMO.bean);
  await station(page, /^Words/).click();
  await expect(page.getByRole('textbox', { name: 'Feedback: all right' })).toHaveText('Every part has its name.');
  await page.getByRole('textbox', { name: 'Feedback: all right' }).click();
  await page.getByRole('textbox', { name: 'Hint 1' }).click();
  await page.getByRole('textbox', { name: 'Prompt' }).click();
  await page.locator('[data-bench-scene]').focus();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('Proof mends what it finds, in one step that can be taken back', async ({ page }) => {
  await openCopy(page);
  await typed(cell(page, 'height of Stands drying'), '80');
  await station(page, /^Proof/).click();
  await expect(station(page, /^Lay out/)).toHaveAccessibleName('Lay out 1 finding');
  await page.getByRole('button', { name: 'Make the zone hold them' }).click();
  await expect(page.getByText('Nothing is in the way.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Make the zone hold them' })).toBeVisible();
});

test('Rehearse plays the question as a learner has it, filled in at a press, at three widths, and records nothing', async ({
  page,
}) => {
  const id = await openCopy(page);
  const moves: string[] = [];
  page.on('request', (request) => request.url().includes('/moves') && moves.push(request.url()));
  await station(page, /^Words/).click();
  await page.getByRole('textbox', { name: 'Feedback: all right' }).fill('Every one of them keeps.');
  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  const play = page.getByRole('dialog', { name: 'Rehearse' });
  await play.getByRole('button', { name: 'All but one' }).click();
  await play.getByRole('button', { name: 'Check' }).click();
  await expect(play.getByText('Mark 6 of 7')).toBeVisible();
  await play.getByRole('button', { name: 'All right' }).click();
  await play.getByRole('button', { name: 'Check' }).click();
  await expect(play.getByText('All of it is right.')).toBeVisible();
  await expect(play.getByText('Every one of them keeps.')).toBeVisible();
  await play.getByRole('button', { name: 'Start over' }).first().click();
  await play.getByRole('button', { name: '390' }).click();
  await expect.poll(async () => (await play.locator('.rehearse-page').boundingBox())?.width).toBe(390);
  await play.getByRole('button', { name: 'keyboard' }).click();
  await expect(play.locator('.movable').first()).toBeFocused();
  await play.getByRole('button', { name: 'A random guess' }).click();
  await play.getByRole('button', { name: 'All in one zone' }).click();
  await accessible(page);
  const spot = play.getByRole('button', { name: /^Back to the spot: / });
  const name = (await spot.textContent())?.replace(/^.*: /, '') ?? '';
  await spot.click();
  await expect(play).toBeHidden();
  await expect(tag(page, name)).toHaveAttribute('aria-pressed', 'true');
  expect(moves).toEqual([]);
  void id;
});

test('versions are looked at, compared and brought back', async ({ page }) => {
  const id = await openCopy(page);
  await typed(cell(page, 'Name of Must stay moist'), 'Moist');
  await saved(page);
  await page.getByRole('button', { name: 'Versions' }).click();
  const dialog = page.getByRole('dialog', { name: 'Versions' });
  await dialog.getByRole('button', { name: /as it was made/ }).click();
  await expect(dialog.getByRole('list', { name: 'Differences' })).toHaveText('Zone Must stay moist: name');
  await expect(dialog.locator('.bed-title')).toHaveText(['Stands drying', 'Must stay moist']);
  await accessible(page);
  await dialog.getByRole('button', { name: 'Bring it back' }).click();
  await expect(cell(page, 'Name of Must stay moist')).toBeVisible();
  await saved(page);
  expect((await storedQuestion(page, id)).zones[1]?.label).toBe('Must stay moist');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'Name of Moist')).toBeVisible();
  expect((await page.request.get(`/api/questions/${randomUUID()}/versions`)).status()).toBe(404);
});
