import { cell, openCopy, saved, station, storedQuestion, typed } from './bench';
import { accessible, dragTo, expect, test } from './support';

test('an item painted into a second zone belongs in either: seen as one thing, judged so, and in each if wanted', async ({
  page,
}) => {
  const id = await openCopy(page);
  await station(page, /^Key/).click();
  await page.getByRole('checkbox', { name: 'Barley belongs in Must stay moist' }).click();
  const linked = page.locator('[data-either]');
  await expect(linked).toHaveCount(2);
  await expect(page.getByRole('checkbox', { name: 'Barley belongs in Must stay moist' })).toHaveAccessibleDescription(
    'or in Stands drying',
  );
  for (const name of ['Stands drying', 'Must stay moist'])
    await expect(page.getByRole('checkbox', { name: `Barley belongs in ${name}` })).toBeChecked();
  await expect(page.getByRole('heading', { name: 'Barley in Stands drying or Must stay moist' })).toBeVisible();
  await accessible(page);
  await saved(page);
  expect((await storedQuestion(page, id)).either).toEqual([
    { belongs: ['barley'], zones: ['dry', 'moist'], need: { rule: 'all' }, weight: null },
  ]);

  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  const play = page.getByRole('dialog', { name: 'Rehearse' });
  const put = (item: string, zone: string) =>
    dragTo(
      page,
      play.locator('.movable', { hasText: new RegExp(`^${item}`) }).first(),
      play.locator('.stage .bed', { hasText: zone }),
    );
  await put('Barley', 'Must stay moist');
  await play.getByRole('button', { name: 'Check' }).click();
  await expect(play.locator('.movable', { hasText: /^Barley/ })).toHaveAttribute('data-state', 'right');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Barley in each of them instead' }).click();
  await expect(linked).toHaveCount(0);
  await saved(page);
  const { items, either } = await storedQuestion(page, id);
  expect([either, items.find((item) => item.id === 'barley')?.copies]).toEqual([[], 2]);
});

test('pools: each rehearsal is a draw of its own, and Proof is over all of them', async ({ page }) => {
  const id = await openCopy(page);
  await station(page, /^Key/).click();
  await page.getByRole('button', { name: 'A pool for each zone' }).click();
  const pools = page.getByRole('region', { name: 'Pools' });
  await expect(pools.getByRole('listitem')).toHaveCount(2);
  await typed(cell(page, 'How many to ask of Barley and the others of its pool'), '3');
  await saved(page);
  const { pools: stored, items } = await storedQuestion(page, id);
  expect(stored.map(({ items: all, take }) => [all.length, take])).toEqual([
    [4, 3],
    [3, 2],
  ]);
  await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
  const play = page.getByRole('dialog', { name: 'Rehearse' });
  // Gravel and peat are in no pool.
  await expect(play.locator('.stage .movable')).toHaveCount(3 + 2 + items.length - 7);
  await page.keyboard.press('Escape');
  await pools.getByRole('button', { name: 'Ask all' }).first().click();
  await expect(pools.getByRole('listitem')).toHaveCount(1);
});
