import sharp from 'sharp';
import { press } from './player';
import { accessible, DEMO, expect, open, ready, signIn, test } from './support';

test('a set has sections, points and draws; what it comes to and what guessing earns stand above', async ({ page }) => {
  await signIn(page, 'odile');
  await open(page, '/sets');
  await page.getByLabel('New set').fill('Made for a test');
  await press(page, 'Make it');
  await page.waitForURL(/\/sets\/./);
  await ready(page);
  const found = page.getByLabel('Find in titles and words');
  const add = async (title: string) => {
    await found.fill(title);
    await page.getByRole('button', { name: `Add ${title}`, exact: true }).click();
  };
  await add('Parts of a germinating bean');
  await page.getByLabel('Points of Parts of a germinating bean').fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('set-figures')).toContainText('4 points');
  await press(page, 'Begin a section');
  await page.getByLabel('Title of section 2').fill('In the rooms');
  await page.keyboard.press('Enter');
  for (const title of ['Close a jar', 'Weigh out 50 grams', 'What may be dried?']) await add(title);
  await page.getByLabel('Draw from In the rooms').check();
  await expect(page.getByLabel('How many are drawn from In the rooms')).toHaveValue('2');
  await page.getByLabel('Points of each question drawn from In the rooms').fill('1.5');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('set-figures')).toContainText(
    /^7 points · guessing (about )?\d+ % · full marks (about )?1 in [\d,]+$/,
  );
  // From the top of the second section a question goes to the end of the first.
  await page.getByRole('button', { name: 'Move Close a jar up' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Close a jar' }).first()).toContainText('2');
  await expect(page.getByLabel('Points of Close a jar')).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await accessible(page);
  await page.reload();
  await expect(page.getByLabel('Title of section 2')).toHaveValue('In the rooms');
  await expect(page.getByText('of these 2, each for')).toBeVisible();
});

test('a set goes on paper in black and white, with its answers, and each variant draws anew', async ({ page }) => {
  await signIn(page, 'odile');
  await open(page, `/sets/${DEMO.weekSet}`);
  await page.getByRole('link', { name: 'Print' }).click();
  await page.waitForURL(/\/print/);
  const titles = () => page.locator('.paper-question h3').allTextContents();
  const first = await titles();
  expect(first).toHaveLength(6);
  await accessible(page);
  await page.getByRole('link', { name: 'Answers', exact: true }).click();
  expect(await titles()).toEqual(first);
  await expect(page.getByRole('row', { name: 'Stands drying Barley, Poppy, Field pea, Onion' })).toBeVisible();
  await page.getByRole('link', { name: 'Answer sheet' }).click();
  await expect(page.getByRole('row', { name: 'Stands drying' })).toHaveText('Stands drying');
  const others = new Set<string>();
  for (let variant = 2; variant <= 5; variant++) {
    await page.goto(`/sets/${DEMO.weekSet}/print?variant=${variant}`);
    others.add((await titles()).join());
  }
  expect(others.size).toBeGreaterThan(1);

  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print or save as PDF' })).toBeHidden();
  expect((await page.pdf()).subarray(0, 5).toString()).toBe('%PDF-');
  const { data, info } = await sharp(await page.locator('.paper').screenshot())
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  let colour = 0;
  let dark = 0;
  for (let i = 0; i < data.length; i += info.channels) {
    const [r = 0, g = 0, b = 0] = data.subarray(i, i + 3);
    colour = Math.max(colour, Math.max(r, g, b) - Math.min(r, g, b));
    if (r < 60) dark++;
  }
  expect(colour).toBeLessThanOrEqual(2);
  expect(dark).toBeGreaterThan(1000);
});
