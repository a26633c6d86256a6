import type { Page } from '@playwright/test';
import { bed, cell, onScene, openCopy, saved, station, storedQuestion, tag, typed } from './bench';
import { origin } from './server';
import { accessible, dragTo, expect, test } from './support';

const drag = async (page: Page, from: { x: number; y: number }, to: { x: number; y: number }) => {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 8, { steps: 2 });
  await page.mouse.move(to.x, to.y, { steps: 8 });
  await page.mouse.up();
};
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' });

test('zones are drawn: a box, an oval, and by corners that are pulled, typed and nudged', async ({ page }) => {
  const id = await openCopy(page);
  await page.getByRole('button', { name: 'Draw a zone', exact: true }).click();
  await drag(page, await onScene(page, 100, 380), await onScene(page, 200, 420));
  await expect(cell(page, 'width of Zone 3')).not.toHaveValue('');
  await page.getByRole('button', { name: 'Draw a round zone' }).click();
  await drag(page, await onScene(page, 500, 330), await onScene(page, 600, 390));
  await page.getByRole('button', { name: 'Draw a zone by its corners' }).click();
  for (const [x, y] of [
    [700, 60],
    [820, 80],
    [760, 200],
  ] as const) {
    const at = await onScene(page, x, y);
    await page.mouse.click(at.x, at.y);
  }
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Select', exact: true }).click();
  await saved(page);
  const zones = (await storedQuestion(page, id)).zones.slice(2);
  expect(zones.map(({ shape }) => shape.type)).toEqual(['rect', 'ellipse', 'polygon']);
  expect(zones[2]?.shape).toMatchObject({ points: [expect.anything(), expect.anything(), expect.anything()] });

  // A corner pulled, nudged with the keys, typed; a new one on a side; each is one step.
  const corner = page.getByRole('button', { name: /^Corner 2,/ });
  await dragTo(page, corner, await onScene(page, 860, 120));
  await corner.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await typed(cell(page, 'y of corner 1'), '+5');
  await page.locator('.bench-corner-new').first().press('Enter');
  await saved(page);
  const shape = (await storedQuestion(page, id)).zones[4]?.shape;
  expect(shape?.type === 'polygon' && shape.points.length).toBe(4);
  for (let i = 0; i < 4; i++) await undo(page).click();
  await saved(page);
  expect((await storedQuestion(page, id)).zones[4]?.shape).toEqual(zones[2]?.shape);
});

test('things are selected by marquee, arranged, grouped, locked, veiled and reordered, one step each', async ({
  page,
}) => {
  const id = await openCopy(page);
  // The tray's first row, by a pull over it from empty ground.
  const first = await onScene(page, 4, 400);
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  const far = await onScene(page, 590, 470);
  await page.mouse.move(far.x - 40, far.y - 10, { steps: 4 });
  await page.mouse.move(far.x, far.y, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('4 things', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Group', exact: true }).click();
  await page.locator('.stage').click({ position: { x: 5, y: 5 } });
  await tag(page, 'Acorn').click();
  await expect(page.getByText('4 things', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'No group' }).click();

  await tag(page, 'Gravel').click();
  await tag(page, 'Peat').click({ modifiers: ['Shift'] });
  await typed(cell(page, 'Gap down for all'), '30');
  await page.getByRole('button', { name: 'Left edges' }).click();
  await expect(cell(page, 'x of Peat')).toHaveValue(await cell(page, 'x of Gravel').inputValue());
  await expect(cell(page, 'y of Peat')).toHaveValue(
    String(Number(await cell(page, 'y of Gravel').inputValue()) + 49 + 30),
  );

  await bed(page, 'Stands drying').click({ position: { x: 120, y: 90 } });
  await bed(page, 'Must stay moist').click({ modifiers: ['Shift'], position: { x: 120, y: 90 } });
  await typed(cell(page, 'width of Must stay moist'), '300');
  await page.getByRole('button', { name: 'Same width' }).click();
  await saved(page);
  const widths = (await storedQuestion(page, id)).zones.map(({ shape }) => (shape.type === 'rect' ? shape.w : 0));
  expect(widths[0]).toBe(widths[1]);
  expect(widths[0]).toBeGreaterThan(0);

  // A locked thing is not in the way of a press; what is out of sight is in the list alone.
  await page.getByRole('button', { name: 'Lock', exact: true }).click();
  await page.locator('.stage').click({ position: { x: 5, y: 5 } });
  await page.mouse.click((await onScene(page, 200, 200)).x, (await onScene(page, 200, 200)).y);
  await expect(page.getByText('Nothing. Press something on the scene')).toBeVisible();
  await page.getByText('Front to back').click();
  const list = page.getByRole('list', { name: 'Front to back' });
  await list.getByRole('button', { name: 'Stands drying: locked' }).click();
  await list.getByRole('button', { name: 'Gravel: out of sight' }).click();
  await expect(page.locator('[data-ref="item:gravel"]')).toBeHidden();
  await list.getByRole('button', { name: 'Gravel: out of sight' }).click();
  await list.getByRole('button', { name: 'Stands drying: one forward' }).click();
  await saved(page);
  expect((await storedQuestion(page, id)).zones.map(({ label }) => label)).toEqual([
    'Must stay moist',
    'Stands drying',
  ]);
  await accessible(page);
});

test('turned by the handle and by typing, duplicated in place and in a row, matched in size', async ({ page }) => {
  const id = await openCopy(page);
  await bed(page, 'Must stay moist').click({ position: { x: 200, y: 150 } });
  await dragTo(page, page.locator('.moveable-rotation-control').first(), await onScene(page, 900, 200));
  await expect(cell(page, 'turn of Must stay moist')).toHaveValue('90');
  await typed(cell(page, 'turn of Must stay moist'), '0');
  await tag(page, 'Barley').click();
  await page.keyboard.press('ControlOrMeta+d');
  await expect(page.getByRole('button', { name: 'Item Barley' })).toHaveCount(2);
  await typed(cell(page, 'How many more'), '3');
  await page.getByRole('button', { name: 'across', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Item Barley' })).toHaveCount(5);
  await undo(page).click();
  await expect(page.getByRole('button', { name: 'Item Barley' })).toHaveCount(2);
  await tag(page, 'Gravel').click();
  await typed(cell(page, 'width of Gravel'), '90');
  await page.getByLabel('Take the size of').selectOption('item:peat');
  await expect(cell(page, 'width of Gravel')).toHaveValue('135');
  // An outline as a zone that rides on its item, and goes with it.
  await typed(cell(page, 'x of Gravel'), '600');
  await tag(page, 'Gravel').click();
  await page.getByRole('button', { name: 'Outline as a zone' }).click();
  await saved(page);
  const riding = (await storedQuestion(page, id)).zones.at(-1);
  expect(riding).toMatchObject({ ridesOn: 'gravel', shape: { type: 'rect', x: 0, y: 0, w: 135, h: 49 } });
});

test('what is copied is pasted into another question, with what the key says of it', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openCopy(page);
  await bed(page, 'Stands drying').click({ position: { x: 150, y: 120 } });
  await tag(page, 'Barley').click({ modifiers: ['Shift'] });
  await tag(page, 'Poppy').click({ modifiers: ['Shift'] });
  await page.keyboard.press('ControlOrMeta+c');
  await expect(page.locator('[data-said]')).toHaveText('Copied');
  const id = await openCopy2(page);
  await page.locator('[data-bench-scene]').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(page.getByRole('button', { name: 'Item Barley' })).toHaveCount(1);
  await expect(page.locator('[data-said]')).toHaveText('3 pasted');
  await saved(page);
  const question = await storedQuestion(page, id);
  expect(question.key).toEqual([expect.objectContaining({ zone: 'dry', belongs: ['barley', 'poppy'] })]);
  // The clipboard holds the labels too, and lines of a text become items.
  await page.evaluate(() => navigator.clipboard.writeText('Teasel\nYarrow'));
  await page.locator('[data-bench-scene]').focus();
  await page.keyboard.press('ControlOrMeta+v');
  await expect(page.getByRole('button', { name: 'Item Yarrow' })).toBeVisible();
});

/** A new question in the same page, whose clipboard is the one copied to. */
async function openCopy2(page: Page): Promise<string> {
  const id = crypto.randomUUID();
  await page.request.post('/api/questions', { data: { id }, headers: { origin: origin() } });
  await page.goto(`/bench/${id}`);
  await expect(page.locator('.stage')).toBeVisible();
  return id;
}

test('zoomed, panned, snapped to a grid or to nothing; what lies underneath is reached', async ({ page }) => {
  await openCopy(page);
  const percent = page.getByTitle('Show at 100 %');
  const before = await percent.textContent();
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect(percent).not.toHaveText(before ?? '');
  await percent.click();
  await expect(percent).toHaveText('100 %');
  const room = page.locator('[data-bench-scene]');
  await room.hover({ position: { x: 300, y: 200 } });
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -300);
  await page.keyboard.up('Control');
  await expect(percent).not.toHaveText('100 %');
  const scrolled = await room.evaluate((element) => element.scrollLeft);
  await room.focus();
  await page.keyboard.down('Space');
  await page.mouse.down();
  await page.mouse.move(100, 300, { steps: 5 });
  await page.mouse.up();
  await page.keyboard.up('Space');
  await expect.poll(() => room.evaluate((element) => element.scrollLeft)).toBeGreaterThan(scrolled);
  await page.getByRole('button', { name: 'Fit' }).click();

  await page.getByRole('button', { name: /^Snap to/ }).click();
  for (const name of ['edges', 'centres', 'equal gaps']) await page.getByRole('checkbox', { name }).uncheck();
  await page.getByRole('checkbox', { name: 'grid of' }).check();
  await page.getByLabel('Step of the grid').fill('50');
  await bed(page, 'Must stay moist').click({ position: { x: 200, y: 150 } });
  const at = await onScene(page, 700, 200);
  await dragTo(page, bed(page, 'Must stay moist'), { x: at.x - 60, y: at.y + 33 });
  expect(Number(await cell(page, 'x of Must stay moist').inputValue()) % 50).toBe(0);
  expect(Number(await cell(page, 'y of Must stay moist').inputValue()) % 50).toBe(0);

  // The zone under the tag, by a press with Control.
  await tag(page, 'Gravel').click();
  await typed(cell(page, 'x of Gravel'), '300');
  await typed(cell(page, 'y of Gravel'), '200');
  await tag(page, 'Gravel').click();
  await tag(page, 'Gravel').click({ modifiers: ['ControlOrMeta'] });
  await expect(bed(page, 'Stands drying')).toHaveAttribute('aria-pressed', 'true');
});

test('nothing needs the mouse: a zone and an item are made, placed, named and wired by keyboard alone, and announced', async ({
  page,
}) => {
  const id = await openCopy(page);
  await page.locator('[data-bench-scene]').focus();
  await page.keyboard.press('z');
  await expect(page.locator('[data-said]')).toHaveText('Zone 3 made');
  await page.keyboard.press('F2');
  await page.keyboard.type('Needs a look');
  await page.keyboard.press('Enter');
  await expect(bed(page, 'Needs a look')).toBeFocused();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ControlOrMeta+Shift+ArrowRight');
  await expect(page.locator('[data-said]')).toHaveText('Needs a look resized');
  await page.keyboard.press('n');
  await expect(page.locator('[data-said]')).toContainText('selected');
  // The list of commands knows every command and every thing.
  await page.keyboard.press('ControlOrMeta+k');
  await expect(page.getByPlaceholder('Type what you want to do')).toBeFocused();
  await page.keyboard.type('select barley');
  await page.keyboard.press('Enter');
  await expect(tag(page, 'Barley')).toBeFocused();
  await page.keyboard.press('Alt+2');
  await expect(station(page, /^Key/)).toHaveAttribute('aria-current', 'step');
  await page.getByRole('checkbox', { name: 'Barley belongs in Stands drying' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await page.keyboard.press('Shift+ArrowDown');
  await saved(page);
  const question = await storedQuestion(page, id);
  // There is one of each: it belongs in its zone or in the new one.
  expect(question.either.map(({ belongs, zones }) => [belongs, zones])).toEqual([
    [['barley'], ['dry', 'zone-1']],
    [['acorn'], ['moist', 'zone-1']],
  ]);
  await page.getByRole('button', { name: 'Versions' }).focus();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Shortcuts' })).toBeVisible();
  await accessible(page);
});
