import { execFile } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { promisify } from 'node:util';
import AxeBuilder from '@axe-core/playwright';
import { type BrowserContext, test as base, expect, type Locator, type Page } from '@playwright/test';

import { origin, type TestServer, testServer, withServer } from './server';

export { expect };

const PASSWORD = 'seedlings-26';

/** A page that fails its test when the console says anything, or when it asks another host for something. */
export function watch(page: Page): { readonly said: string[] } {
  const said: string[] = [];
  const on = () => new URL(page.url()).pathname;
  page.on('console', (message) => said.push(`console ${message.type()} on ${on()}: ${message.text()}`));
  page.on('pageerror', (error) => said.push(`error on ${on()}: ${error.message}`));
  page.on('request', (request) => {
    const { protocol, hostname } = new URL(request.url());
    if (/^https?:$/.test(protocol) && hostname !== '127.0.0.1') said.push(`asked another host: ${request.url()}`);
  });
  return { said };
}

/**
 * Every test's own page is watched, and whoever else came to sit at a browser in it leaves at its end: their pages
 * would go on working beside the tests to come.
 */
export const test = base.extend<{ quiet: { readonly said: string[] } }, { server: TestServer }>({
  /** Each worker has a server and data of its own: what its tests change, no other worker sees. */
  server: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the fixtures it needs from the pattern
    async ({}, use, { workerIndex }) => withServer(workerIndex, use),
    { scope: 'worker', auto: true, timeout: 180_000 },
  ],
  baseURL: async ({ server }, use) => use(server.origin),
  quiet: [
    async ({ page, browser }, use) => {
      const watched = watch(page);
      await use(watched);
      await Promise.all(browser.contexts().flatMap((context) => (context === page.context() ? [] : [context.close()])));
      expect(watched.said).toEqual([]);
    },
    { auto: true },
  ],
});

/** Signs in through the page, as people do. */
export async function signIn(page: Page, username: string, password = PASSWORD): Promise<void> {
  await page.goto('/sign-in');
  await ready(page);
  await page.getByLabel('User name').fill(username);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL((url) => url.pathname !== '/sign-in');
  await ready(page);
}

/** A teacher's account of the test's own, made by the command that makes them. `more`: other words for it. */
export async function newTeacher(...more: readonly string[]): Promise<{ username: string; password: string }> {
  const username = `teacher.${randomBytes(4).toString('hex')}`;
  const env = { ...process.env, VAULT_DROP_DATA: testServer().data };
  const made = promisify(execFile)('node', ['--import', 'tsx', 'scripts/account.ts', '--teacher', username, ...more], {
    env,
  });
  made.child.stdin?.end();
  const password = (await made).stdout.match(/password: (\S+)/)?.[1];
  if (!password) throw new Error('No account was made');
  return { username, password };
}

export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await ready(page);
}

/** Follows a link; pressed again where the list in which it stands was drawn anew beneath the press. */
export const follow = (page: Page, link: Locator, url: RegExp): Promise<void> =>
  expect(async () => {
    if (!url.test(page.url())) await link.click({ timeout: 2000 });
    await page.waitForURL(url, { timeout: 5000, waitUntil: 'commit' });
  }).toPass();

/** Islands are listening. */
export const ready = (page: Page) => expect(page.locator('astro-island[ssr]')).toHaveCount(0);

/** A press on the API with the page's own cookies and the page's own origin. */
export async function call<T>(
  context: BrowserContext,
  method: 'POST' | 'PUT' | 'PATCH' | 'GET',
  path: string,
  data?: unknown,
): Promise<{ status: number; body: T }> {
  const response = await context.request.fetch(`${origin()}${path}`, {
    method,
    ...(data === undefined ? {} : { data }),
    headers: { origin: origin() },
    // A connection that was idle may be closed by the server in the moment in which it is used again.
    maxRetries: 2,
  });
  return { status: response.status(), body: (await response.json().catch(() => null)) as T };
}

/** Publishes through the API, and waits until it is out. */
export async function publishing(
  teacher: BrowserContext,
  body: { readonly id: string; readonly [field: string]: unknown },
): Promise<void> {
  const begun = await call<{ value: { job: string | null } }>(teacher, 'POST', '/api/releases', body);
  expect(begun.status, JSON.stringify(begun.body)).toBe(200);
  if (begun.body.value.job === null) return;
  const state = async () =>
    (await call<{ value: { state: string } }>(teacher, 'GET', `/api/jobs/${body.id}`)).body.value.state;
  await expect.poll(state, { timeout: 30_000 }).toBe('done');
}

export const item = (page: Page, label: string) => page.locator('.movable', { hasText: label });
export const zone = (page: Page, label: string) => page.locator('.stage .bed', { hasText: label });

/** Scrolls something into view: what the page draws anew meanwhile, as it stands then. */
export const intoView = (locator: Locator): Promise<void> =>
  expect(() => locator.scrollIntoViewIfNeeded({ timeout: 5000 })).toPass();

/** The middle of something, once it has come to rest. */
export async function centre(locator: Locator): Promise<{ x: number; y: number }> {
  await locator.evaluate((element) => Promise.allSettled(element.getAnimations().map(({ finished }) => finished)));
  const box = await locator.boundingBox();
  if (!box) throw new Error('That is not on the page');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/**
 * Drags by mouse to a point of the page, or onto something, in steps, as a hand does: what it is dragged onto is looked
 * for once it is in the hand.
 */
export async function dragTo(page: Page, what: Locator, to: { x: number; y: number } | Locator): Promise<void> {
  const from = await centre(what);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 6, from.y + 6, { steps: 2 });
  const { x, y } = 'x' in to ? to : await centre(to);
  await page.mouse.move(x, y, { steps: 8 });
  await page.mouse.up();
  // After a drag in the Vault, dnd-kit takes the click of the same press for 50 ms; no hand is as fast as this test.
  await pageTimer(page, 50);
}

/** Everything that moves on the page has come to rest. */
export async function settled(page: Page): Promise<void> {
  await page.evaluate(() =>
    Promise.allSettled(
      document
        .getAnimations()
        .filter(({ effect }) => Number.isFinite(Number(effect?.getComputedTiming().endTime)))
        .map(({ finished }) => finished),
    ).then(() => null),
  );
}

/**
 * Lets the timers of the page that were set before fire first, if they are as long at most: its timers fire in their
 * order, so this is no guess at how fast the machine is.
 */
export const pageTimer = (page: Page, ms = 0): Promise<void> =>
  page.evaluate((wait) => new Promise<void>((resolve) => setTimeout(resolve, wait)), ms);

/** How often axe looks: what came in while it looked (a toast) has arrived the next time. */
const LOOKS = 3;

/**
 * No finding of axe that is serious or worse, once what is coming in (a dialog, a toast) is there: colours are what
 * they come to.
 */
export async function accessible(page: Page): Promise<void> {
  let found = await seriousOn(page);
  for (let look = 1; found.length > 0 && look < LOOKS; look++) found = await seriousOn(page);
  expect(found).toEqual([]);
}

async function seriousOn(page: Page): Promise<string[]> {
  await settled(page);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' | ')}`);
}

export const DEMO = {
  release: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0201',
  course: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0101',
  drying: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0001',
  bean: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0004',
  weekSet: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0303',
  retakes: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0204',
};
