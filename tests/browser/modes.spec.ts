import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { bed, byKeys, byList, byMouse, give, giveSet, press, signedIn, sitDown, tag } from './player';
import { centre, DEMO, expect, intoView, open, pageTimer, test } from './support';

const item = (label: string, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  size: { w: 100, h: 48 },
  ...more,
});
const zone = (label: string, x: number, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  shape: { type: 'rect', x, y: 50, w: 420, h: 300 },
  settle: { rule: 'grid', gap: 10 },
  ...more,
});
const all = (zoneId: string, ...belongs: string[]) => ({ zone: zoneId, belongs, need: { rule: 'all' } });
const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
const TWO = {
  title: 'Two places',
  prompt: say('Put each where it belongs.').text,
  tray: { side: 'bottom', size: 130, order: 'asListed' },
  items: [item('Barley'), item('Acorn'), item('Gravel', { copies: 2 })],
  zones: [zone('Dry', 30, { lid: { label: 'Cover', startsOpen: true } }), zone('Moist', 500)],
  key: [
    { ...all('dry', 'barley'), says: { zone: say('Under eight per cent.'), items: { acorn: say('It dies.') } } },
    all('moist', 'acorn'),
  ],
  fixtures: [{ type: 'text', id: 'note', x: 40, y: 356, w: 400, h: 40, text: say('From the field book').text }],
  hints: [say('Think of grain.')],
  show: { modelAnswer: 'always', runningTotal: true },
  tries: 3,
};

/** No finding of axe at all. */
async function spotless(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' | ')}`)).toEqual([]);
}

for (const [mode, options] of [
  ['light', {}],
  ['dark', { colorScheme: 'dark' }],
  ['forced colours', { forcedColors: 'active' }],
  ['a phone', { viewport: { width: 320, height: 640 }, hasTouch: true, isMobile: true }],
  ['400 %', { viewport: { width: 320, height: 200 } }],
] as const)
  test(`axe finds nothing on any page of a learner's, in ${mode}`, async ({ browser }) => {
    const { page, said } = await sitDown(browser, 'alder', await giveSet(browser, [TWO, TWO], true), options);
    await spotless(page);
    await byKeys(page, 'Acorn', 'Dry');
    await tag(page, 'Barley').last().click();
    await spotless(page);
    await page.keyboard.press('Escape');
    await press(page, 'Check');
    await expect(page.getByText('One is in a wrong place.')).toBeVisible();
    await press(page, 'Hint');
    await expect(page.getByText('Think of grain.')).toBeVisible();
    await spotless(page);
    await press(page, 'Show a model answer');
    await spotless(page);
    await press(page, 'Show my answer');
    await press(page, 'As a list');
    await page.getByLabel('Move Barley', { exact: true }).click();
    await spotless(page);
    await press(page, 'Next question');
    await press(page, 'Finish');
    await spotless(page);
    await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
    await expect(page.getByText('You have finished.')).toBeVisible();
    await spotless(page);
    await open(page, '/sit');
    await spotless(page);
    // Nothing is wider than the screen.
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
    expect(said).toEqual([]);
  });

for (const [mode, options] of [
  ['light', {}],
  ['dark', { colorScheme: 'dark' }],
  ['forced colours', { forcedColors: 'active' }],
] as const) {
  test(`axe finds nothing in the Vault and in a course, in ${mode}`, async ({ browser }) => {
    test.slow();
    const teacher = await signedIn(browser, 'odile', options);
    const page = await teacher.newPage();
    await open(page, '/vault');
    await page.getByRole('navigation', { name: 'Shelves' }).getByRole('button').nth(1).click();
    await spotless(page);
    for (const path of ['', '/learners', '/gradebook', '/settings']) {
      await open(page, `/courses/${DEMO.course}${path}`);
      await spotless(page);
    }
  });

  test(`axe finds nothing at the Bench, in ${mode}`, async ({ browser }) => {
    test.slow();
    const teacher = await signedIn(browser, 'odile', options);
    const page = await teacher.newPage();
    await open(page, `/bench/${DEMO.drying}`);
    for (const station of ['Kind', 'Lay out', 'Key', 'Behaviour', 'Words', 'Proof']) {
      await page
        .getByRole('navigation', { name: 'Stations' })
        .getByRole('button', { name: new RegExp(`^${station}`) })
        .click();
      await spotless(page);
    }
  });
}

test('one can change between the scene and lists at any moment, with the arrangement and what was said of it', async ({
  browser,
}) => {
  const { page } = await sitDown(browser, 'alder', await give(browser, TWO));
  await byMouse(page, 'Acorn', 'Dry');
  await press(page, 'As a list');
  await expect(page.getByRole('region', { name: 'Dry' })).toContainText('Acorn');
  await byList(page, 'Gravel', 'Moist');
  await expect(page.getByRole('region', { name: 'Not placed' })).toContainText('Barley');
  // Whoever moved something finds it where it went.
  await expect(page.locator(':focus')).toHaveAttribute('aria-label', 'Move Gravel');
  await press(page, 'On the scene');
  await expect(tag(page, 'Gravel').first()).toHaveAccessibleName('Gravel, in Moist');
  await press(page, 'Check');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Dry, wrong. It dies.');
  await press(page, 'As a list');
  await expect(page.getByRole('region', { name: 'Dry' })).toContainText('It dies.');
  await expect(page.getByText('From the field book')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'On the scene' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Dry' })).toContainText('wrong');
});

test('on a narrow screen the tray docks at the foot, and an item comes away from under the finger', async ({
  browser,
}) => {
  const { page, context } = await sitDown(browser, 'alder', await give(browser, TWO), {
    viewport: { width: 320, height: 640 },
    hasTouch: true,
    isMobile: true,
  });
  const docked = page.getByRole('region', { name: 'Items to place' });
  await expect(docked.getByRole('button')).toHaveCount(3);
  const size = await tag(page, 'Barley').boundingBox();
  expect(Math.min(size?.width ?? 0, size?.height ?? 0)).toBeGreaterThanOrEqual(43.9);
  await intoView(tag(page, 'Barley'));
  const cdp = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ ...at, id: 1 }] : [] });
  const from = await centre(tag(page, 'Barley'));
  const to = await centre(bed(page, 'Dry'));
  await touch('touchStart', from);
  for (let i = 1; i <= 8; i++)
    await touch('touchMove', { x: from.x + ((to.x - from.x) * i) / 8, y: from.y + ((to.y + 30 - from.y) * i) / 8 });
  const bottom = async () => {
    const held = await page.locator('.in-hand .tag').boundingBox();
    return held ? held.y + held.height : Infinity;
  };
  await expect.poll(bottom).toBeLessThan(to.y + 30);
  await touch('touchEnd');
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry');
  await expect(docked.getByRole('button')).toHaveCount(2);
  // From the keyboard too, and back into the tray.
  await byKeys(page, 'Barley', null);
  await expect(docked.getByRole('button')).toHaveCount(3);
  await expect(page.locator(':focus')).toHaveAccessibleName('Barley, not placed');
});

test('a page that is longer than the screen scrolls while something is dragged to its edge', async ({ browser }) => {
  const { page } = await sitDown(browser, 'alder', await give(browser, TWO), { viewport: { width: 900, height: 420 } });
  await intoView(tag(page, 'Barley'));
  const before = await page.evaluate(() => scrollY);
  expect(before).toBeGreaterThan(0);
  const from = await centre(tag(page, 'Barley'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, 12, { steps: 10 });
  await expect.poll(() => page.evaluate(() => scrollY)).toBeLessThan(before - 40);
  // Away from the edge it stands still again.
  await page.mouse.move(from.x + 60, 200, { steps: 3 });
  const scrolled = () =>
    page.evaluate(
      () =>
        new Promise((resolve) => {
          const from = scrollY;
          setTimeout(() => resolve(scrollY - from), 100);
        }),
    );
  await expect.poll(scrolled).toBe(0);
  // Near an edge the page goes on meanwhile.
  const onto = async () => {
    const place = await centre(bed(page, 'Dry'));
    await page.mouse.move(place.x, place.y, { steps: 3 });
    const now = await centre(bed(page, 'Dry'));
    return Math.abs(now.y - place.y);
  };
  await expect.poll(onto).toBeLessThan(10);
  await page.mouse.up();
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry');
});

test('less motion where the system asks for less, and words that run from right to left', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'alder',
    await give(browser, { ...TWO, title: 'أين توضع البذور؟', items: [item('شعير', { id: 'barley' }), item('Acorn')] }),
    {
      reducedMotion: 'reduce',
    },
  );
  await expect(page.getByRole('heading', { level: 1 })).toHaveCSS('direction', 'rtl');
  await expect(tag(page, 'شعير').locator('.tag-words')).toHaveCSS('direction', 'rtl');
  await expect(tag(page, 'Acorn').locator('.tag-words')).toHaveCSS('direction', 'ltr');
  await byMouse(page, 'شعير', 'Dry');
  const running = await page.evaluate(
    () => document.getAnimations().filter((animation) => Number(animation.effect?.getTiming().duration) > 1).length,
  );
  expect(running).toBe(0);
  await expect(tag(page, 'شعير')).toHaveAccessibleName('شعير, in Dry');
});

test('a screen reader hears what is in hand, where it may go, and what happened and why', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'alder',
    await give(browser, { ...TWO, zones: [zone('Dry', 30, { capacity: 1 }), zone('Moist', 500)] }),
  );
  const heard = page.locator('[aria-live="assertive"]').last();
  await tag(page, 'Acorn').focus();
  await expect(page.locator('#how-to-move')).toContainText('press Space');
  await page.keyboard.press('Space');
  await expect(heard).toHaveText('Acorn is in hand. It may go into Dry or Moist, or back. Choose with the arrow keys.');
  await pageTimer(page);
  await page.keyboard.press('ArrowDown');
  await expect(heard).toHaveText('Over Dry');
  await page.keyboard.press('Enter');
  await expect(heard).toHaveText('Acorn is in Dry.');
  await byKeys(page, 'Barley', 'Dry');
  await expect(heard).toHaveText('Dry is full: Barley went back.');
  await byKeys(page, 'Acorn', null);
  await expect(heard).toHaveText('Acorn is back where it came from.');
});

test('a set is made, ordered and published at its own page', async ({ browser }) => {
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await open(page, '/sets');
  await spotless(page);
  await page.getByLabel('New set').fill('A morning in the drying room');
  await press(page, 'Make it');
  await page.waitForURL(/\/sets\/[0-9a-f-]{36}$/);
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Publish…' })).toBeDisabled();
  await page.getByLabel('Find in titles and words').fill('stand drying');
  await page.getByRole('button', { name: 'Add Which seeds stand drying?', exact: true }).first().click();
  await page.getByLabel('Find in titles and words').fill('weigh out');
  await page.getByRole('button', { name: 'Add Weigh out 50 grams' }).click();
  await page.getByRole('button', { name: 'Move Weigh out 50 grams up' }).click();
  await page.getByLabel('Learners may go back').uncheck();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await spotless(page);
  await page.reload();
  await expect(page.getByRole('region', { name: /^Questions/ }).getByRole('link')).toHaveText([
    'Weigh out 50 grams',
    'Which seeds stand drying?',
  ]);
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await press(page, 'Publish…');
  await page.getByRole('radio', { name: /Tarn Hollow induction/ }).check();
  await page.getByText('When', { exact: true }).click();
  await page.getByLabel('Time for it, in minutes').fill('0');
  await expect(page.getByRole('button', { name: 'Release now' })).toBeDisabled();
  await page.getByLabel('Time for it, in minutes').fill('45');
  await spotless(page);
  await press(page, 'Release now');
  await expect(page.getByRole('heading', { name: 'It is published' })).toBeVisible();
  const { page: learner } = await sitDown(
    browser,
    'alder',
    ((await page.getByRole('link', { name: 'See its results' }).getAttribute('href')) ?? '').split('/')[2] ?? '',
  );
  await expect(learner.getByText('question 1 of 2')).toBeVisible();
  await expect(learner.getByRole('timer')).toHaveText(/^4[45]:\d\d left$/);
});
