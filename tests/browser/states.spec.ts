import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser } from '@playwright/test';
import { bed, byKeys, byMouse, give, press, signedIn, sitDown, tag } from './player';
import { origin } from './server';
import { accessible, centre, expect, test } from './support';

const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
const item = (label: string, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  size: { w: 100, h: 44 },
  ...more,
});
const zone = (label: string, x: number, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase(),
  label,
  shape: { type: 'rect', x, y: 50, w: 400, h: 300 },
  settle: { rule: 'grid', gap: 10 },
  ...more,
});
const all = (zoneId: string, ...belongs: string[]) => ({ zone: zoneId, belongs, need: { rule: 'all' } });
const tray = { side: 'bottom', size: 130, order: 'asListed' };
const TWO = {
  tray,
  items: [item('Barley'), item('Acorn'), item('Gravel')],
  zones: [zone('Dry', 30), zone('Moist', 500)],
  key: [all('dry', 'barley'), all('moist', 'acorn')],
  marks: { max: 4, rule: 'perPlacement' },
};

/** Keeps a sound of the demo's as the teacher's, to be named in a document. */
async function sound(browser: Browser, name: string): Promise<Record<string, unknown>> {
  const teacher = await signedIn(browser, 'odile');
  const answer = await teacher.request.post(`${origin()}/api/media?name=${name}&width=960&height=540`, {
    data: readFileSync(join('demo/media', name)),
    headers: { 'content-type': 'audio/wav', origin: origin() },
  });
  const { value } = (await answer.json()) as { value: { hash: string; weight: number } };
  await teacher.close();
  return { hash: value.hash, kind: 'sound', description: 'A click', weight: value.weight };
}

test('looks dress every state, sound in it once there was a gesture, and put away what is taken', async ({
  browser,
}) => {
  const style = (fill: string, more = {}) => ({ fill, ...more });
  const { page, said } = await sitDown(
    browser,
    'bryony',
    await give(browser, {
      ...TWO,
      items: [item('Barley', { look: 'seed' }), item('Acorn', { look: 'gone' }), item('Gravel', { look: 'seed' })],
      zones: [zone('Dry', 30, { look: 'place', capacity: 2 }), zone('Moist', 500)],
      media: { click: await sound(browser, 'click.wav') },
      looks: {
        seed: {
          of: 'item',
          name: 'Seed',
          states: {
            rest: style('#f0f0ff'),
            inHand: style('#ffe0e0'),
            overZone: style('#e0ffe0'),
            settled: style('#ffffc0', { sound: 'click', motion: 'spin' }),
            right: style('#c0ffff'),
            wrong: style('#ffc0ff', { motion: 'nudge' }),
          },
        },
        gone: { of: 'item', name: 'Gone', putAway: true, states: { rest: style('#eeeeee') } },
        place: {
          of: 'zone',
          name: 'Place',
          states: {
            calling: style('#fafad0'),
            underItem: style('#d0fafa'),
            full: style('#d0d0fa'),
            right: style('#d0fad0'),
            wrong: style('#fad0d0'),
          },
        },
      },
      tries: 2,
    }),
  );
  const colour = (label: string) => tag(page, label).evaluate((element) => getComputedStyle(element).backgroundColor);
  const inHand = () => page.locator('.in-hand .tag').evaluate((element) => getComputedStyle(element).backgroundColor);
  const under = () => bed(page, 'Dry').evaluate((element) => getComputedStyle(element).backgroundColor);
  expect(await colour('Barley')).toBe('rgb(240, 240, 255)');
  const heard = page.waitForResponse((response) => /\/media\/\w{6}\?/.test(response.url()));
  const [from, to] = [await tag(page, 'Barley').boundingBox(), await bed(page, 'Dry').boundingBox()];
  await page.mouse.move((from?.x ?? 0) + 30, (from?.y ?? 0) + 20);
  await page.mouse.down();
  await page.mouse.move((from?.x ?? 0) + 40, (from?.y ?? 0) + 26, { steps: 3 });
  await expect.poll(inHand).toBe('rgb(255, 224, 224)');
  await expect.poll(under).toBe('rgb(250, 250, 208)');
  await page.mouse.move((to?.x ?? 0) + 150, (to?.y ?? 0) + 120, { steps: 6 });
  await expect.poll(inHand).toBe('rgb(224, 255, 224)');
  await expect.poll(under).toBe('rgb(208, 250, 250)');
  await page.mouse.up();
  await expect.poll(() => colour('Barley')).toBe('rgb(255, 255, 192)');
  await expect(tag(page, 'Barley')).toHaveClass(/motion-spin/);
  expect((await heard).status()).toBeLessThan(300);
  // One switch for all sound.
  await press(page, 'Sound is on');
  await expect(page.getByRole('button', { name: 'Sound is off' })).toHaveAttribute('aria-pressed', 'false');
  await byMouse(page, 'Gravel', 'Dry');
  // Taking is shown for a moment, then that it is full.
  await expect(bed(page, 'Dry')).toHaveAttribute('data-state', 'taking');
  await expect(bed(page, 'Dry')).toHaveAttribute('data-state', 'full');
  expect(await under()).toBe('rgb(208, 208, 250)');
  await byMouse(page, 'Acorn', 'Moist');
  await expect(tag(page, 'Acorn')).toHaveAttribute('data-state', 'putAway');
  await expect(tag(page, 'Acorn')).toHaveCSS('opacity', '0');
  await press(page, 'Check');
  await expect(tag(page, 'Gravel')).toHaveAttribute('data-state', 'wrong');
  await expect.poll(() => colour('Gravel')).toBe('rgb(255, 192, 255)');
  await expect(tag(page, 'Gravel')).toHaveClass(/motion-nudge/);
  await expect.poll(under).toBe('rgb(250, 208, 208)');
  // What is put away is still there, and an answer.
  await expect(page.getByText('3 placed · none left')).toBeVisible();
  await press(page, 'Put everything back');
  await expect(tag(page, 'Acorn')).toHaveCSS('opacity', '1');
  expect(said).toEqual([]);
});

test('judged as it lands: at once, with its words, a wrong one a try, and home when the learner goes on', async ({
  browser,
}) => {
  const { page, said } = await sitDown(
    browser,
    'bryony',
    await give(browser, {
      ...TWO,
      judging: 'onLand',
      afterMiss: 'sendWrongHome',
      tries: 3,
      key: [
        { ...all('dry', 'barley'), says: { zone: null, items: { acorn: say('It dies when dry.') } } },
        all('moist', 'acorn'),
      ],
      marks: { max: 4, rule: 'perPlacement', tryCosts: 0.25 },
    }),
  );
  await expect(page.getByRole('button', { name: 'Check' })).toHaveCount(0);
  await byMouse(page, 'Barley', 'Dry');
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry, right');
  await expect(page.getByText('try 1 of 3')).toBeVisible();
  await byMouse(page, 'Acorn', 'Dry');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Dry, wrong. It dies when dry.');
  await expect(page.locator('.bubble')).toHaveText('It dies when dry.');
  await accessible(page);
  await byMouse(page, 'Gravel', 'Moist');
  await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, not placed');
  await expect(tag(page, 'Gravel')).toHaveAccessibleName('Gravel, in Moist, wrong');
  await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry, right');
  await page.reload();
  await expect(tag(page, 'Gravel')).toHaveAccessibleName('Gravel, in Moist, wrong');
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await press(page, 'Try again');
  await byKeys(page, 'Acorn', 'Moist');
  // Two tries went before, each a quarter of four.
  await expect(page.getByText('All of it is right. Mark 2 of 4')).toBeVisible();
  expect(said).toEqual([]);
});

for (const [afterMiss, there] of [
  ['leave', ['in Dry, right', 'in Dry, wrong']],
  ['sendWrongHome', ['in Dry', 'not placed']],
  ['sendAllHome', ['not placed', 'not placed']],
] as const)
  test(`after a miss, ${afterMiss}: hints, what a try costs, and the last one`, async ({ browser }) => {
    const { page } = await sitDown(
      browser,
      'bryony',
      await give(browser, {
        ...TWO,
        afterMiss,
        tries: 2,
        hints: [say('Grains ripen dry.')],
        buttons: { hint: 'Help me' },
        show: { modelAnswer: 'atTheEnd' },
        marks: { max: 4, rule: 'perPlacement', tryCosts: 0.25 },
      }),
    );
    await expect(page.getByRole('button', { name: 'Help me' })).toHaveCount(0);
    await byMouse(page, 'Barley', 'Dry');
    await byMouse(page, 'Gravel', 'Dry');
    await press(page, 'Check');
    await expect(page.getByText('One is in a wrong place. Mark 0 of 4')).toBeVisible();
    await press(page, 'Help me');
    await expect(page.getByText('Grains ripen dry.')).toBeVisible();
    if (afterMiss !== 'leave') await press(page, 'Try again');
    for (const [i, label] of ['Barley', 'Gravel'].entries())
      await expect(tag(page, label)).toHaveAccessibleName(`${label}, ${there[i]}`);
    await byMouse(page, 'Acorn', 'Moist');
    await press(page, 'Check');
    // Without the wrong one it is all right.
    await expect(
      page.getByText(afterMiss === 'sendWrongHome' ? 'All of it is right. Mark 3 of 4' : 'That was the last try.'),
    ).toBeVisible();
    // The model answer, looked at and put aside again; nothing can be moved meanwhile.
    await press(page, 'Show a model answer');
    await expect(tag(page, 'Barley')).toHaveAccessibleName('Barley, in Dry');
    await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist');
    await expect(tag(page, 'Gravel')).toHaveAccessibleName('Gravel, not placed');
    await expect(tag(page, 'Acorn')).toHaveAttribute('aria-disabled', 'true');
    await accessible(page);
    await press(page, 'Show my answer');
    await expect(tag(page, 'Acorn')).toHaveAccessibleName('Acorn, in Moist, right');
    await press(page, 'Finish');
    await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
    await expect(
      page
        .getByRole('row', { name: 'You needed one try before this one −1' })
        .or(page.getByText('the first counts'))
        .first(),
    ).toBeVisible();
    await accessible(page);
  });

test('sums run with what is placed, counts and marks stay away where the author wants it, Next waits for a check', async ({
  browser,
}) => {
  const { page } = await sitDown(
    browser,
    'bryony',
    await give(browser, {
      tray,
      items: [item('Five', { value: 5, copies: 2 }), item('Ten', { value: 10.5 })],
      zones: [zone('Scale', 30), zone('Shelf', 500)],
      key: [{ zone: 'scale', sum: { target: 15.5, tolerance: 0 } }],
      marks: { max: 1, rule: 'allOrNothing' },
      show: { runningTotal: true, count: false, mark: false, nextOnlyAfterCheck: true, modelAnswer: 'always' },
      buttons: { check: 'Weigh', reset: 'Clear the scale' },
    }),
  );
  await expect(page.getByText('placed')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Finish' })).toBeDisabled();
  await byMouse(page, 'Five', 'Scale');
  await byMouse(page, 'Ten', 'Scale');
  await expect(page.getByLabel('Scale adds up to')).toHaveText('15.5');
  await byMouse(page, 'Five', 'Scale');
  await expect(page.getByLabel('Scale adds up to')).toHaveText('20.5');
  await press(page, 'Weigh');
  await expect(page.getByText('but something is missing')).toBeVisible();
  await expect(page.getByText(/Mark \d/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Show a model answer' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Finish' })).toBeEnabled();
  await press(page, 'Clear the scale');
  await expect(page.getByLabel('Scale adds up to')).toHaveCount(0);
  await press(page, 'Finish');
  await page.getByRole('dialog').getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText('You have finished.')).toBeVisible();
  await expect(page.getByText(/of 1/)).toHaveCount(0);
});

test('feedback stands beside the item it is about, and moves with where one points', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'bryony',
    await give(browser, {
      ...TWO,
      key: [
        {
          ...all('dry', 'barley'),
          says: {
            zone: say('Dry means under eight per cent.'),
            items: { acorn: say('An acorn dies.'), gravel: say('Gravel is a stone.') },
          },
        },
        all('moist', 'acorn'),
      ],
    }),
  );
  await byMouse(page, 'Acorn', 'Dry');
  await byMouse(page, 'Gravel', 'Dry');
  await press(page, 'Check');
  const bubble = page.locator('.bubble');
  await expect(bubble).toHaveText('An acorn dies.');
  await tag(page, 'Gravel').hover();
  await expect(bubble).toHaveText('Gravel is a stone.');
  const [words, about] = [await bubble.boundingBox(), await tag(page, 'Gravel').boundingBox()];
  expect(Math.abs((words?.y ?? 0) - (about?.y ?? 0) - (about?.height ?? 0))).toBeLessThan(14);
  await expect(page.getByText('Dry means under eight per cent.')).toBeVisible();
});

test('a move after the letting go does not put the item back into the hand', async ({ browser }) => {
  const { page, said } = await sitDown(browser, 'bryony', await give(browser, TWO));
  // The button comes up as the last move is drawn, before React's effects.
  await page.evaluate(`new MutationObserver((_, observer) => {
    const box = document.querySelector('.in-hand')?.getBoundingClientRect();
    const bed = document.querySelector('.stage .bed')?.getBoundingClientRect();
    if (!box || !bed || box.left < bed.left + 100 || box.top > bed.bottom) return;
    observer.disconnect();
    document.dispatchEvent(new PointerEvent('pointerup', { bubbles: true, pointerId: 1, clientX: box.left + 30, clientY: box.top + 20 }));
  }).observe(document.body, { attributes: true, childList: true, subtree: true })`);
  const from = await centre(tag(page, 'Barley'));
  const to = await centre(bed(page, 'Dry'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, from.y, { steps: 2 });
  await page.mouse.move(to.x, to.y);
  await expect(tag(page, 'Barley')).toHaveAttribute('data-state', 'settled');
  await page.mouse.move(to.x + 20, to.y);
  await expect(page.locator('.in-hand')).toHaveCount(0);
  await expect(bed(page, 'Dry')).toHaveAttribute('data-state', 'rest');
  expect(said).toEqual([]);
});
