import { randomUUID } from 'node:crypto';
import { press } from './player';
import { accessible, call, DEMO, expect, open, signIn, test } from './support';

// What two people change at the same time, each on a page of their own.

test('two teachers change a course: what does not collide is merged, what does is asked for, and removing says what it does', async ({
  page,
  browser,
}) => {
  test.slow();
  await signIn(page, 'odile');
  const course = randomUUID();
  expect((await call(page.context(), 'POST', '/api/courses', { id: course, title: 'Together' })).status).toBe(200);
  expect(
    (await call(page.context(), 'PUT', `/api/courses/${course}/teachers`, { username: 'tamsin', teaches: true }))
      .status,
  ).toBe(200);
  const categories = [
    { id: randomUUID(), title: 'Exercises', weight: 1 },
    { id: randomUUID(), title: 'Tests', weight: 3 },
  ];
  expect((await call(page.context(), 'PUT', `/api/courses/${course}/categories`, { from: 1, categories })).status).toBe(
    200,
  );
  const hers = await (await browser.newContext()).newPage();
  await signIn(hers, 'tamsin');
  await open(hers, `/courses/${course}/settings`);
  await open(page, `/courses/${course}/settings`);

  const weight = (of: typeof page, name: string) => of.getByLabel(`Weight of ${name}`);
  await weight(page, 'Exercises').fill('2');
  await page.keyboard.press('Enter');
  await press(page, 'Add a category');
  await expect(page.getByLabel('Name of category 3')).toBeVisible();
  // Her page is older: her change is merged with those, and nothing of them is lost.
  await weight(hers, 'Tests').fill('5');
  await hers.keyboard.press('Enter');
  await expect(hers.getByText('Somebody else changed this meanwhile')).toBeVisible();
  await expect(hers.getByLabel('Name of category 3')).toBeVisible();
  await expect(weight(hers, 'Exercises')).toHaveValue('2');

  // The browser itself writes a line for an answer of 409; it is the only one this test expects.
  page.removeAllListeners('console');
  // Both change the same weight: it is asked whose it is to be.
  await weight(page, 'Tests').fill('7');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Yours: 7')).toBeVisible();
  await expect(dialog.getByText('Theirs: 5')).toBeVisible();
  await accessible(page);
  await dialog.getByLabel('Theirs: 5').check();
  await dialog.getByRole('button', { name: 'Save this' }).click();
  await expect(weight(page, 'Tests')).toHaveValue('5');

  await page.reload();
  await expect(weight(page, 'Tests')).toHaveValue('5');
  await press(page, 'Remove Tests');
  await expect(page.getByRole('dialog')).toContainText('No release counts in it.');
  await accessible(page);
  await page.getByRole('dialog').getByRole('button', { name: 'Remove it' }).click();
  await expect(weight(page, 'Tests')).toHaveCount(0);
  await press(page, 'Undo');
  await expect(weight(page, 'Tests')).toHaveValue('5');
  await expect(page.getByText('undid a removal')).toBeVisible();
});

test('the settings of a release in two windows: neither undoes the other', async ({ page, browser }) => {
  await signIn(page, 'odile');
  const id = randomUUID();
  expect(
    (
      await call(page.context(), 'POST', '/api/releases', {
        id,
        courseId: DEMO.course,
        questionId: DEMO.drying,
        revision: 1,
      })
    ).status,
  ).toBe(200);
  await expect
    .poll(async () => (await call(page.context(), 'GET', `/api/releases/${id}/settings`)).status, { timeout: 30_000 })
    .toBe(200);
  const other = await (await browser.newContext({ storageState: await page.context().storageState() })).newPage();
  await open(page, `/releases/${id}/settings`);
  await open(other, `/releases/${id}/settings`);
  await page.getByLabel('Sittings', { exact: false }).first().fill('5');
  await press(page, 'Save');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await other.getByLabel('Title', { exact: true }).fill('Another title');
  await press(other, 'Save');
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();
  await other.reload();
  await expect(other.getByLabel('Title', { exact: true })).toHaveValue('Another title');
  await expect(other.getByLabel('Sittings', { exact: false }).first()).toHaveValue('5');
});
