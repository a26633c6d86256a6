import type { Locator, Page } from '@playwright/test';
import sharp from 'sharp';
import { fingersOf } from './hands';
import { bed, give, press, signedIn, sitDown, tag } from './player';
import { origin } from './server';
import { accessible, centre, expect, pageTimer, test } from './support';

// The learner's page where it is narrow, and what pointers do on it: several at once, quick ones, at the edges.

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const LONG = ['Weigh a sample of the lot', 'Read the humidity of the room', 'Germination', 'Seal', 'Lay out on racks'];
const id = (label: string) => label.toLowerCase().replace(/\W+/g, '-');
const item = (label: string, more: object = {}) => ({ id: id(label), label, size: { w: 90, h: 30 }, ...more });
const room = (label: string, x: number, more: object = {}) => ({
  ...{ id: id(label), label, settle: { rule: 'grid', gap: 10 } },
  shape: { type: 'rect', x, y: 30, w: 300, h: 330 },
  ...more,
});
const tray = { side: 'bottom', size: 150, order: 'asListed' };
const ROOMS = {
  title: 'Which room?',
  tray,
  items: LONG.map((label) => item(label)),
  zones: [room('Receiving room', 10), room('Drying room', 330), room('Cold room', 650)],
  key: [{ zone: 'cold-room', belongs: ['seal'], need: { rule: 'all' } }],
};

/** The words of tags, titles and texts that are cut by their boxes, or that stick out of the page. */
const cut = (page: Page) =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        '.playing :is(.tag-words, .bed-title, .fixture-text), main h1, .frame-row .btn',
      ),
    ].flatMap((element) => {
      const { left, right } = element.getBoundingClientRect();
      const hides = getComputedStyle(element).overflow !== 'visible';
      const isCut =
        hides && (element.scrollHeight > element.clientHeight + 1 || element.scrollWidth > element.clientWidth + 1);
      // A tray of many items is pushed aside.
      const isOut = !element.closest('.docked-tray') && (left < -1 || right > innerWidth + 1);
      return isCut || isOut ? [element.textContent ?? ''] : [];
    }),
  );

test('a scene that does not fit is laid out anew: no word is cut, all is as large as a finger, and one answers by finger', async ({
  browser,
}) => {
  const release = await give(browser, ROOMS);
  const { page, context, said } = await sitDown(browser, 'sorrel', release, PHONE);
  await expect(page.locator('.playing').first()).toHaveAttribute('data-way', 'anew');
  for (const size of [
    { width: 320, height: 568 },
    { width: 768, height: 1024 },
    { width: 390, height: 844 },
  ]) {
    await page.setViewportSize(size);
    await expect.poll(() => cut(page), `at ${size.width}`).toEqual([]);
    const low = await page
      .locator('.movable')
      .evaluateAll((tags) => Math.min(...tags.map((tag) => tag.getBoundingClientRect().height)));
    expect(low).toBeGreaterThanOrEqual(43.9);
    const letters = await tag(page, 'Seal').evaluate((element) =>
      Number.parseFloat(getComputedStyle(element).fontSize),
    );
    expect(letters).toBeGreaterThanOrEqual(16);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(size.width);
  }
  await accessible(page);

  // Held at the edge over the tray, the page brings the last zone into view.
  const touch = fingersOf(await context.newCDPSession(page));
  const from = await centre(tag(page, 'Seal'));
  const sent = page.waitForRequest((request) => request.url().endsWith('/moves'));
  await touch('touchStart', [{ ...from, id: 1 }]);
  await touch('touchMove', [{ ...from, y: from.y - 200, id: 1 }]);
  const top = (await page.locator('.frame-foot').boundingBox())?.y ?? 0;
  await touch('touchMove', [{ x: from.x, y: top + 4, id: 1 }]);
  const zone = bed(page, 'Cold room');
  await expect.poll(async () => ((await zone.boundingBox())?.y ?? Infinity) + 60 < top).toBe(true);
  const held = await page.locator('.in-hand .tag').boundingBox();
  const to = await centre(zone);
  await touch('touchMove', [{ x: to.x, y: to.y + (top + 4 - ((held?.y ?? 0) + (held?.height ?? 0) / 2)), id: 1 }]);
  await touch('touchEnd', []);
  await expect(tag(page, 'Seal')).toHaveAccessibleName('Seal, in Cold room');
  expect((await sent).postDataJSON()).toMatchObject({ moves: [{ kind: 'put' }] });
  await press(page, 'Check');
  await expect(page.getByText('All of it is right.')).toBeInViewport();
  expect(said).toEqual([]);
  await context.close();
});

test('where places carry meaning the scene is zoomed by two fingers and buttons, and scrolls at its edges', async ({
  browser,
}) => {
  const teacher = await signedIn(browser, 'odile');
  const picture = await sharp({ create: { width: 960, height: 540, channels: 3, background: '#dcefe9' } })
    .png()
    .toBuffer();
  const response = await teacher.request.post('/api/media?name=bench.png&width=960&height=540', {
    data: picture,
    headers: { 'content-type': 'image/png', origin: origin() },
  });
  const { hash, weight } = (await response.json()).value;
  await teacher.close();
  const release = await give(browser, {
    title: 'On the picture',
    tray,
    media: { bench: { hash, kind: 'picture', weight, decorative: true } },
    fixtures: [{ id: 'p', type: 'picture', media: 'bench', x: 0, y: 0, w: 960, h: 390, rotation: 0, label: '' }],
    items: [item('Hopper'), item('Sieve')],
    zones: [room('One', 20), room('Three', 640)],
    key: [{ zone: 'three', belongs: ['sieve'], need: { rule: 'all' } }],
  });
  const { page, context, said } = await sitDown(browser, 'sorrel', release, PHONE);
  await expect(page.locator('.playing').first()).toHaveAttribute('data-way', 'panned');
  const frame = page.locator('.scene-frame');
  const width = async () => (await page.locator('.stage').boundingBox())?.width ?? 0;
  const near = await width();
  expect(near).toBeGreaterThan(1000);
  await press(page, 'The whole scene');
  await expect.poll(width).toBeLessThan(390);
  await press(page, 'Larger');
  await expect.poll(width).toBeGreaterThan(390);
  await press(page, 'The whole scene');
  await expect.poll(width).toBeLessThan(390);
  await accessible(page);

  const touch = fingersOf(await context.newCDPSession(page));
  const middle = await centre(frame);
  const two = (apart: number) => [
    { x: middle.x - apart, y: middle.y, id: 1 },
    { x: middle.x + apart, y: middle.y, id: 2 },
  ];
  await touch('touchStart', two(30));
  for (const apart of [40, 60, 80, 100]) await touch('touchMove', two(apart));
  await touch('touchEnd', []);
  await expect.poll(width).toBeGreaterThan(900);

  // From the tray to a zone that is out of sight on the right.
  await frame.evaluate((element) => {
    element.scrollLeft = 0;
  });
  const from = await centre(tag(page, 'Sieve'));
  const box = (await frame.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await touch('touchStart', [{ ...from, id: 1 }]);
  await touch('touchMove', [{ x: from.x + 20, y: box.y + box.height / 2, id: 1 }]);
  await touch('touchMove', [{ x: box.x + box.width - 6, y: box.y + box.height / 2, id: 1 }]);
  const zone = bed(page, 'Three');
  await expect.poll(async () => ((await zone.boundingBox())?.x ?? Infinity) + 140 < box.x + box.width - 6).toBe(true);
  // Away from the edge it stands still.
  await touch('touchMove', [{ x: box.x + box.width / 2, y: box.y + box.height / 2, id: 1 }]);
  await pageTimer(page);
  const there = await zone.boundingBox();
  await touch('touchMove', [{ x: (there?.x ?? 0) + 100, y: box.y + box.height / 2, id: 1 }]);
  await touch('touchEnd', []);
  await expect(tag(page, 'Sieve')).toHaveAccessibleName('Sieve, in Three');
  expect(said).toEqual([]);
  await context.close();
});

/** Where in a zone something is put, and where it is taken from. */
const way = async (from: Locator, to: Locator) => ({ from: await centre(from), to: await centre(to) });

test('each pointer holds one item: two fingers move two, a third one on the same item changes nothing', async ({
  browser,
}) => {
  const release = await give(browser, ROOMS);
  const { page, context, said } = await sitDown(browser, 'sorrel', release, {
    ...{ viewport: { width: 1200, height: 900 }, hasTouch: true },
  });
  const touch = fingersOf(await context.newCDPSession(page));
  const seal = await way(tag(page, 'Seal'), bed(page, 'Cold room'));
  const germ = await way(tag(page, 'Germination'), bed(page, 'Drying room'));
  const palm = { x: 20, y: 300, id: 9 };
  await touch('touchStart', [palm]);
  await touch('touchStart', [palm, { ...seal.from, id: 1 }]);
  await touch('touchStart', [palm, { ...seal.from, id: 1 }, { ...germ.from, id: 2 }]);
  const along = (share: number) => [
    palm,
    {
      x: seal.from.x + (seal.to.x - seal.from.x) * share,
      y: seal.from.y + (seal.to.y + 40 - seal.from.y) * share,
      id: 1,
    },
    {
      x: germ.from.x + (germ.to.x - germ.from.x) * share,
      y: germ.from.y + (germ.to.y + 40 - germ.from.y) * share,
      id: 2,
    },
  ];
  for (const share of [0.3, 0.6, 1]) await touch('touchMove', along(share));
  await expect(page.locator('.in-hand')).toHaveCount(2);
  await expect(page.locator('.bed[data-state="underItem"]')).toHaveCount(2);
  await touch('touchEnd', along(1).slice(2));
  await expect(tag(page, 'Germination')).toHaveAccessibleName('Germination, in Drying room');
  await expect(page.locator('.in-hand')).toHaveCount(1);
  await touch('touchEnd', []);
  await expect(tag(page, 'Seal')).toHaveAccessibleName('Seal, in Cold room');
  expect(said).toEqual([]);
  await context.close();
});

test('a drag whose way arrives as one event lands, and a quick flick does', async ({ browser }) => {
  const release = await give(browser, { ...ROOMS, tries: null });
  const { page, context, said } = await sitDown(browser, 'sorrel', release, { viewport: { width: 1200, height: 900 } });
  for (const [label, steps] of [
    ['Seal', 1],
    ['Germination', 3],
  ] as const) {
    const { from, to } = await way(tag(page, label), bed(page, 'Cold room'));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps });
    await page.mouse.up();
    await expect(tag(page, label)).toHaveAccessibleName(`${label}, in Cold room`);
  }
  // Nothing but the press and the letting go, with no move between them.
  const { from, to } = await way(tag(page, 'Lay out on racks'), bed(page, 'Drying room'));
  const cdp = await context.newCDPSession(page);
  const mouse = (type: 'mousePressed' | 'mouseReleased', { x, y }: { x: number; y: number }) =>
    cdp.send('Input.dispatchMouseEvent', { type, x, y, button: 'left', clickCount: 1 });
  await mouse('mousePressed', from);
  await mouse('mouseReleased', to);
  await expect(tag(page, 'Lay out on racks')).toHaveAccessibleName('Lay out on racks, in Drying room');
  // Escape leaves what a pointer holds where it was, and the letting go is no press.
  const back = await way(tag(page, 'Seal'), bed(page, 'Receiving room'));
  await page.mouse.move(back.from.x, back.from.y);
  await page.mouse.down();
  await page.mouse.move(back.to.x, back.to.y, { steps: 3 });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(page.locator('.in-hand')).toHaveCount(0);
  await expect(tag(page, 'Seal')).toHaveAccessibleName('Seal, in Cold room');
  await expect(tag(page, 'Seal')).toHaveAttribute('aria-pressed', 'false');
  expect(said).toEqual([]);
  await context.close();
});

test('with the keys a place is chosen by the first letter of its name, and a whole Sort costs four presses an item', async ({
  browser,
}) => {
  const labels = ['Ash', 'Beech', 'Birch', 'Elm', 'Larch', 'Oak', 'Pine', 'Yew'];
  const release = await give(browser, {
    title: 'Eight into three',
    tray,
    items: labels.map((label) => item(label)),
    zones: [room('Receiving room', 10), room('Drying room', 330), room('Cold room', 650)],
    key: [{ zone: 'cold-room', belongs: ['oak'], need: { rule: 'all' } }],
  });
  const { page, context, said } = await sitDown(browser, 'sorrel', release, { viewport: { width: 1280, height: 900 } });
  await tag(page, 'Ash').focus();
  let presses = 0;
  const key = async (name: string) => {
    presses++;
    await page.keyboard.press(name);
  };
  for (const [i, label] of labels.entries()) {
    if (i > 0) await key('Tab');
    await expect(page.locator(':focus')).toHaveAccessibleName(`${label}, not placed`);
    await key('Space');
    await key('rdc'[i % 3] ?? '');
    await key('Space');
    await expect(tag(page, label)).toHaveAccessibleName(new RegExp(`^${label}, in `));
    await pageTimer(page);
  }
  expect(presses).toBeLessThanOrEqual(40);
  await expect(page.locator(':focus')).toHaveAccessibleName('Yew, in Drying room');
  expect(said).toEqual([]);
  await context.close();
});
