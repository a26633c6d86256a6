import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { accessible, call, DEMO, expect, open, signIn, test } from './support';

const RELEASE = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0202';
/** The pages of a teacher. */
const PAGES = [
  ...['/', '/vault', '/sets', `/sets/${DEMO.weekSet}`, `/sets/${DEMO.weekSet}/rehearse`, '/lists', '/records'],
  ...['', '/calendar', '/learners', '/gradebook', '/settings'].map((page) => `/courses/${DEMO.course}${page}`),
  ...['results', 'live', 'editions', 'settings'].map((page) => `/releases/${RELEASE}/${page}`),
  ...['/courses', '/account', `/bench/${DEMO.drying}`],
];

/** CSS pixels; half a pixel of a rounded width is nothing to scroll. */
const WIDEST = 391;
const widthOf = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth);

test('on a phone held upright no page of a teacher is wider than the window', async ({ page, browser }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'odile');
  const shelf = { id: randomUUID(), title: `A shelf with a name that is ${'very '.repeat(10)}long`, parentId: null };
  expect((await call(page.context(), 'POST', '/api/shelves', shelf)).status).toBe(200);
  for (const url of PAGES) {
    await open(page, url);
    // A list becomes cards as soon as it knows how wide the window is.
    await expect.poll(() => widthOf(page), { message: url }).toBeLessThanOrEqual(WIDEST);
  }

  // Nor as the server draws it, before any script ran.
  const drawn = await browser.newContext({
    viewport: { width: 390, height: 844 },
    javaScriptEnabled: false,
    storageState: await page.context().storageState(),
  });
  const still = await drawn.newPage();
  const wider: string[] = [];
  for (const url of PAGES) {
    await still.goto(url);
    const width = await widthOf(still);
    if (width > WIDEST) wider.push(`${url} without scripts: ${width}`);
  }
  expect(wider).toEqual([]);
  await drawn.close();
});

test('on a phone the navigation folds, the Vault has cards, and the Bench says what it needs', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await signIn(page, 'odile');
  await open(page, '/vault');
  const menu = page.locator('[data-menu]');
  await expect(page.getByRole('link', { name: 'Stock lists' })).toBeHidden();
  await menu.locator('summary').click();
  await expect(page.getByRole('link', { name: 'Stock lists' })).toBeVisible();
  await accessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: 'Stock lists' })).toBeHidden();
  await expect(menu.locator('summary')).toBeFocused();
  await expect(page.getByRole('table')).toBeHidden();

  await open(page, `/bench/${DEMO.drying}`);
  await expect(page.getByText('The scene and the Ledger need a wider window.')).toBeVisible();
  await expect(page.locator('[data-bench-scene]')).toBeHidden();
  for (const station of ['Key', 'Words & marks', 'Proof']) {
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('button', { name: station }).click();
    await expect(page.getByRole('complementary').getByRole('heading', { name: station })).toBeVisible();
  }
  await accessible(page);
});
