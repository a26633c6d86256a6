import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { cell, openCopy, saved, storedQuestion, tag, typed } from './bench';
import { dropFiles, pasted, published, station } from './making';
import { press, signedIn, sitDown } from './player';
import { origin } from './server';
import { accessible, expect, signIn, test } from './support';

const photo = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#17665b' } })
    .jpeg()
    .toBuffer();

test('a picture is dropped on the scene, made light, described, and worn by an item too', async ({ page }) => {
  const id = await openCopy(page);
  await dropFiles(page, [{ name: 'Cold room.jpg', type: 'image/jpeg', bytes: await photo(3000, 2000) }]);
  const picture = page.locator('[data-ref^="fixture:"] img');
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((image) => (image as HTMLImageElement).naturalWidth)).toBe(1620);
  await expect(page.locator('[data-title]', { hasText: 'Cold room.jpg is on the scene' })).toBeVisible();
  await page.locator('summary', { hasText: 'Media' }).click();
  await expect(page.getByText('Say what it shows, or that it is decorative.')).toBeVisible();
  await typed(cell(page, 'Description of cold-room'), 'The cold room from above');
  await typed(cell(page, 'Licence of cold-room'), 'CC BY 4.0, Tarn Hollow');
  await tag(page, 'Barley').click();
  await page.getByRole('button', { name: 'Picture: choose' }).click();
  await page.getByRole('dialog', { name: 'A picture' }).getByRole('button', { name: 'cold-room', exact: true }).click();
  await expect(tag(page, 'Barley').locator('img')).toBeVisible();
  await saved(page);
  const question = await storedQuestion(page, id);
  expect(question.media).toEqual({
    'cold-room': expect.objectContaining({
      kind: 'picture',
      description: 'The cold room from above',
      licence: 'CC BY 4.0, Tarn Hollow',
      weight: expect.any(Number),
    }),
  });
  expect(question.items[0]?.content?.picture).toBe('cold-room');
  // What is said in passing lies over the Ledger until it goes.
  await expect(page.locator('[data-sonner-toast]')).toHaveCount(0);
  await accessible(page);
});

test('a file that is not what it claims, or hides script, is refused with a sentence, and nothing changes', async ({
  page,
}) => {
  await openCopy(page);
  page.removeAllListeners('console');
  await dropFiles(page, [{ name: 'rack.png', type: 'image/png', bytes: await photo(20, 20) }]);
  await expect(page.getByText('"rack.png": It says it is PNG, but it is JPEG. Save it as what it is.')).toBeVisible();
  await dropFiles(page, [
    {
      name: 'bean.svg',
      type: 'image/svg+xml',
      bytes: Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>',
      ),
    },
  ]);
  await expect(page.getByText('"bean.svg": This drawing hides script.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('media are their teacher’s alone, and nothing in them runs', async ({ page, browser }) => {
  const id = await openCopy(page);
  await dropFiles(page, [
    {
      name: 'bean.svg',
      type: 'image/svg+xml',
      bytes: Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><path d="M0 0h40v20z"/></svg>',
      ),
    },
  ]);
  await expect(page.locator('[data-ref^="fixture:"] img')).toBeVisible();
  await saved(page);
  const hash = (await storedQuestion(page, id)).media.bean?.hash;
  const mine = await page.request.get(`/media/${hash}`);
  expect(mine.status()).toBe(200);
  expect(mine.headers()).toMatchObject({
    'content-type': 'image/svg+xml',
    'x-content-type-options': 'nosniff',
    'content-security-policy': expect.stringContaining('sandbox'),
  });
  const part = await page.request.get(`/media/${hash}`, { headers: { range: 'bytes=0-3' } });
  expect([part.status(), await part.text()]).toEqual([206, '<svg']);
  const learner = await browser.newPage();
  await signIn(learner, 'wren');
  expect((await learner.request.get(`/media/${hash}`)).status()).toBe(403);
  expect(
    (
      await learner.request.post('/api/media?name=a.png', {
        data: Buffer.from('x'),
        headers: { origin: origin() },
      })
    ).status(),
  ).toBe(403);
  expect((await page.request.get(`/media/${'0'.repeat(64)}`)).status()).toBe(404);
  await learner.close();
});

test('a film is shown with its captions, which are WebVTT or refused, to the author and to learners', async ({
  browser,
}) => {
  const teacher = await signedIn(browser, 'odile');
  const page = await teacher.newPage();
  await pasted(page, 'Sort', 'Barley\tDry\nPoppy\tDry\nAcorn\tMoist', 'A film with words');
  await station(page, 'Lay out');
  await dropFiles(page, [{ name: 'drying.webm', type: 'video/webm', bytes: readFileSync('demo/media/drying.webm') }]);
  await page.locator('summary', { hasText: 'Media' }).click();
  await typed(cell(page, 'Description of drying'), 'Seed dries');
  await page.locator('summary', { hasText: 'No captions yet' }).click();
  await page.getByLabel('Captions of drying', { exact: true }).fill('1\n00:00 what is said');
  await page.getByLabel('Captions of drying, from a file').focus();
  await expect(page.getByText('Captions have to be WebVTT: their first line is WEBVTT.')).toBeVisible();
  await page.getByLabel('Captions of drying, from a file').setInputFiles('demo/media/drying.vtt');
  await expect(page.getByText('Captions have to be WebVTT')).toHaveCount(0);
  const cues = (shown: Page) =>
    shown
      .locator('video')
      .evaluate((video: HTMLVideoElement) => [video.readyState > 0, video.textTracks[0]?.cues?.length]);
  await press(page, 'Rehearse');
  await expect.poll(() => cues(page)).toEqual([true, 4]);
  await page.keyboard.press('Escape');
  const release = await published(page);
  const { page: learner, said } = await sitDown(browser, 'sorrel', release);
  await expect.poll(() => cues(learner)).toEqual([true, 4]);
  await accessible(learner);
  expect(said).toEqual([]);
});
