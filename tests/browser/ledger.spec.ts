import { cell, openCopy, saved, storedQuestion, tag, typed } from './bench';
import { accessible, expect, test } from './support';

test('the Ledger calculates, fills down, sorts and renames many; its selection and the scene’s are one', async ({
  page,
}) => {
  const id = await openCopy(page);
  await typed(cell(page, 'width of Must stay moist'), '/2');
  await expect(cell(page, 'width of Must stay moist')).toHaveValue('218');
  await typed(cell(page, 'x of Must stay moist'), '+12');
  await expect(cell(page, 'x of Must stay moist')).toHaveValue('507');
  await typed(cell(page, 'copies of Barley'), '*3');
  await expect(cell(page, 'copies of Barley')).toHaveValue('3');

  // A row's heading selects on the scene; Shift selects what is between; the value of the topmost goes to the others.
  await page.getByRole('separator', { name: 'Height of the Ledger' }).focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp');
  const row = (name: string) => page.getByRole('rowheader', { name: new RegExp(name) }).getByRole('button');
  await row('Barley').click();
  await expect(tag(page, 'Barley')).toHaveAttribute('aria-pressed', 'true');
  await row('Chestnut').click({ modifiers: ['Shift'] });
  await expect(tag(page, 'Poppy')).toHaveAttribute('aria-pressed', 'true');
  await cell(page, 'family of Barley').fill('seed');
  await cell(page, 'family of Barley').press('Enter');
  await cell(page, 'family of Barley').focus();
  await page.getByRole('button', { name: 'Fill down: family' }).click();
  await saved(page);
  expect((await storedQuestion(page, id)).items.map(({ family }) => family).slice(0, 5)).toEqual([
    'seed',
    'seed',
    'seed',
    'seed',
    null,
  ]);

  await page.getByRole('button', { name: 'Rename…' }).click();
  await page.getByLabel('Common beginning of the names').fill('Sachet ');
  await page.getByLabel('Counted from').fill('07');
  await page.getByRole('button', { name: 'Rename', exact: true }).click();
  await saved(page);
  expect((await storedQuestion(page, id)).items.map(({ label }) => label).slice(0, 5)).toEqual([
    'Sachet 07',
    'Sachet 08',
    'Sachet 09',
    'Sachet 10',
    'Field pea',
  ]);
  await page.getByRole('button', { name: 'Undo' }).click();

  await page.getByRole('columnheader', { name: 'name' }).getByRole('button').click();
  const names = () =>
    page.locator('[data-cell$=" 0"]').evaluateAll((cells) => cells.map((cell) => (cell as HTMLInputElement).value));
  await expect.poll(names).toEqual([...(await names())].sort((a, b) => a.localeCompare(b)));
  await accessible(page);
});

test('a block goes out to a spreadsheet and comes back in, as one step', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await openCopy(page);
  const row = (name: string) => page.getByRole('rowheader', { name: new RegExp(name) }).getByRole('button');
  await row('Stands drying').click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ControlOrMeta+c');
  const text = await page.evaluate(() => navigator.clipboard.readText());
  expect(text.split('\n').map((line) => line.split('\t').slice(0, 5).join(' | '))).toEqual([
    'name | x | y | width | height',
    'Stands drying | 29 | 42 | 436 | 321',
    'Must stay moist | 495 | 42 | 436 | 321',
  ]);
  await page.evaluate(() => navigator.clipboard.writeText('Dry\t40\t50\t400\nMoist\t500\t50\t-3\n'));
  await cell(page, 'Name of Stands drying').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(page.getByText('Moist, width: At least 1')).toBeVisible();
  await expect(cell(page, 'Name of Stands drying')).toHaveValue('Stands drying');
  await page.evaluate(() => navigator.clipboard.writeText('Dry\t40\t50\t400\nMoist\t500\t50\t420\n'));
  await cell(page, 'Name of Stands drying').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(cell(page, 'width of Moist')).toHaveValue('420');
  await saved(page);
  expect(
    (await storedQuestion(page, id)).zones.map(({ label, shape }) => [label, shape.type === 'rect' && shape.w]),
  ).toEqual([
    ['Dry', 400],
    ['Moist', 420],
  ]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 'width of Stands drying')).toHaveValue('436');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});
