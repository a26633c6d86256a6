import { randomUUID } from 'node:crypto';
import type { Browser, BrowserContext, BrowserContextOptions, Locator, Page } from '@playwright/test';
import { DEFAULT_SETTINGS } from '../../src/contract';
import type { Sent } from '../../src/islands/publish/settings';
import { seeds } from '../support/seeds';
import { fingerTo } from './hands';
import { origin } from './server';
import { call, centre, DEMO, dragTo, expect, intoView, open, pageTimer, publishing, settled, watch } from './support';

/** Somebody who is signed in, without going through the page for it. */
export async function signedIn(
  browser: Browser,
  username: string,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
  const answer = await context.request.post(`${origin()}/api/auth/sign-in/username`, {
    data: { username, password: 'seedlings-26' },
    headers: { origin: origin() },
  });
  expect(answer.ok()).toBe(true);
  return context;
}

/** Keeps a document as a question of the teacher's. */
export async function keepQuestion(teacher: BrowserContext, changes: Record<string, unknown>): Promise<string> {
  const id = randomUUID();
  expect(
    (await call(teacher, 'POST', `/api/questions/${id}/copies`, { id, document: seeds({ id, ...changes }) })).status,
  ).toBe(200);
  return id;
}

/** Publishes a document to the demo's course; gives the release. */
export async function give(
  browser: Browser,
  changes: Record<string, unknown>,
  settings: Partial<Sent> = {},
): Promise<string> {
  const teacher = await signedIn(browser, 'odile');
  const questionId = await keepQuestion(teacher, changes);
  const id = randomUUID();
  await publishing(teacher, {
    id,
    courseId: DEMO.course,
    questionId,
    revision: 1,
    settings: { ...DEFAULT_SETTINGS, ...settings },
  });
  await teacher.close();
  return id;
}

/** Publishes documents as a set. */
/** Keeps questions and a set of them, as a teacher does. `more`: further fields of the set, by the questions' ids. */
export async function keepSet(
  teacher: BrowserContext,
  documents: readonly Record<string, unknown>[],
  {
    title = 'Drying and storing',
    goBack = true,
    section = {},
  }: { title?: string; goBack?: boolean; section?: object } = {},
  more: (questions: readonly string[]) => Record<string, unknown> = () => ({}),
): Promise<string> {
  const questions: string[] = [];
  for (const document of documents) questions.push(await keepQuestion(teacher, document));
  const setId = randomUUID();
  expect((await call(teacher, 'POST', '/api/sets', { id: setId, title })).status).toBe(200);
  const sections = [{ title: '', draw: null, ...section, questions: questions.map((id) => ({ id, points: null })) }];
  const content = { from: 1, title, goBack, sections, ...more(questions) };
  expect((await call(teacher, 'PUT', `/api/sets/${setId}`, content)).status).toBe(200);
  return setId;
}

export async function giveSet(
  browser: Browser,
  documents: readonly Record<string, unknown>[],
  goBack: boolean,
  more: (questions: readonly string[]) => Record<string, unknown> = () => ({}),
): Promise<string> {
  const teacher = await signedIn(browser, 'odile');
  const id = randomUUID();
  const setId = await keepSet(teacher, documents, { goBack }, more);
  await publishing(teacher, { id, courseId: DEMO.course, setId });
  await teacher.close();
  return id;
}

export interface Seat {
  readonly page: Page;
  readonly context: BrowserContext;
  readonly said: string[];
}

/** A learner who has opened a release. */
export async function sitDown(
  browser: Browser,
  username: string,
  releaseId: string,
  options: BrowserContextOptions = {},
): Promise<Seat> {
  const context = await signedIn(browser, username, options);
  const page = await context.newPage();
  const { said } = watch(page);
  await open(page, `/sit/${releaseId}`);
  // Where time is limited, it runs from when one says so.
  const begin = page.getByRole('button', { name: 'Begin', exact: true });
  if (await begin.isVisible()) {
    await begin.click();
    await expect(page.getByRole('timer')).toBeVisible();
    await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
  }
  return { page, context, said };
}

/** An item on the page, by the words on it or by its name. */
export const tag = (page: Page, label: string): Locator =>
  page
    .locator('.playing .movable', { hasText: new RegExp(`^${label}(×.*)?[✓↩♪]*$`) })
    .or(page.locator(`.playing .movable[aria-label^="${label},"]`));
/** A zone on the page, by its title, or without one by its place: "zone 2". */
export function bed(page: Page, label: string): Locator {
  const place = /^zone (\d+)$/.exec(label);
  return place
    ? page.locator(`.stage .bed[data-zone-index="${Number(place[1]) - 1}"]`)
    : page.locator('.stage .bed', { hasText: label });
}
export const press = (page: Page, name: string): Promise<void> =>
  page.getByRole('button', { name, exact: true }).click();

/** A way of moving one item into one zone, by their names. `zone` null: back home. */
export type Mover = (page: Page, item: string, zone: string | null) => Promise<void>;

/** Where in a zone a hand lets go: below what lies in it, where there is room. */
async function into(page: Page, zone: string | null): Promise<{ x: number; y: number }> {
  const place = zone === null ? page.locator('.stage-tray, .docked-tray').first() : bed(page, zone).first();
  return centre(place);
}

const byMouse: Mover = async (page, item, zone) => dragTo(page, tag(page, item).last(), await into(page, zone));

const byFinger: Mover = async (page, item, zone) => {
  const what = tag(page, item).last();
  await intoView(what);
  const to = await into(page, zone);
  const box = await what.boundingBox();
  // It comes away from under the finger, upwards: the finger goes as much lower as that.
  await fingerTo(page, what, { x: to.x, y: to.y + (box?.height ?? 0) / 2 + 14 });
  await pageTimer(page, 301);
};

const MAX_KEYS = 40;

const byKeys: Mover = async (page, item, zone) => {
  const what = tag(page, item).last();
  await what.focus();
  await page.keyboard.press('Space');
  await expect(what).toHaveAttribute('aria-pressed', 'true');
  // It is drawn in hand before the next key.
  await pageTimer(page);
  const heard = page.locator('[aria-live="assertive"]').last();
  for (let i = 0; i < MAX_KEYS; i++) {
    await page.keyboard.press('ArrowRight');
    const words = (await heard.textContent()) ?? '';
    if (zone === null ? words.startsWith('Back where') : words.startsWith(`Over ${zone}`)) break;
    if (i === MAX_KEYS - 1) throw new Error(`${zone} is not among the places for ${item}`);
  }
  await page.keyboard.press('Space');
  await settled(page);
};

/** A zone's name as it is said: one without words is named by its number and where it stands. */
const named = (zone: string): string | RegExp => (/^zone \d+$/.test(zone) ? new RegExp(`^${zone}( |$)`) : zone);

const byPresses: Mover = async (page, item, zone) => {
  await tag(page, item).last().click();
  const into = zone !== null && named(`Put ${item} into ${zone}`);
  await page.getByRole('button', { name: into || `Put ${item} back` }).click();
};

const byList: Mover = async (page, item, zone) => {
  // Of several copies, those that wait stand first.
  const menus = page.getByLabel(`Move ${item}`, { exact: true });
  const target = page
    .getByRole('list', { name: `Where ${item} may go` })
    .getByRole('button', { name: zone === null ? 'Back to the others' : named(zone), exact: true });
  // While one copy waits to be judged, the next may come to stand before it between the look and the press.
  await expect(async () => {
    await (zone === null ? menus.last() : menus.first()).click();
    await target.click({ timeout: 2000 });
  }).toPass();
};

/** Every hand a learner may have, with the screen it has. */
export const HANDS: readonly {
  readonly name: string;
  readonly move: Mover;
  readonly list?: boolean;
  readonly options: BrowserContextOptions;
}[] = [
  { name: 'a mouse', move: byMouse, options: {} },
  {
    name: 'a finger',
    move: byFinger,
    options: { hasTouch: true, isMobile: true, viewport: { width: 1024, height: 900 } },
  },
  { name: 'the keys', move: byKeys, options: {} },
  { name: 'one press and another', move: byPresses, options: {} },
  { name: 'lists and menus', move: byList, list: true, options: { viewport: { width: 800, height: 900 } } },
];
export { byFinger, byKeys, byList, byMouse, byPresses };
