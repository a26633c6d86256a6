import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { byMouse, giveSet, press, sitDown, tag } from './player';
import { accessible, expect, test } from './support';

// The frame of an attempt: what stands where in every question of a set, and what is said and has the focus.

const words = (text: string) => ({ blocks: [{ type: 'paragraph', runs: [{ text }] }] });
const SIZES = [
  { width: 390, height: 844 },
  { width: 768, height: 1024 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
];

/** A set of questions that are unlike one another, one of them beside a source. */
const unlike = (browser: Parameters<typeof giveSet>[0]) =>
  giveSet(
    browser,
    [
      { title: 'Plain' },
      { title: 'With a hint', hints: [{ text: words('The large ones.'), picture: null, sound: null }], tries: 1 },
      { title: 'A tall one', scene: { width: 700, height: 760 }, show: { count: false } },
    ],
    true,
    (questions) => ({
      sources: [
        {
          id: randomUUID(),
          title: 'Beside it',
          text: 'A lot is weighed twice.',
          medium: null,
          captions: '',
          questions: [questions[1]],
        },
      ],
    }),
  );

async function places(page: Page) {
  const boxOf = async (locator: ReturnType<Page['locator']>) => {
    const box = await locator.boundingBox();
    return box && [box.x, box.y, box.height].map((n) => Math.round(n * 100) / 100);
  };
  await page.evaluate(() => scrollTo(0, 0));
  return {
    header: await boxOf(page.locator('.frame-header')),
    steps: await boxOf(page.getByRole('navigation', { name: 'Questions' })),
    title: (await boxOf(page.getByRole('heading', { level: 1 })))?.slice(0, 2),
    check: await boxOf(page.getByRole('button', { name: 'Check', exact: true })),
    // The row of the actions ends at the foot of the window.
    row: (await boxOf(page.locator('.frame-row')))?.slice(0, 2),
  };
}

test('header, title and actions stand in the same place in every question of a set, at every size', async ({
  browser,
}) => {
  const release = await unlike(browser);
  const { page, context, said } = await sitDown(browser, 'sorrel', release);
  for (const size of SIZES) {
    await page.setViewportSize(size);
    const first = await places(page);
    expect(first.check).not.toBeNull();
    expect((first.row?.[1] ?? 0) + 40).toBeLessThan(size.height);
    for (const title of ['With a hint', 'A tall one']) {
      await press(page, 'Next question');
      await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
      await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
      expect(await places(page), `${title} at ${size.width}`).toEqual(first);
    }
    if (size.width < 640) await page.getByLabel('Question', { exact: true }).selectOption('0');
    else await page.getByRole('button', { name: /^Question 1,/ }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Plain' })).toBeVisible();
  }
  expect(said).toEqual([]);
  await context.close();
});

test('every press says what came of it, and leaves the focus where one goes on', async ({ browser }) => {
  const release = await giveSet(
    browser,
    [
      { title: 'First', hints: [{ text: words('The large ones.'), picture: null, sound: null }], tries: 3 },
      { title: 'Second' },
    ],
    true,
  );
  const { page, context, said } = await sitDown(browser, 'tansy', release);
  await expect(page).toHaveTitle(/^First/);
  const heard = page.locator('[aria-live="assertive"]').last();
  // Nothing is placed: it is asked first, and what cannot be taken back has not the focus.
  await press(page, 'Check');
  const asked = page.getByRole('dialog', { name: 'Nothing is placed yet' });
  await expect(asked.getByRole('button', { name: 'Back to the question' })).toBeFocused();
  await accessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Check' })).toBeFocused();

  await byMouse(page, 'acorn', 'dry');
  await page.getByRole('button', { name: 'Check' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('It is acorn, in dry.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try again' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(heard).toHaveText('Try 2 of 3. One is back where it came from.');
  await expect(page.getByRole('button', { name: 'Check' })).toBeFocused();

  await byMouse(page, 'barley', 'dry');
  await press(page, 'Put everything back');
  await expect(heard).toHaveText('Everything is back where it started.');
  await tag(page, 'barley').click();
  await expect(heard).toHaveText(/^barley is in hand\. .*Press where it goes/);
  await page.keyboard.press('Escape');
  await expect(heard).toHaveText('barley stays where it is.');

  await press(page, 'Next question');
  await expect(page.getByRole('heading', { level: 1, name: 'Second' })).toBeFocused();
  await expect(page).toHaveTitle(/^Second/);
  await press(page, 'Finish');
  const finish = page.getByRole('dialog', { name: 'Finish now?' });
  await expect(finish).toContainText('One question is not checked yet. One question could be tried again.');
  await expect(finish.getByRole('button', { name: 'Stay here' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Finish' })).toBeFocused();
  expect(said).toEqual([]);
  await context.close();
});
