import type { Locator, Page } from '@playwright/test';
import sharp from 'sharp';
import { cell, onScene, openNew, saved, station, storedQuestion } from './bench';
import { centre, expect, test } from './support';

/** What a hand's work costs, in seconds. */
const PRESS = 1.2;
const DRAG = 2;
const CHARACTER = 0.2;

/** Hands that count what they do. */
function priced(page: Page) {
  let seconds = 0;
  return {
    seconds: () => seconds,
    press: async (what: Locator) => {
      await what.click();
      seconds += PRESS;
    },
    type: async (text: string) => {
      await page.keyboard.type(text);
      seconds += text.length * CHARACTER;
    },
    key: async (key: string) => {
      await page.keyboard.press(key);
      seconds += CHARACTER;
    },
    drag: async (from: { x: number; y: number }, to: { x: number; y: number }) => {
      await page.mouse.move(from.x, from.y);
      await page.mouse.down();
      await page.mouse.move(from.x + 6, from.y + 6, { steps: 2 });
      await page.mouse.move(to.x, to.y, { steps: 6 });
      await page.mouse.up();
      seconds += DRAG;
    },
  };
}

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

test('a question of six items and two groups, from nothing, for at most 60 s', async ({ page }) => {
  const id = await openNew(page);
  const hand = priced(page);
  await hand.press(page.getByLabel('Title of the question'));
  await hand.key('ControlOrMeta+a');
  await hand.type('Dry or moist?');
  for (const name of ['Dry', 'Moist']) {
    await hand.press(button(page, 'Add a zone'));
    await hand.press(cell(page, 'Name of what is selected'));
    await hand.key('ControlOrMeta+a');
    await hand.type(name);
    await hand.key('Enter');
  }
  await hand.press(page.getByLabel('Add items'));
  await hand.type('Barley\nPoppy\nOnion\nAcorn\nMango\nOak');
  await hand.press(button(page, 'Add them'));
  await hand.press(station(page, /^Key/));
  const at = (item: string, zone: string) => centre(page.getByRole('checkbox', { name: `${item} belongs in ${zone}` }));
  await hand.drag(await at('Barley', 'Dry'), await at('Onion', 'Dry'));
  await hand.drag(await at('Acorn', 'Moist'), await at('Oak', 'Moist'));
  await saved(page);
  const { title, key } = await storedQuestion(page, id);
  expect([title, key.map(({ belongs }) => belongs?.length)]).toEqual(['Dry or moist?', [3, 3]]);
  await station(page, /^Proof/).click();
  await expect(page.getByText('can be solved').locator('..')).toContainText('yes');
  await expect(page.getByText('Error', { exact: true })).toHaveCount(0);
  console.log(`The price of six items in two groups: ${hand.seconds().toFixed(1)} s`);
  expect(hand.seconds()).toBeLessThanOrEqual(60);
});

test('a picture with twelve labels, from nothing, for at most 240 s', async ({ page }) => {
  const id = await openNew(page);
  const hand = priced(page);
  const parts = [
    'Seed coat',
    'Hilum',
    'Radicle',
    'Hypocotyl',
    'Cotyledon',
    'Epicotyl',
    'Plumule',
    'Root hair',
    'Root cap',
    'First leaf',
    'Stem',
    'Bud',
  ];
  await hand.press(page.getByLabel('Title of the question'));
  await hand.key('ControlOrMeta+a');
  await hand.type('Parts of a germinating bean');
  await hand.press(button(page, 'Picture'));
  const chooser = page.waitForEvent('filechooser');
  await hand.press(page.getByRole('button', { name: 'Choose a file…' }));
  await (await chooser).setFiles({
    name: 'bean.png',
    mimeType: 'image/png',
    buffer: await sharp({ create: { width: 900, height: 360, channels: 3, background: '#dcefe9' } })
      .png()
      .toBuffer(),
  });
  await expect(page.locator('[data-ref^="fixture:"] img')).toBeVisible();
  await hand.press(page.getByRole('button', { name: 'Draw a zone', exact: true }));
  for (let i = 0; i < 12; i++) {
    const [x, y] = [40 + (i % 4) * 230, 60 + Math.floor(i / 4) * 110];
    await hand.drag(await onScene(page, x, y), await onScene(page, x + 150, y + 56));
  }
  await expect(page.locator('.stage .bed')).toHaveCount(12);
  await hand.press(page.getByLabel('Add items'));
  await hand.type(parts.join('\n'));
  await hand.press(button(page, 'Add them'));
  await hand.press(station(page, /^Key/));
  for (const [i, part] of parts.entries())
    await hand.press(page.getByRole('checkbox', { name: `${part} belongs in Zone ${i + 1}`, exact: true }));
  await saved(page);
  expect((await storedQuestion(page, id)).key.map(({ belongs }) => belongs?.length)).toEqual(Array(12).fill(1));
  console.log(`The price of a picture with twelve labels: ${hand.seconds().toFixed(1)} s`);
  expect(hand.seconds()).toBeLessThanOrEqual(240);
});
