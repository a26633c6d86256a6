import { fingerTo } from './hands';
import { accessible, DEMO, expect, intoView, item, open, pageTimer, signIn, test, zone } from './support';

test('a phone: dragged with a finger, kept, checked, gone on with after a reload', async ({ page }) => {
  await signIn(page, 'clover');
  await open(page, `/sit/${DEMO.release}`);
  await accessible(page);
  const sent = page.waitForRequest((request) => request.url().endsWith('/moves'));
  const bed = await zone(page, 'Stands drying').boundingBox();
  await fingerTo(page, item(page, 'Barley').first(), { x: (bed?.x ?? 0) + 60, y: (bed?.y ?? 0) + 60 });
  expect((await sent).postDataJSON()).toMatchObject({ moves: [{ kind: 'put' }] });
  await expect(item(page, 'Barley')).toHaveAccessibleName('Barley, in Stands drying');
  // A tap picks up, another puts down. (Chromium takes a touch within 300 ms of the last for the second half of a
  // double tap, and sends no click.)
  await pageTimer(page, 301);
  await intoView(item(page, 'Poppy'));
  await item(page, 'Poppy').tap();
  await page.getByRole('button', { name: 'Put Poppy into Stands drying' }).tap();
  await expect(item(page, 'Poppy')).toHaveAccessibleName('Poppy, in Stands drying');
  await expect(page.getByText('2 placed · 7 left')).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 placed · 7 left')).toBeVisible();
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Check' }).tap();
  await expect(page.getByText('Mark 2 of 7')).toBeVisible();
});
