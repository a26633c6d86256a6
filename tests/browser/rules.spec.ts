import type { Page } from '@playwright/test';
import { bed, byKeys, byMouse, give, HANDS, press, sitDown, tag } from './player';
import { accessible, dragTo, expect, pageTimer, settled, test } from './support';

const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });
const item = (label: string, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase().replaceAll(' ', '-'),
  label,
  size: { w: 90, h: 40 },
  ...more,
});
const zone = (label: string, x: number, y: number, w: number, h: number, more: Record<string, unknown> = {}) => ({
  id: label.toLowerCase().replaceAll(' ', '-'),
  label,
  shape: { type: 'rect', x, y, w, h },
  settle: { rule: 'row', gap: 10 },
  ...more,
});
const all = (zoneId: string, ...belongs: string[]) => ({ zone: zoneId, belongs, need: { rule: 'all' } });
const tray = { side: 'bottom', size: 130, order: 'asListed' };

/** Where a learner finds an item: what a screen reader says of it, or under which heading its list entry stands. */
async function stands(page: Page, list: boolean, label: string, where: string): Promise<void> {
  if (!list)
    return expect(tag(page, label).first()).toHaveAccessibleName(
      new RegExp(`^${label}, ${where === 'Not placed' ? 'not placed' : `in ${where}`}`),
    );
  await expect(page.getByRole('region', { name: where }).getByText(label, { exact: true }).first()).toBeVisible();
}

const RULES = {
  title: 'Every rule on one page',
  tray,
  tries: 3,
  afterMiss: 'sendWrongHome',
  items: [
    item('Foil', { family: 'foil' }),
    item('Paper', { family: 'paper' }),
    item('Label one'),
    item('Label two'),
    item('Gravel'),
    item('Grain', { copies: 3 }),
    item('Chaff', { copies: 'endless' }),
  ],
  zones: [
    zone('Foil shelf', 20, 40, 210, 150, { family: 'foil' }),
    zone('Paper shelf', 250, 40, 210, 150, { family: 'paper' }),
    zone('Hook', 480, 40, 210, 150, {
      capacity: 1,
      whenFull: 'swap',
      settle: { rule: 'anchor', at: 'middle', gap: 0 },
    }),
    zone('Slit', 710, 40, 210, 150, { capacity: 1, whenFull: 'refuse' }),
    zone('Sieve', 20, 230, 300, 150, { welcome: 'keyed' }),
    zone('Bin', 340, 230, 280, 150),
    zone('Sack', 640, 230, 280, 150, { settle: { rule: 'pile' } }),
  ],
  key: [
    all('foil-shelf', 'foil'),
    all('paper-shelf', 'paper'),
    all('hook', 'label-one'),
    all('sieve', 'grain'),
    {
      zone: 'bin',
      belongs: ['chaff'],
      need: { rule: 'atLeast', n: 2 },
      says: { zone: null, items: { gravel: say('Gravel is no chaff.') } },
    },
  ],
  marks: { max: 8, rule: 'perPlacement' },
  feedback: { right: say('The seeds are safe.'), partly: say('Look at the bin again.'), wrong: null },
};

for (const { name, move, list = false, options } of HANDS)
  test(`families, copies, swapping, refusing, turning away, sending home and feedback, with ${name}`, async ({
    browser,
  }) => {
    test.setTimeout(120_000);
    const { page, said } = await sitDown(browser, 'sorrel', await give(browser, RULES), options);
    if (list) await press(page, 'As a list');
    const at = (label: string, where: string) => stands(page, list, label, where);

    // A family's zone takes its own; another's is none of the places for it.
    await move(page, 'Foil', 'Foil shelf');
    await at('Foil', 'Foil shelf');
    if (name === 'a mouse' || name === 'a finger') {
      await move(page, 'Paper', 'Foil shelf');
      await at('Paper', 'Not placed');
    }
    await move(page, 'Paper', 'Paper shelf');
    await at('Paper', 'Paper shelf');
    // Swapping sends the one that was there home; refusing sends the newcomer, and says why.
    await move(page, 'Label two', 'Hook');
    await move(page, 'Label one', 'Hook');
    await at('Label one', 'Hook');
    await at('Label two', 'Not placed');
    await move(page, 'Label two', 'Slit');
    await move(page, 'Gravel', 'Slit');
    await at('Gravel', 'Not placed');
    await expect(page.getByText('Slit is full: Gravel went back.').first()).toBeVisible();
    // Who does not belong is turned away by the server, with the reason.
    await move(page, 'Gravel', 'Sieve');
    await expect(page.getByText('Gravel does not belong in Sieve: it went back.').first()).toBeVisible();
    await at('Gravel', 'Not placed');
    // Copies: one after another from the heap, counted or without end.
    for (let i = 0; i < 3; i++) await move(page, 'Grain', 'Sieve');
    await expect(page.getByText('7 placed').or(page.getByText('7 of')).first()).toBeVisible();
    await move(page, 'Chaff', 'Bin');
    await move(page, 'Gravel', 'Bin');
    await at('Gravel', 'Bin');
    // Taken back, and put there again.
    await move(page, 'Label two', null);
    await at('Label two', 'Not placed');
    await press(page, 'Check');
    await expect(page.getByText('One is in a wrong place. Mark 6 of 8')).toBeVisible();
    await expect(page.getByText('Look at the bin again.')).toBeVisible();
    if (list) await expect(page.getByRole('region', { name: 'Bin' })).toContainText('Gravel is no chaff.');
    else
      await expect(tag(page, 'Gravel')).toHaveAccessibleName(
        'Gravel, in Bin, place 2 of 2, wrong. Gravel is no chaff.',
      );
    await accessible(page);
    await press(page, 'Try again');
    await at('Gravel', 'Not placed');
    await move(page, 'Chaff', 'Bin');
    await press(page, 'Check');
    await expect(page.getByText('All of it is right. Mark 8 of 8')).toBeVisible();
    await expect(page.getByText('The seeds are safe.')).toBeVisible();
    await accessible(page);
    expect(said).toEqual([]);
  });

const SETTLES = [
  ['As dropped', { rule: 'asDropped' }],
  ['Corner', { rule: 'anchor', at: 'bottomRight', gap: 6 }],
  ['In a row', { rule: 'row', gap: 10 }],
  ['In a column', { rule: 'column', gap: 10 }],
  ['In a grid', { rule: 'grid', gap: 12 }],
  ['Piled', { rule: 'pile' }],
] as const;

test('each settle rule brings an item to rest where the core says, gliding there', async ({ browser }) => {
  const { page, said } = await sitDown(
    browser,
    'sorrel',
    await give(browser, {
      tray,
      items: SETTLES.flatMap((_, i) => [item(`A${i}`), item(`B${i}`)]),
      zones: SETTLES.map(([label, settle], i) =>
        zone(label, 20 + (i % 3) * 310, 30 + Math.floor(i / 3) * 195, 290, 170, { settle }),
      ),
      key: [all('in-a-row', 'a2')],
    }),
  );
  // A glide is over before a slow machine can look: what is counted is that it began.
  await page.evaluate(
    `(() => { window.glides = 0; const { animate } = Element.prototype; Element.prototype.animate = function (...given) { window.glides++; return animate.apply(this, given); }; })()`,
  );
  for (const [i, [label]] of SETTLES.entries()) {
    await byMouse(page, `A${i}`, label);
    // On its way from where it was let go.
    if (label === 'Corner') expect(await page.evaluate('window.glides')).toBeGreaterThan(0);
    await byMouse(page, `B${i}`, label);
  }
  await settled(page);
  const scale = Number(
    await page.locator('.stage').evaluate((stage) => getComputedStyle(stage).getPropertyValue('--scale')),
  );
  const within = async (label: string, name: string) => {
    const [inner, outer] = [await tag(page, label).boundingBox(), await bed(page, name).boundingBox()];
    return { x: ((inner?.x ?? 0) - (outer?.x ?? 0)) / scale, y: ((inner?.y ?? 0) - (outer?.y ?? 0)) / scale };
  };
  const close = (at: { x: number; y: number }, x: number, y: number) => {
    expect(Math.abs(at.x - x), `x ${at.x} for ${x}`).toBeLessThan(1.6);
    expect(Math.abs(at.y - y), `y ${at.y} for ${y}`).toBeLessThan(1.6);
  };
  close(await within('A0', 'As dropped'), 100, 65);
  close(await within('A1', 'Corner'), 194, 124);
  // The second was let go to the right of the first, and after it.
  close(await within('A2', 'In a row'), 10, 10);
  close(await within('B2', 'In a row'), 110, 10);
  close(await within('A3', 'In a column'), 10, 10);
  close(await within('B3', 'In a column'), 10, 60);
  close(await within('A4', 'In a grid'), 12, 12);
  close(await within('B4', 'In a grid'), 114, 12);
  close(await within('A5', 'Piled'), 100, 65);
  expect(said).toEqual([]);
});

test('an item is let in among others where it is dropped, and by the keys at the place chosen', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'sorrel',
    await give(browser, {
      tray,
      items: ['One', 'Two', 'Three', 'Four'].map((label) => item(label)),
      zones: [zone('Line', 40, 40, 500, 300, { settle: { rule: 'column', gap: 10 } })],
      key: [{ zone: 'line', belongs: ['one', 'two', 'three', 'four'], sequence: true }],
    }),
  );
  const order = async () => {
    const tags = await page
      .locator('.movable')
      .evaluateAll((all) =>
        all.map((one) => ({ name: one.getAttribute('aria-label') ?? '', y: one.getBoundingClientRect().y })),
      );
    return tags
      .filter(({ name }) => name.includes('in Line'))
      .sort((a, b) => a.y - b.y)
      .map(({ name }) => name.split(',')[0]);
  };
  await byKeys(page, 'Two', 'Line');
  await byKeys(page, 'Four', 'Line');
  // Dropped on the upper half of the first.
  const first = await tag(page, 'Two').boundingBox();
  const locator = tag(page, 'One');
  const box = await locator.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 20, (box?.y ?? 0) + 10);
  await page.mouse.down();
  await page.mouse.move((first?.x ?? 0) + 20, (first?.y ?? 0) + 4, { steps: 8 });
  await page.mouse.up();
  await expect(locator).toHaveAccessibleName('One, in Line, place 1 of 3');
  await settled(page);
  expect(await order()).toEqual(['One', 'Two', 'Four']);
  await tag(page, 'Three').focus();
  await page.keyboard.press('Space');
  await expect(tag(page, 'Three')).toHaveAttribute('aria-pressed', 'true');
  await pageTimer(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('PageUp');
  await expect(page.locator('[aria-live="assertive"]').last()).toHaveText('Over Line, place 3');
  await page.keyboard.press('Space');
  await expect(tag(page, 'Three')).toHaveAccessibleName('Three, in Line, place 3 of 4');
  await settled(page);
  expect(await order()).toEqual(['One', 'Two', 'Three', 'Four']);
  // The list has the same order, and changes it.
  await press(page, 'As a list');
  await page.getByLabel('Move Four', { exact: true }).click();
  await page.getByRole('list', { name: 'Where Four may go' }).getByRole('button', { name: 'Earlier here' }).click();
  await expect(page.getByRole('region', { name: 'Line' }).locator('li')).toContainText(['One', 'Two', 'Four', 'Three']);
  await press(page, 'On the scene');
  await settled(page);
  expect(await order()).toEqual(['One', 'Two', 'Four', 'Three']);
});

test('zones ride on items with what they hold, over the scene and home', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'sorrel',
    await give(browser, {
      tray,
      items: [
        item('Jar', { home: { x: 100, y: 150 }, size: { w: 160, h: 160 } }),
        item('Lid', { size: { w: 120, h: 40 } }),
      ],
      zones: [
        zone('Top', 10, 10, 140, 50, { ridesOn: 'jar', settle: { rule: 'anchor', at: 'middle', gap: 0 }, capacity: 1 }),
        zone('Shelf', 500, 60, 420, 320, { settle: { rule: 'asDropped' } }),
      ],
      key: [all('top', 'lid'), all('shelf', 'jar')],
    }),
  );
  await byMouse(page, 'Lid', 'Top');
  await expect(tag(page, 'Lid')).toHaveAccessibleName('Lid, in Top');
  const offset = async () => {
    await settled(page);
    const [jar, lid] = [await tag(page, 'Jar').boundingBox(), await tag(page, 'Lid').boundingBox()];
    return [Math.round((lid?.x ?? 0) - (jar?.x ?? 0)), Math.round((lid?.y ?? 0) - (jar?.y ?? 0))];
  };
  const before = await offset();
  const far = await bed(page, 'Shelf').boundingBox();
  const jar = await tag(page, 'Jar').boundingBox();
  await page.mouse.move((jar?.x ?? 0) + 60, (jar?.y ?? 0) + 110);
  await page.mouse.down();
  await page.mouse.move((far?.x ?? 0) + 180, (far?.y ?? 0) + 200, { steps: 8 });
  await expect(page.locator('.in-hand .tag')).toHaveCount(2);
  await page.mouse.up();
  await expect(tag(page, 'Jar')).toHaveAccessibleName('Jar, in Shelf');
  await expect(tag(page, 'Lid')).toHaveAccessibleName('Lid, in Top');
  expect(await offset()).toEqual(before);
  await press(page, 'Check');
  await expect(page.getByText('All of it is right.')).toBeVisible();
});

test('what may lie loose stays where it is let go, dragged or pressed; a reset brings the start back', async ({
  browser,
}) => {
  const { page } = await sitDown(
    browser,
    'sorrel',
    await give(browser, {
      tray,
      items: [item('Twig', { goesHome: false }), item('Leaf'), item('Seal', { again: false })],
      zones: [zone('Box', 500, 40, 400, 300)],
      start: { placements: [{ item: 'leaf', zone: 'box' }] },
      key: [all('box', 'leaf', 'seal')],
    }),
  );
  await expect(tag(page, 'Leaf')).toHaveAccessibleName('Leaf, in Box');
  const stage = await page.locator('.stage').boundingBox();
  const spot = { x: (stage?.x ?? 0) + 150, y: (stage?.y ?? 0) + 120 };
  await dragTo(page, tag(page, 'Twig'), spot);
  await expect(tag(page, 'Twig')).toHaveAccessibleName('Twig, outside every zone');
  await tag(page, 'Twig').click();
  await page.mouse.click(spot.x + 100, spot.y + 90);
  await settled(page);
  const box = await tag(page, 'Twig').boundingBox();
  expect(Math.abs((box?.x ?? 0) + (box?.width ?? 0) / 2 - spot.x - 100)).toBeLessThan(4);
  // Home for what goes home, and settled for good.
  await byMouse(page, 'Leaf', null);
  await expect(tag(page, 'Leaf')).toHaveAccessibleName('Leaf, not placed');
  await byMouse(page, 'Seal', 'Box');
  await expect(tag(page, 'Seal')).toHaveAttribute('aria-disabled', 'true');
  await press(page, 'Put everything back');
  await expect(tag(page, 'Twig')).toHaveAccessibleName('Twig, not placed');
  await expect(tag(page, 'Leaf')).toHaveAccessibleName('Leaf, in Box');
  await page.reload();
  await expect(tag(page, 'Leaf')).toHaveAccessibleName('Leaf, in Box');
});

test('a lid opens and shuts over what is inside without losing it, and opens for the verdict', async ({ browser }) => {
  const { page } = await sitDown(
    browser,
    'sorrel',
    await give(browser, {
      tray,
      items: [item('Sachet'), item('Gravel')],
      zones: [zone('Chest', 300, 60, 360, 300, { lid: { label: 'Chest lid', startsOpen: false } })],
      key: [all('chest', 'sachet')],
      afterMiss: 'leave',
    }),
  );
  await byMouse(page, 'Sachet', 'Chest');
  await byKeys(page, 'Gravel', 'Chest');
  await expect(page.locator('[aria-live="assertive"]').last()).toHaveText(
    'Gravel is in Chest, place 2 of 2. It lies under a lid there.',
  );
  await expect(page.locator('.movable')).toHaveCount(0);
  await expect(page.getByText('2 inside')).toBeVisible();
  await page.getByRole('button', { name: 'Open Chest lid' }).click();
  await expect(tag(page, 'Gravel')).toHaveAccessibleName('Gravel, in Chest, place 2 of 2');
  await byMouse(page, 'Gravel', null);
  await page.getByRole('button', { name: 'Shut Chest lid' }).click();
  await expect(page.getByText('1 inside')).toBeVisible();
  await press(page, 'As a list');
  await expect(page.getByRole('region', { name: 'Chest' })).toContainText('Shut, 1 inside');
  await press(page, 'On the scene');
  await press(page, 'Check');
  await expect(tag(page, 'Sachet')).toHaveAccessibleName('Sachet, in Chest, right');
});
