import type { Page } from '@playwright/test';
import { press } from './player';
import { expect, open } from './support';

/** A new, empty question at the Bench. */
export async function begun(page: Page, title = ''): Promise<void> {
  await open(page, '/vault');
  await page.getByRole('link', { name: 'New question' }).click();
  await page.waitForURL(/\/bench\//);
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await station(page, 'Lay out');
  if (title === '') return;
  await page.getByLabel('Title of the question').fill(title);
  await page.keyboard.press('Enter');
}

/** Looks for a question in the Vault that stands before one. The list draws only what is in sight. */
export async function sought(page: Page, title: string): Promise<void> {
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  await page.getByLabel('Find in titles and words').fill(title);
  await expect(page.getByRole('link', { name: title, exact: true }).first()).toBeVisible();
}

export const station = (page: Page, name: string): Promise<void> =>
  page.getByRole('button', { name: new RegExp(`^${name}`) }).click();

/** A new question at the Bench, made of a pasted list. */
export async function pasted(page: Page, kind: string, text: string, title: string): Promise<void> {
  await begun(page, title);
  await station(page, 'Kind');
  await page.getByRole('button', { name: 'From a list or text…' }).click();
  await page.getByRole('dialog').getByText(kind, { exact: true }).click();
  await page.getByLabel('List, table or text').fill(text);
  await press(page, 'Take it');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** Publishes what is at the Bench to the demo's course; gives the release. */
export async function published(page: Page): Promise<string> {
  await expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();
  await press(page, 'Publish…');
  await page.getByRole('radio', { name: /Tarn Hollow induction/ }).check();
  await press(page, 'Release now');
  await expect(page.getByRole('heading', { name: 'It is published' })).toBeVisible();
  return ((await page.getByRole('link', { name: 'See its results' }).getAttribute('href')) ?? '').split('/')[2] ?? '';
}

/** Drops files on the scene, as a file manager does. */
export async function dropFiles(
  page: Page,
  files: readonly { name: string; type: string; bytes: Buffer }[],
): Promise<void> {
  const data = await page.evaluateHandle(
    (sent) => {
      const transfer = new DataTransfer();
      for (const { name, type, base64 } of sent)
        transfer.items.add(new File([Uint8Array.from(atob(base64), (c) => c.charCodeAt(0))], name, { type }));
      return transfer;
    },
    files.map(({ name, type, bytes }) => ({ name, type, base64: bytes.toString('base64') })),
  );
  for (const event of ['dragenter', 'dragover', 'drop'])
    await page.locator('.stage').dispatchEvent(event, { dataTransfer: data });
}
