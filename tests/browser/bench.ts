import { randomUUID } from 'node:crypto';
import type { Locator, Page } from '@playwright/test';
import type { Question } from '../../src/core';
import { call, DEMO, expect, open, signIn } from './support';

/** A copy of the drying question, so that tests do not change each other's. */
export async function openCopy(page: Page, of = DEMO.drying): Promise<string> {
  await signIn(page, 'odile');
  const id = randomUUID();
  await call(page.context(), 'POST', `/api/questions/${of}/copies`, { id });
  await openBench(page, id);
  return id;
}

export async function openNew(page: Page): Promise<string> {
  await signIn(page, 'odile');
  const id = randomUUID();
  await call(page.context(), 'POST', '/api/questions', { id });
  await openBench(page, id);
  return id;
}

async function openBench(page: Page, id: string): Promise<void> {
  await open(page, `/bench/${id}`);
  await expect(page.locator('.stage')).toBeVisible();
}

export const bed = (page: Page, name: string) => page.getByRole('button', { name: `Zone ${name}` });
export const tag = (page: Page, name: string) => page.getByRole('button', { name: `Item ${name}` });
export const cell = (page: Page, name: string) => page.getByLabel(name, { exact: true });
export const station = (page: Page, name: RegExp) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('button', { name });
/** The Ledger is open also where a station does not need it. */
export const openLedger = (page: Page): Promise<void> => page.getByRole('button', { name: /^Ledger/ }).click();
/** Another kind, chosen among the nine tiles while nothing is there. */
export const chooseKind = (page: Page, name: string): Promise<void> =>
  page.locator('label', { hasText: new RegExp(`^${name}`) }).click();
export const saved = (page: Page) => expect(page.getByText(/^saved at \d\d:\d\d$/)).toBeVisible();

/** Types a value into a field and takes it. */
export async function typed(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.press('Enter');
}

/** The question as the server keeps it. */
export async function storedQuestion(page: Page, id: string): Promise<Question> {
  return (await call<{ value: { question: Question } }>(page.context(), 'GET', `/api/questions/${id}`)).body.value
    .question;
}

/** A point of the scene, in scene units, on the page. */
export async function onScene(page: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  const box = await page.locator('.stage').boundingBox();
  const [width, height] = await page.locator('.stage').evaluate((stage) => [stage.clientWidth, stage.clientHeight]);
  if (!box || !width || !height) throw new Error('There is no scene');
  const question = { width: 960, height: 540 };
  return { x: box.x + 2 + (x * width) / question.width, y: box.y + 2 + (y * height) / question.height };
}
