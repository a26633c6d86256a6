import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { APIRequestContext, Browser, Page } from '@playwright/test';
import { press, signedIn, sitDown } from './player';
import { accessible, call, DEMO, expect, item, open, ready, signIn, test } from './support';

const PAGES = join(import.meta.dirname, '../../src/pages');
const SECOND = { course: DEMO.course.replace(/0101$/, '0102'), release: DEMO.course.replace(/0101$/, '0206') };

/**
 * Every page, and what each of these is told of it: the owner, a colleague who teaches the second course too, a learner
 * of the first course, one of both, nobody.
 */
const EVERYBODY = ['odile', 'tamsin', 'wren', 'arlo.amble', null] as const;
const [OK, ELSEWHERE, NOT_THEIRS, NOTHING] = [200, 302, 403, 404];
const forTeachers = (owner: number, colleague: number) => [owner, colleague, NOT_THEIRS, NOT_THEIRS, ELSEWHERE];
const pages = (
  sittings: { first: string; second: string },
  learner: string,
): Record<string, [path: string, told: number[]][]> => ({
  '404': [['/nowhere', Array(5).fill(NOTHING)]],
  '500': [['/500', Array(5).fill(500)]],
  'problem/[code]': [['/problem/notFound', Array(5).fill(NOTHING)]],
  index: [['/', [OK, OK, OK, OK, ELSEWHERE]]],
  'sign-in': [['/sign-in', [ELSEWHERE, ELSEWHERE, ELSEWHERE, ELSEWHERE, OK]]],
  pictures: [['/pictures', [ELSEWHERE, ELSEWHERE, ELSEWHERE, ELSEWHERE, OK]]],
  join: [['/join', Array(5).fill(OK)]],
  'account/index': [['/account', [OK, OK, OK, OK, ELSEWHERE]]],
  'account/platforms': [['/account/platforms', forTeachers(NOT_THEIRS, NOT_THEIRS)]],
  'account/oneroster': [['/account/oneroster', forTeachers(NOT_THEIRS, NOT_THEIRS)]],
  outcomes: [['/outcomes', forTeachers(OK, OK)]],
  'account/record-store': [['/account/record-store', forTeachers(NOT_THEIRS, NOT_THEIRS)]],
  // Only a launch leads to them.
  'lti/page': [['/lti/page', Array(5).fill(ELSEWHERE)]],
  'lti/choose': [['/lti/deep-link?launch=0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0999', forTeachers(NOTHING, NOTHING)]],
  'lti/same-person': [['/lti/same-person?launch=x', forTeachers(NOTHING, NOTHING)]],
  vault: [['/vault', forTeachers(OK, OK)]],
  'vault/print': [[`/vault/print?questions=${DEMO.drying}`, forTeachers(OK, NOTHING)]],
  'bench/[id]': [[`/bench/${DEMO.drying}`, forTeachers(OK, NOTHING)]],
  'bench/new': [['/bench/new', forTeachers(OK, OK)]],
  'sets/index': [['/sets', forTeachers(OK, OK)]],
  'sets/[id]/index': [[`/sets/${DEMO.weekSet}`, forTeachers(OK, NOTHING)]],
  'sets/[id]/rehearse': [[`/sets/${DEMO.weekSet}/rehearse`, forTeachers(OK, NOTHING)]],
  'sets/[id]/print': [[`/sets/${DEMO.weekSet}/print`, forTeachers(OK, NOTHING)]],
  'lists/index': [['/lists', forTeachers(OK, OK)]],
  'records/index': [['/records', forTeachers(OK, OK)]],
  'records/[id]': [['/records/00000000-0000-4000-8000-000000000000', forTeachers(NOTHING, NOTHING)]],
  board: [[`/board?from=set&id=${DEMO.weekSet}`, forTeachers(OK, NOTHING)]],
  'courses/index': [['/courses', forTeachers(OK, OK)]],
  ...Object.fromEntries(
    [
      'index',
      'calendar',
      'learners',
      'gradebook',
      'outcomes',
      'settings',
      'outside',
      'report/index',
      'report/[learner]',
    ].map((page) => {
      const rest = page === 'index' ? '' : `/${page.replace('/index', '').replace('[learner]', learner)}`;
      const told: [string, number[]][] = [
        [`/courses/${DEMO.course}${rest}`, forTeachers(OK, NOTHING)],
        [`/courses/${SECOND.course}${rest}`, forTeachers(OK, OK)],
      ];
      return [`courses/[id]/${page}`, told];
    }),
  ),
  ...Object.fromEntries(
    [
      'results',
      'outcomes',
      'compare',
      'together',
      'live',
      'editions',
      'settings',
      'paper',
      'print',
      'sittings/[sitting]',
    ].map((page) => {
      const of = (sitting: string) => page.replace('[sitting]', sitting);
      const told: [string, number[]][] = [
        [`/releases/${DEMO.release}/${of(sittings.first)}`, forTeachers(OK, NOTHING)],
        [`/releases/${SECOND.release}/${of(sittings.second)}`, forTeachers(OK, OK)],
      ];
      return [`releases/[id]/${page}`, told];
    }),
  ),
  'account/mail/[token]': [['/account/mail/not-a-token', forTeachers(OK, OK)]],
  'stand-in/mail': [['/stand-in/mail', forTeachers(OK, OK)]],
  'report/[course]': [
    [`/report/${DEMO.course}`, [NOT_THEIRS, NOT_THEIRS, OK, OK, ELSEWHERE]],
    [`/report/${SECOND.course}`, [NOT_THEIRS, NOT_THEIRS, NOTHING, OK, ELSEWHERE]],
  ],
  'sit/index': [['/sit', [NOT_THEIRS, NOT_THEIRS, OK, OK, ELSEWHERE]]],
  'sit/[id]': [
    [`/sit/${DEMO.release}`, [NOT_THEIRS, NOT_THEIRS, OK, OK, ELSEWHERE]],
    [`/sit/${SECOND.release}`, [NOT_THEIRS, NOT_THEIRS, NOTHING, OK, ELSEWHERE]],
  ],
});

const asked = async (browser: Browser, who: string | null): Promise<APIRequestContext> =>
  (who === null ? await browser.newContext() : await signedIn(browser, who)).request;

test('every page is for whom it is for, and for nobody else', async ({ browser }) => {
  test.slow();
  const [owner, ...others] = await Promise.all(EVERYBODY.map((who) => asked(browser, who)));
  const people = [owner as APIRequestContext, ...others];
  const sittingOf = async (release: string) =>
    /\/sittings\/([0-9a-f-]{36})/.exec(
      (await (await people[0]?.get(`/releases/${release}/results`))?.text()) ?? '',
    )?.[1] ?? '';
  const roster = (await (await people[0]?.get(`/api/courses/${SECOND.course}/learners?words=arlo.amble`))?.json()) as {
    value: { rows: { id: string }[] };
  };
  const table = pages(
    { first: await sittingOf(DEMO.release), second: await sittingOf(SECOND.release) },
    roster.value.rows[0]?.id ?? '',
  );
  const there = readdirSync(PAGES, { recursive: true, encoding: 'utf8' }).flatMap((file) =>
    // Parts of pages have no address.
    !file.startsWith('_') && file.endsWith('.astro') ? [file.replace(/\.astro$/, '')] : [],
  );
  expect(there.sort()).toEqual(Object.keys(table).sort());
  for (const rows of Object.values(table))
    for (const [path, told] of rows) {
      const statuses = await Promise.all(
        people.map(async (person) => (await person.get(path, { maxRedirects: 0 })).status()),
      );
      expect([path, statuses]).toEqual([path, told]);
    }
});

/** What a link that saves a file gives. */
async function saved(page: Page, press: () => Promise<void>): Promise<string> {
  const download = page.waitForEvent('download');
  await press();
  return readFileSync(await (await download).path(), 'utf8');
}

test('a learner’s data: the learner has them as a file, the teacher too, and the owner erases them', async ({
  page,
  browser,
}) => {
  const name = `bryn.${Date.now() % 1e6}`;
  const teacher = page.context();
  await signIn(page, 'odile');
  expect(
    (
      await call(teacher, 'POST', `/api/courses/${DEMO.course}/learners`, {
        name: 'Bryn Tarr',
        username: name,
        password: 'seedlings-26',
      })
    ).status,
  ).toBe(200);
  const { page: learner, said } = await sitDown(browser, name, DEMO.release);
  await item(learner, 'Acorn').click();
  await press(learner, 'Put Acorn into Must stay moist');
  await expect(item(learner, 'Acorn')).toHaveAccessibleName('Acorn, in Must stay moist');
  await open(learner, '/account');
  await accessible(learner);
  const own = JSON.parse(await saved(learner, () => learner.getByRole('link', { name: 'Save it as a file' }).click()));
  expect(own).toMatchObject({
    format: 'vault-drop/personal-data',
    account: { username: name },
    signedIn: [{}],
    courses: [{ releases: [{ sittings: [{ moves: [{ item: 'Acorn', zone: 'Must stay moist' }] }] }] }],
  });

  await open(page, `/courses/${DEMO.course}/learners`);
  await page.getByLabel('Find by name').fill('bryn');
  await press(page, 'Data of Bryn Tarr');
  const dialog = page.getByRole('dialog');
  await accessible(page);
  const file = JSON.parse(await saved(page, () => dialog.getByRole('link', { name: 'Save it as a file' }).click()));
  expect(file.courses).toEqual(own.courses);
  await dialog.getByLabel(`To erase it, type ${name}`).fill('somebody');
  await dialog.getByRole('button', { name: 'Erase it for good' }).click();
  await expect(dialog.getByRole('alert')).toHaveText(`That is not ${name}.`);
  await dialog.getByLabel(`To erase it, type ${name}`).fill(name);
  await dialog.getByRole('button', { name: 'Erase it for good' }).click();
  await expect(page.getByText('All data of Bryn Tarr is erased, and the account with it.')).toBeVisible();
  await expect(page.getByText('Nobody is called that.')).toBeVisible();
  expect(said).toEqual([]);
  // The page that is still open does not go on.
  const gone = await call(learner.context(), 'GET', '/api/me');
  expect(gone.status).toBeGreaterThanOrEqual(400);
  const stranger = await browser.newPage();
  await stranger.goto('/sign-in');
  await ready(stranger);
  await stranger.getByLabel('User name').fill(name);
  await stranger.getByLabel('Password').fill('seedlings-26');
  await press(stranger, 'Sign in');
  await expect(stranger.getByRole('alert')).toContainText('is wrong');
});
