import sharp from 'sharp';
import { byMouse, keepSet, press } from './player';
import { accessible, DEMO, dragTo, expect, open, ready, signIn, test } from './support';

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
    /^7 points · about 2 min · guessing (about )?\d+ % · full marks (about )?1 in [\d,]+$/,
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
  const key = /^\d Stands drying [A-Z] Barley, [A-Z] Poppy, [A-Z] Field pea, [A-Z] Onion$/;
  await expect(page.getByRole('row', { name: key })).toBeVisible();
  await page.getByRole('link', { name: 'Answer sheet' }).click();
  await expect(page.locator('.paper-places li', { hasText: 'Stands drying' })).toHaveText(/^\dStands drying$/);
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

test('a set is rehearsed whole as a learner has it, with its draws, and nothing of it is recorded', async ({
  page,
}) => {
  await signIn(page, 'odile');
  const titles = ['Rehearsed one', 'Rehearsed two', 'Rehearsed three', 'Rehearsed four'];
  const set = await keepSet(
    page.context(),
    titles.map((title) => ({ title })),
    { title: 'To rehearse', section: { draw: { count: 2, points: 5 }, shuffled: true } },
  );
  await open(page, `/sets/${set}/rehearse`);
  const title = page.getByRole('heading', { level: 1 });
  await expect(page.getByText('question 1 of 2')).toBeVisible();
  const drawn = async () => {
    const first = await title.textContent();
    await press(page, 'Next question');
    await expect(title).not.toHaveText(first ?? '');
    return `${first}, ${await title.textContent()}`;
  };
  // The same again from the beginning, and others by other draws.
  const one = await drawn();
  await press(page, 'Start over');
  expect(await drawn()).toBe(one);
  const others = new Set<string>();
  for (let draw = 1; draw <= 5; draw++) {
    await press(page, `Another draw than ${draw}`);
    await expect(page.getByText('question 1 of 2')).toBeVisible();
    others.add(await drawn());
  }
  expect(others.size).toBeGreaterThan(1);
  await byMouse(page, 'barley', 'dry');
  await press(page, 'Check');
  await press(page, 'Finish');
  await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText('1.67 of 10 marks')).toBeVisible();
  await expect(page.getByText('This was a rehearsal: nothing is recorded.')).toBeVisible();
  await accessible(page);
  await page.getByRole('link', { name: 'Back to the set' }).first().click();
  await expect(page.getByText('It was not published yet.')).toBeVisible();
});

test('questions and sections are dragged, and stay where they were put', async ({ page }) => {
  await signIn(page, 'odile');
  const set = await keepSet(
    page.context(),
    ['Dragged one', 'Dragged two', 'Dragged three'].map((title) => ({ title })),
    { title: 'To drag', section: { title: 'First' } },
  );
  await open(page, `/sets/${set}`);
  await press(page, 'Begin a section');
  await page.getByLabel('Title of section 2').fill('Second');
  await page.keyboard.press('Enter');
  const rows = page.locator('li:has([data-grip])');
  const order = () => rows.getByRole('link').allTextContents();
  const grip = (name: string) => rows.filter({ hasText: name }).locator('[data-grip]');
  await dragTo(page, grip('Dragged three'), grip('Dragged one'));
  await expect.poll(async () => (await order()).map((title) => title.split(' ')[1])).toEqual(['three', 'one', 'two']);
  // Past the head of the second section it is in that section.
  const heads = page.locator('div:has(> div > [data-grip])');
  await dragTo(page, grip('Dragged one'), heads.nth(1).locator('[data-grip]').first());
  await expect.poll(async () => (await order()).map((title) => title.split(' ')[1])).toEqual(['three', 'two', 'one']);
  await page.getByLabel('Draw from Second').check();
  await expect(page.getByLabel('How many are drawn from Second')).toHaveValue('1');
  await page.getByLabel('Draw from Second').uncheck();
  await dragTo(page, heads.nth(1).locator('[data-grip]').first(), heads.nth(0).locator('[data-grip]').first());
  await expect(page.getByLabel('Title of section 1')).toHaveValue('Second');
  await expect.poll(async () => (await order()).map((title) => title.split(' ')[1])).toEqual(['one', 'three', 'two']);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Title of section 1')).toHaveValue('Second');
  expect((await order()).map((title) => title.split(' ')[1])).toEqual(['one', 'three', 'two']);
});

test('a set is copied, deleted and brought back', async ({ page }) => {
  await signIn(page, 'odile');
  await keepSet(page.context(), [{ title: 'Kept in two sets' }], { title: 'To copy and delete' });
  await open(page, '/sets');
  const row = page.getByRole('row', { name: 'To copy and delete' });
  await expect(row).toContainText('under a minute');
  await press(page, 'Copy To copy and delete');
  await page.waitForURL(/\/sets\/./);
  await expect(page.getByLabel('Title of the set')).toHaveValue('To copy and delete (copy)');
  await open(page, '/sets');
  await page.getByLabel('Find a set by its title').fill('COPY AND DELETE (c');
  await press(page, 'Delete To copy and delete (copy)');
  await expect(page.getByText('No set has “COPY AND DELETE (c” in its title.')).toBeVisible();
  await press(page, 'Bring it back');
  await expect(page.getByRole('link', { name: 'To copy and delete (copy)' })).toBeVisible();
  await press(page, 'Delete To copy and delete (copy)');
  await page.reload();
  await page.getByText('Deleted', { exact: false }).first().click();
  await accessible(page);
  await press(page, 'Bring To copy and delete (copy) back');
  await expect(page.getByRole('row', { name: 'To copy and delete (copy)' })).toBeVisible();
});
