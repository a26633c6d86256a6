import { bed, cell, chooseKind, openCopy, openNew, saved, station, storedQuestion, tag, typed } from './bench';
import { expect, test } from './support';

test('the keys are for what was pressed on the scene, wherever the focus was before', async ({ page }) => {
  const id = await openCopy(page);
  await station(page, /^Key/).click();
  await station(page, /^Lay out/).click();
  const before = (await storedQuestion(page, id)).items.length;
  await tag(page, 'Peat').click();
  await page.keyboard.press('Delete');
  await expect(tag(page, 'Peat')).toHaveCount(0);
  await saved(page);
  expect((await storedQuestion(page, id)).items).toHaveLength(before - 1);
  // Selected elsewhere first, then pressed.
  await bed(page, 'Must stay moist').click({ position: { x: 200, y: 60 } });
  await page.keyboard.press('ArrowRight');
  await saved(page);
  const [, moist] = (await storedQuestion(page, id)).zones;
  expect(moist?.shape.type === 'rect' ? moist.shape.x % 1 : null).toBe(0);
  await expect(bed(page, 'Must stay moist')).toHaveAttribute('aria-pressed', 'true');
});

test('a field that refuses a number says why, and what stands there', async ({ page }) => {
  await openCopy(page);
  await station(page, /^Behaviour/).click();
  await typed(cell(page, 'Tries, empty for no limit'), '0');
  await expect(page.getByText('At least 1. Tries, empty for no limit stays 3.')).toBeVisible();
});

test('Count can be chosen for a question with nothing in it', async ({ page }) => {
  await openNew(page);
  await station(page, /^Kind/).click();
  await chooseKind(page, 'Count');
  await expect(page.getByText('This part could not be fetched')).toHaveCount(0);
  await expect(page.getByLabel('What is counted')).toBeVisible();
});
