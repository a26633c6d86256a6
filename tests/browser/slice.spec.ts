import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { accessible, centre, dragTo, expect, item, open, signIn, test, watch, zone } from './support';

/** Makes a question of two groups at the Bench and publishes it; gives the address of its results. */
async function author(page: Page, title: string): Promise<string> {
  await signIn(page, 'odile');
  await page.getByRole('button', { name: 'New question' }).click();
  await page.waitForURL(/\/bench\//);
  await page.getByLabel('Title of the question').fill(title);
  await page.getByLabel('Title of the question').press('Enter');
  await page.getByRole('button', { name: 'Add a zone' }).click();
  await page.getByLabel('Name of what is selected').fill('Stands drying');
  await page.getByLabel('Name of what is selected').press('Enter');
  await page.getByRole('button', { name: 'Add a zone' }).click();
  await page.getByLabel('Name of what is selected').fill('Must stay moist');
  await page.getByLabel('Name of what is selected').press('Enter');
  await page.getByLabel('Add items').fill('Barley\nPoppy\nAcorn');
  await page.getByRole('button', { name: 'Add them' }).click();
  await page.getByRole('button', { name: /^Key/ }).click();
  await page.getByRole('checkbox', { name: 'Barley belongs in Stands drying' }).click();
  await page.getByRole('checkbox', { name: 'Poppy belongs in Stands drying' }).click();
  await page.getByRole('checkbox', { name: 'Acorn belongs in Must stay moist' }).click();
  await page.getByRole('button', { name: 'Words & marks' }).click();
  await page.getByLabel('Prompt', { exact: true }).fill('Move each seed to where it may be stored.');
  await page.getByLabel('Maximum mark').fill('6');
  await page.getByLabel('Maximum mark').press('Enter');
  await expect(page.getByText(/^kept \d\d:\d\d$/)).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Publish…' }).click();
  await page.getByRole('radio', { name: /Tarn Hollow induction/ }).check();
  await page.getByRole('button', { name: 'Release now' }).click();
  await expect(page.getByRole('heading', { name: 'It is published' })).toBeVisible();
  return (await page.getByRole('link', { name: 'See its results' }).getAttribute('href')) ?? '';
}

async function openRelease(page: Page, title: string): Promise<void> {
  await page.getByRole('link', { name: title }).first().click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
}

test('a question is made, published, answered with the mouse, marked, and seen', async ({ page, browser }) => {
  const title = 'Seeds, by mouse';
  const results = await author(page, title);

  const learner = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const watched = watch(learner);
  await signIn(learner, 'wren');
  await openRelease(learner, title);
  await accessible(learner);
  await dragTo(learner, item(learner, 'Barley'), await centre(zone(learner, 'Stands drying')));
  await dragTo(learner, item(learner, 'Poppy'), await centre(zone(learner, 'Stands drying')));
  await dragTo(learner, item(learner, 'Acorn'), await centre(zone(learner, 'Stands drying')));
  await expect(learner.getByText('try 1 of 3 · 3 of 3 placed')).toBeVisible();
  await learner.getByRole('button', { name: 'Check' }).click();
  await expect(learner.getByText('One is in a wrong place. Mark 4 of 6')).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Acorn, in Stands drying, wrong' })).toBeVisible();
  await expect(learner.getByRole('button', { name: 'Barley, in Stands drying, right' })).toBeVisible();
  await accessible(learner);

  // A reload shows the same, the feedback too.
  await learner.reload();
  await expect(learner.getByText('One is in a wrong place. Mark 4 of 6')).toBeVisible();
  await expect(learner.locator('astro-island[ssr]')).toHaveCount(0);
  await learner.getByRole('button', { name: 'Go on' }).click();
  await expect(learner.getByRole('button', { name: 'Acorn, not placed' })).toBeVisible();
  await dragTo(learner, item(learner, 'Acorn'), await centre(zone(learner, 'Must stay moist')));
  await learner.getByRole('button', { name: 'Check' }).click();
  await expect(learner.getByText('All of it is right. Mark 6 of 6')).toBeVisible();
  await expect(learner.getByRole('link', { name: 'Back to your releases' })).toBeVisible();
  expect(watched.said).toEqual([]);

  await open(page, results);
  const row = page.getByRole('row', { name: /Wren Tallow/ });
  await expect(row).toContainText('6 / 6');
  await expect(row).toContainText('finished');
  await accessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Marks as CSV' }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  expect(csv).toMatch(/^Wren Tallow,wren,6,6,2,\d+,ended\r$/m);
});

test('the same with the keyboard alone', async ({ page }) => {
  await signIn(page, 'linden');
  await page.getByRole('link', { name: 'Which seeds stand drying?' }).first().focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/sit\/.+/);
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  const putInto = async (label: string, arrows: string[]) => {
    await item(page, label).focus();
    await page.keyboard.press('Space');
    await expect(item(page, label)).toHaveAttribute('aria-pressed', 'true');
    // dnd-kit listens to the keys from a later task on; no hand is as fast as this test.
    await page.waitForTimeout(150);
    for (const arrow of arrows) await page.keyboard.press(arrow);
    await page.keyboard.press('Space');
    await expect(item(page, label)).toHaveAttribute('aria-pressed', 'false');
  };
  await putInto('Barley', ['ArrowRight']);
  await expect(item(page, 'Barley')).toHaveAccessibleName('Barley, in Stands drying');
  await putInto('Acorn', ['ArrowRight', 'ArrowRight']);
  await expect(item(page, 'Acorn')).toHaveAccessibleName('Acorn, in Must stay moist');
  // Into a zone and home again; and picked up, then left.
  await putInto('Gravel', ['ArrowDown']);
  await putInto('Gravel', ['ArrowUp']);
  await expect(item(page, 'Gravel')).toHaveAccessibleName('Gravel, not placed');
  await item(page, 'Poppy').focus();
  await page.keyboard.press('Space');
  await expect(item(page, 'Poppy')).toHaveAttribute('aria-pressed', 'true');
  await page.waitForTimeout(150);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Escape');
  await expect(item(page, 'Poppy')).toHaveAttribute('aria-pressed', 'false');
  await expect(item(page, 'Poppy')).toHaveAccessibleName('Poppy, not placed');

  const kept = page.waitForResponse((response) => response.url().endsWith('/moves') && response.ok());
  await page.getByRole('button', { name: 'Check' }).focus();
  await page.keyboard.press('Enter');
  const request = (await kept).request().postDataJSON() as { moves: { kind: string }[] };
  expect(request.moves.every(({ kind }) => kind === 'put' || kind === 'check')).toBe(true);
  await expect(page.getByText('Mark 2 of 7')).toBeVisible();
});

test('press-and-press puts by name', async ({ page }) => {
  await signIn(page, 'ash');
  await openRelease(page, 'Which seeds stand drying?');
  await item(page, 'Mango').click();
  const sent = page.waitForRequest((request) => request.url().endsWith('/moves'));
  await page.getByRole('button', { name: 'Put Mango into Must stay moist' }).click();
  expect((await sent).postDataJSON()).toMatchObject({ moves: [{ kind: 'put' }] });
  await expect(item(page, 'Mango')).toHaveAccessibleName('Mango, in Must stay moist');
  await item(page, 'Mango').click();
  await page.getByRole('button', { name: 'Put Mango back' }).click();
  await expect(item(page, 'Mango')).toHaveAccessibleName('Mango, not placed');
  await expect(page.getByRole('button', { name: 'Put everything back' })).toBeDisabled();
});
