import type { Browser, BrowserContext, Locator, Page } from '@playwright/test';
import { fingersOf } from './hands';
import { keepQuestion, press, signedIn } from './player';
import { accessible, call, centre, DEMO, expect, open, pageTimer, settled, test, watch } from './support';

// The board view: a class at one big screen. The demo's releases have a question of each kind.

const SIX = DEMO.release.replace(/0201$/, '0202');
const NINE = DEMO.release.replace(/0201$/, '0203');

async function board(browser: Browser, asked: string, touch = false) {
  const context = await signedIn(browser, 'odile', { viewport: { width: 1280, height: 800 }, hasTouch: touch });
  const page = await context.newPage();
  const { said } = watch(page);
  await open(page, `/board?${asked}`);
  await expect(page.locator('.playing').first()).toBeVisible();
  return { context, page, said };
}

/** A question of the teacher's own on the board; titles hold no other question's words. */
async function ownBoard(browser: Browser, changes: Record<string, unknown> = {}, touch = false) {
  const teacher = await signedIn(browser, 'odile');
  const id = await keepQuestion(teacher, changes);
  await teacher.close();
  return { id, ...(await board(browser, `from=question&id=${id}`, touch)) };
}

const items = (page: Page) => page.locator('.board .movable');
const named = (page: Page, label: string): Locator => page.locator('.board .movable', { hasText: label }).first();
const inZone = (page: Page, label: string, place: string) =>
  expect(named(page, label)).toHaveAccessibleName(new RegExp(`^${label}, in ${place}`));
const to = async (page: Page, label: string, place: string) => {
  await named(page, label).click();
  await page.getByRole('button', { name: `Put ${label} into ${place}` }).click();
};

/** Copies that can be dragged, four at most, and places for them: a scene's zones, or the gaps of a text. */
async function ways(page: Page) {
  const movable = await items(page).evaluateAll((all) =>
    all
      .filter((one) => !one.hasAttribute('data-picked') && one.getAttribute('aria-disabled') !== 'true')
      .map((one) => one.getBoundingClientRect())
      .filter(({ width, top, bottom }) => width > 0 && top >= 0 && bottom <= innerHeight)
      .map(({ x, y, width, height }) => ({ x: x + width / 2, y: y + height / 2 })),
  );
  const places = await page
    .locator('.board [data-zone-index], .board [data-slot]')
    .evaluateAll((all) =>
      all
        .map((one) => one.getBoundingClientRect())
        .map(({ x, y, width, height }) => ({ x: x + width / 2, y: y + height / 2 })),
    );
  const stage = await page.locator('.board .stage, .board .flowing').first().boundingBox();
  const middle = { x: (stage?.x ?? 0) + (stage?.width ?? 0) / 2, y: (stage?.y ?? 0) + (stage?.height ?? 0) / 3 };
  return movable.slice(0, 4).map((from, i) => {
    const place = places[i % Math.max(1, places.length)] ?? middle;
    // No two at one point, and none where it is already.
    return { id: i + 1, from, to: { x: place.x + 12 * i, y: place.y + 9 } };
  });
}

test('four hands at once, each with an item of its own, on a question of each kind', async ({ browser }) => {
  test.slow();
  for (const [release, count] of [
    [SIX, 6],
    [NINE, 9],
  ] as const) {
    const { context, page, said } = await board(browser, `from=release&id=${release}`, true);
    const touch = fingersOf(await context.newCDPSession(page));
    let most = 0;
    for (let at = 1; at <= count; at++) {
      await expect(page.getByRole('button', { name: `Question ${at} of ${count}: all questions` })).toBeVisible();
      await settled(page);
      const hands = await ways(page);
      most = Math.max(most, hands.length);
      // A question whose items are picked or typed has nothing to drag.
      if (hands.length > 0) {
        await touch(
          'touchStart',
          hands.map(({ id, from }) => ({ ...from, id })),
        );
        for (const share of [0.3, 0.6, 0.9, 1])
          await touch(
            'touchMove',
            hands.map(({ id, from, to }) => ({
              id,
              x: from.x + (to.x - from.x) * share,
              y: from.y + (to.y - from.y) * share,
            })),
          );
        await expect(page.locator('.in-hand')).toHaveCount(hands.length);
        // One after another lets go; what the others hold stays in their hands.
        for (let left = hands.length - 1; left >= 0; left--) {
          await touch(
            'touchEnd',
            hands.slice(left, left + 1).map(({ id, to }) => ({ ...to, id })),
          );
          await expect(page.locator('.in-hand')).toHaveCount(left);
        }
        await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
      }
      // Two fingers are two hands, never a zoom.
      expect(await page.evaluate(() => visualViewport?.scale)).toBe(1);
      if (at < count) await press(page, 'Next question');
    }
    expect(most).toBe(4);
    expect(said).toEqual([]);
    await context.close();
  }
});

test('put back with undo, checked, covered, and a model answer one item after another', async ({ browser }) => {
  const { context, page, said } = await ownBoard(browser, { afterMiss: 'leave' });
  await accessible(page);
  await to(page, 'barley', 'dry');
  await to(page, 'acorn', 'dry');
  await inZone(page, 'acorn', 'dry');
  await press(page, 'Put everything back');
  await expect(named(page, 'barley')).toHaveAccessibleName(/not placed/);
  await press(page, 'Undo');
  await inZone(page, 'barley', 'dry');
  await press(page, 'Undo');
  await expect(named(page, 'acorn')).toHaveAccessibleName(/not placed/);
  await to(page, 'acorn', 'dry');

  // Covered, a check says nothing; uncovered, what it came to is there.
  await press(page, 'Cover');
  await press(page, 'Check');
  await expect(page.getByRole('button', { name: 'Check', exact: true })).toBeEnabled();
  await expect(page.locator('.movable[data-state="wrong"]')).toHaveCount(0);
  await press(page, 'Uncover');
  await expect(page.locator('.movable[data-state="wrong"]')).toHaveCount(1);
  await expect(page.locator('.movable[data-state="right"]')).toHaveCount(1);
  await expect(page.getByText(/Mark \d/)).toHaveCount(0);

  await press(page, 'Put everything back');
  const step = page.getByRole('button', { name: /Model answer|Next item|Our own again/ });
  await expect(step).toBeEnabled();
  const placed = page.locator('.movable').filter({ has: page.locator('.tag-words') });
  let before = -1;
  for (let i = 0; (await step.textContent())?.startsWith('Our own') !== true && i < 12; i++) {
    await step.click();
    const now = await placed.evaluateAll(
      (all) => all.filter((one) => / in /.test(one.getAttribute('aria-label') ?? '')).length,
    );
    expect(now).toBeGreaterThan(before);
    before = now;
  }
  expect(before).toBeGreaterThan(1);
  await step.click();
  await expect(named(page, 'barley')).toHaveAccessibleName(/not placed/);
  expect(said).toEqual([]);
  await context.close();
});

async function useNames(page: Page, course: string) {
  await press(page, 'Call up');
  const turns = page.getByRole('region', { name: 'Turns' });
  await turns.getByRole('button', { name: new RegExp(`^${course}`) }).click();
  await turns.getByRole('button', { name: 'Everybody' }).click();
  return turns;
}

test('turns: nobody twice before everybody once, the absent passed over, the same after a reload', async ({
  browser,
}) => {
  const { context, page, said } = await ownBoard(browser);
  const turns = await useNames(page, 'Viability testing, autumn');
  await accessible(page);
  const boxes = turns.getByRole('listitem').getByRole('checkbox');
  const all = await boxes.count();
  expect(all).toBeGreaterThan(5);
  for (let i = 5; i < all; i++) await boxes.nth(i).uncheck();
  await press(page, 'Close');
  const stack = page.locator('.board-stack-names');
  const seen: string[] = [];
  for (let i = 0; i < 3; i++) {
    await press(page, 'Call up');
    await expect(page.getByRole('button', { name: `Turns: ${i + 1} of 5 have been` })).toBeVisible();
    seen.push((await stack.textContent()) ?? '');
  }
  await page.reload();
  await expect(stack).toHaveText(seen[2] as string);
  for (let i = 3; i < 5; i++) {
    await press(page, 'Call up');
    await expect(stack).not.toHaveText(seen.at(-1) as string);
    seen.push((await stack.textContent()) ?? '');
  }
  expect(new Set(seen).size).toBe(5);
  await expect(page.getByRole('button', { name: 'Turns: all 5 have been' })).toBeVisible();
  await press(page, 'Call up');
  await expect(page.getByText('Everybody has come up once. Round 2 begins.')).toBeVisible();
  // Who cannot come now goes back, without a turn.
  await press(page, 'Turns: 1 of 5 have been');
  await press(page, 'Not now');
  await expect(stack).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Turns: 5 are here' })).toBeFocused();
  expect(said).toEqual([]);
  await context.close();
});

test('teams count what comes right; in a race each has the question on its own half', async ({ browser }) => {
  const { context, page, said } = await ownBoard(browser, { afterMiss: 'leave' });
  await press(page, 'More');
  await press(page, 'Teams…');
  await press(page, '2 teams');
  await page.keyboard.press('Escape');
  const tally = (team: string) => page.getByRole('button', { name: new RegExp(`^Team ${team}:`) });
  await to(page, 'barley', 'dry');
  await press(page, 'Check');
  await expect(tally('Circle')).toHaveAccessibleName('Team Circle: 1');
  await tally('Square').click();
  await to(page, 'poppy', 'dry');
  await press(page, 'Check');
  await expect(tally('Square')).toHaveAccessibleName('Team Square: 1');
  await expect(tally('Circle')).toHaveAccessibleName('Team Circle: 1');

  await press(page, 'More');
  await press(page, 'Teams…');
  await page.getByLabel(/^A race/).check();
  await page.keyboard.press('Escape');
  const half = (n: number) => page.locator('.board-half').nth(n);
  await expect(half(1).locator('.movable').first()).toBeVisible();
  // The same copy on both halves: what is done on one half is not done on the other.
  await half(1).locator('.movable', { hasText: 'acorn' }).click();
  await half(1).getByRole('button', { name: 'Put acorn into moist' }).click();
  await expect(half(1).locator('.movable', { hasText: 'acorn' })).toHaveAccessibleName('acorn, in moist');
  await expect(half(0).locator('.movable', { hasText: 'acorn' })).toHaveAccessibleName(/not placed/);
  await accessible(page);
  expect(said).toEqual([]);
  await context.close();
});

test('controls at each edge and out of sight, a clock, and all of it without the line', async ({ browser }) => {
  const { context, page, said } = await board(browser, `from=release&id=${SIX}`);
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  for (const [words, edge] of [
    ['at the top', 'top'],
    ['on the left', 'left'],
    ['on the right', 'right'],
    ['at the foot', 'bottom'],
  ] as const) {
    if (!(await page.getByRole('region', { name: 'More' }).isVisible())) await press(page, 'More');
    await page.getByLabel(words).check();
    await expect(page.locator('.board')).toHaveAttribute('data-edge', edge);
    await page.keyboard.press('Escape');
    const controls = await page.getByRole('navigation', { name: 'Board' }).boundingBox();
    if (edge === 'top') expect(controls?.y).toBe(0);
    if (edge === 'left') expect(controls?.x).toBe(0);
    if (edge === 'bottom') expect((controls?.y ?? 0) + (controls?.height ?? 0)).toBeCloseTo(800, 0);
    if (edge === 'right') expect((controls?.x ?? 0) + (controls?.width ?? 0)).toBeCloseTo(1280, 0);
  }
  await press(page, 'More');
  await press(page, 'Put the controls out of sight');
  await expect(page.getByRole('navigation', { name: 'Board' })).toHaveCount(0);
  await press(page, 'Controls');
  await press(page, 'More');
  await press(page, 'Clock…');
  await page.getByLabel('down from 0:30').check();
  await page.getByRole('region', { name: 'Clock' }).getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('timer')).toHaveText(/0:2\d/);
  await page.keyboard.press('Escape');

  // Every question of the release, with its pictures, is played with the line down.
  for (let at = 2; at <= 6; at++) {
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('button', { name: `Question ${at} of 6: all questions` })).toBeVisible();
    const pictures = page.locator('.board img.scene-picture');
    for (const picture of await pictures.all())
      await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0);
  }
  await context.setOffline(false);
  expect(said).toEqual([]);
  await context.close();
});

test('nothing is counted, unless it is saved as a record of the class, which Retrace plays back', async ({
  browser,
}) => {
  const { context, page, said } = await ownBoard(browser, { title: 'Seeds at the board' });
  const title = `${(await page.getByRole('heading', { level: 1 }).textContent()) ?? ''}`;
  expect(title).toMatch(/^Seeds at the board/);
  await useNames(page, 'Viability testing, autumn');
  await page.keyboard.press('Escape');
  await press(page, 'Call up');
  const who = (await page.locator('.board-stack-names').textContent()) ?? '';
  await to(page, 'barley', 'dry');
  await press(page, 'Put everything back');
  await press(page, 'Call up');
  await expect(page.locator('.board-stack-names')).not.toHaveText(who);
  await to(page, 'acorn', 'moist');
  await press(page, 'Check');
  expect((await call<{ value: unknown[] }>(context, 'GET', '/api/board/records')).status).toBe(200);
  await press(page, 'More');
  await press(page, 'Save as a record of this class…');
  const dialog = page.getByRole('dialog', { name: 'Save as a record of this class' });
  await accessible(page);
  await dialog.getByRole('button', { name: 'Save it' }).click();
  const link = dialog.getByRole('link', { name: 'Play it back' });
  const address = (await link.getAttribute('href')) ?? '';
  await open(page, address);
  await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
  const first = page.getByRole('button', { name: `1. ${title}, ${who} 1` });
  await expect(first).toBeVisible();
  await expect(page.getByRole('button', { name: `2. ${title}` })).toBeVisible();
  await page.getByRole('slider', { name: 'Move' }).press('End');
  await expect(page.getByText(/barley.*dry/).first()).toBeVisible();
  await accessible(page);
  await open(page, '/records');
  await page
    .getByRole('button', { name: `Delete ${title}` })
    .first()
    .click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await pageTimer(page);
  await open(page, address).catch(() => undefined);
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(title);
  expect(said.filter((line) => !line.includes('404'))).toEqual([]);
  await context.close();
});

test('it opens from the Vault, a set, a release and a unit, and for nobody who may not see its key', async ({
  browser,
}) => {
  const teacher: BrowserContext = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  for (const [path, link] of [
    ['/vault', / on the board$/],
    [`/sets/${DEMO.weekSet}`, 'On the board'],
    [`/releases/${SIX}/results`, 'On the board'],
    [`/courses/${DEMO.course}`, / on the board$/],
  ] as const) {
    await open(page, path);
    const [opened] = await Promise.all([
      teacher.waitForEvent('page'),
      page.getByRole('link', { name: link }).first().click(),
    ]);
    await expect(opened.getByRole('navigation', { name: 'Board' })).toBeVisible();
    await centre(opened.locator('.playing').first());
    await opened.close();
  }
  await teacher.close();
  const learner = await signedIn(browser, 'wren');
  for (const asked of [`from=release&id=${SIX}`, `from=set&id=${DEMO.weekSet}`, `from=question&id=${DEMO.drying}`]) {
    const answer = await call(learner, 'GET', `/api/board?${asked}`);
    expect([403, 404]).toContain(answer.status);
    expect(JSON.stringify(answer.body)).not.toContain('belongs');
  }
  await learner.close();
});

test('what stands beside a question can be read by the class, with the line down too', async ({ browser }) => {
  const { page, context, said } = await board(browser, `from=release&id=${NINE}`);
  const sources = page.getByRole('button', { name: 'Sources' });
  await expect(sources).toBeVisible();
  // What the page keeps for then is fetched first.
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await sources.click();
  const panel = page.getByRole('region', { name: 'Sources' });
  await expect(panel.getByText('From the handbook')).toBeVisible();
  await expect(panel.getByText(/A lot that comes in is weighed first/)).toHaveCSS('font-size', '24px');
  await accessible(page);
  await page.keyboard.press('Escape');
  await expect(panel).toHaveCount(0);
  expect(said).toEqual([]);
  await context.close();
});
