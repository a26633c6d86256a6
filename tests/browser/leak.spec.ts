import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { type BrowserContext, request as http } from '@playwright/test';
import { eq } from 'drizzle-orm';
import { openDatabase } from '../../src/server/database/open';
import { sitting } from '../../src/server/database/tables';
import { seeds } from '../support/seeds';
import { origin, testServer } from './server';
import { call, DEMO, expect, open, publishing, signIn, test } from './support';

const LABELS = ['barley', 'poppy', 'acorn', 'gravel'];

/** Publishes a document, kept through the API as a question of the teacher's. */
async function published(teacher: BrowserContext, changes: Record<string, unknown>): Promise<string> {
  const questionId = randomUUID();
  const id = randomUUID();
  const document = {
    ...seeds({
      id: questionId,
      title: 'Same on the outside',
      tray: { side: 'bottom', size: 150, order: 'shuffled' },
      ...changes,
    }),
  };
  expect(
    (await call(teacher, 'POST', `/api/questions/${questionId}/copies`, { id: questionId, document })).status,
  ).toBe(200);
  await publishing(teacher, { id, courseId: DEMO.course, questionId, revision: 1 });
  return id;
}

/**
 * All that a learner's browser is sent up to the first check: the page, and the answer to each move; own names of this
 * sitting and times aside.
 */
async function traffic(
  learner: BrowserContext,
  releaseId: string,
  seed: string,
): Promise<{ before: string[]; judged: string }> {
  await learner.request.get(`/sit/${releaseId}`);
  const db = await openDatabase({
    databaseUrl: `file:${join(testServer().data, 'vault-drop.db')}`,
    databaseAuthToken: undefined,
    root: process.cwd(),
  });
  await db.update(sitting).set({ seed }).where(eq(sitting.releaseId, releaseId));
  const sittingId = (await db.query.sitting.findFirst({ where: eq(sitting.releaseId, releaseId) }))?.id ?? '';
  // The island's uid is a hash over its props, the sitting's own id among them.
  const bare = (text: string) =>
    text
      .replaceAll(releaseId, 'RELEASE')
      .replaceAll(sittingId, 'SITTING')
      .replace(/<astro-island uid="\w+"/, '<astro-island');

  const page = await (await learner.request.get(`/sit/${releaseId}`)).text();
  const { items, zones } = openedIn(page).question;
  const named = (things: typeof items, label: string) => things.find((thing) => thing.label === label)?.id ?? '';
  const names = LABELS.map((label) => named(items, label));
  const zoneName = named(zones, 'dry');
  expect([...names, zoneName].every((name) => name.length === 6)).toBe(true);
  const answers: string[] = [];
  const send = async (after: number, move: Record<string, unknown>) => {
    const response = await learner.request.post(`/api/sittings/${sittingId}/moves`, {
      data: { question: 0, after, moves: [{ id: randomUUID(), ...move }] },
      headers: { origin: origin() },
    });
    expect(response.status()).toBe(200);
    return bare(await response.text());
  };
  answers.push(await send(0, { kind: 'reset' }));
  for (const [i, item] of names.entries())
    answers.push(
      await send(
        i + 1,
        i % 2
          ? { kind: 'put', item, copy: 0, zone: zoneName }
          : { kind: 'drop', item, copy: 0, x: 100, y: 100, px: 120, py: 110 },
      ),
    );
  answers.push(bare(await (await learner.request.get(`/sit/${releaseId}`)).text()));
  return { before: [bare(page), ...answers], judged: await send(names.length + 1, { kind: 'check' }) };
}

interface Opened {
  readonly id: string;
  readonly question: Record<'items' | 'zones', { id: string; label: string }[]>;
}

/** The sitting that a learner's page was sent with. */
function openedIn(html: string): Opened {
  const text = /&quot;json&quot;:\[0,(&quot;.*?[^\\]&quot;)\]/.exec(html)?.[1] ?? '';
  const json = JSON.parse(
    text
      .replaceAll('&quot;', '"')
      .replaceAll('&#39;', "'")
      .replaceAll('&lt;', '<')
      .replaceAll('&gt;', '>')
      .replaceAll('&amp;', '&'),
  ) as string;
  return (JSON.parse(json) as { open: Opened }).open;
}

const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });

test('two documents that differ only in key, values, feedback, hints and model answer give the same bytes up to the first check', async ({
  page,
  browser,
}) => {
  await signIn(page, 'odile');
  const one = await published(page.context(), {});
  const other = await published(page.context(), {
    key: [
      {
        zone: 'moist',
        belongs: ['gravel', 'poppy'],
        need: { rule: 'exactly', n: 1 },
        weight: 3,
        says: { zone: say('Whispered'), items: { barley: say('Whispered too') } },
      },
      { zone: 'dry', belongs: [], need: { rule: 'all' } },
    ],
    marks: { max: 3, rule: 'allOrNothing', extraCosts: 0.5, misplacedCosts: 0.5 },
    items: LABELS.map((id, i) => ({
      id,
      label: id,
      size: { w: 100, h: 40 },
      home: { x: 20 + 120 * i, y: 440 },
      value: i,
    })),
    feedback: { right: say('Whispered'), partly: say('Whispered'), wrong: say('Whispered') },
    hints: [say('Whispered'), say('Whispered')],
    show: { modelAnswer: 'always' },
  });
  const learner = await browser.newContext();
  const at = await learner.newPage();
  await signIn(at, 'alder');
  const seed = randomUUID();
  const [first, second] = [await traffic(learner, one, seed), await traffic(learner, other, seed)];
  expect(first.before.length).toBe(7);
  expect(second.before).toEqual(first.before);
  // The phrases of the page are the same for every question.
  const own = first.before.join('').replaceAll(/<script type="application\/json" id="phrases">[^<]*<\/script>/g, '');
  expect(own).toContain('barley');
  expect(own).not.toMatch(/belongs|weight|extraCosts|misplacedCosts|allOrNothing|verdict\\?&quot;/);
  expect(second.before.join('')).not.toContain('Whispered');
  expect(second.judged).toContain('Whispered');
  expect(second.judged).not.toEqual(first.judged);
});

test('a sitting is let in by its own ticket, and by nobody else’s session', async ({ page, browser, baseURL }) => {
  const username = `gorse.${Date.now() % 1e6}`;
  const teacher = await (await browser.newContext()).newPage();
  await signIn(teacher, 'odile');
  expect(
    (
      await call(teacher.context(), 'POST', `/api/courses/${DEMO.course}/learners`, {
        name: 'Gorse Ley',
        username,
        password: 'seedlings-26',
      })
    ).status,
  ).toBe(200);
  await signIn(page, username);
  await open(page, `/sit/${DEMO.release}`);
  const sittingId = openedIn(await (await page.context().request.get(`/sit/${DEMO.release}`)).text()).id;
  expect(sittingId).toHaveLength(36);
  const path = `/api/sittings/${sittingId}/moves`;
  const data = { question: 0, after: 0, moves: [{ id: randomUUID(), kind: 'reset' }] };
  const headers = { origin: baseURL ?? '' };
  // Someone else who is signed in, and somebody who is not.
  const stranger = await (await browser.newContext()).newPage();
  await signIn(stranger, 'rowan');
  expect((await call(stranger.context(), 'POST', path, data)).status).toBe(404);
  const nobody = await http.newContext({ baseURL: baseURL ?? '' });
  expect((await nobody.post(path, { data, headers })).status()).toBe(401);
  // The owner's own move gets a ticket, HttpOnly and for this sitting alone; without the sign-in it is worth nothing.
  await page.context().request.post(path, { data, headers });
  const cookies = await page.context().cookies(`${baseURL}${path}`);
  const ticket = cookies.find(({ name }) => name === `vault-drop.sitting.${sittingId}`);
  expect(ticket).toMatchObject({ httpOnly: true, sameSite: 'Strict', path: `/api/sittings/${sittingId}` });
  expect(
    cookies
      .filter(({ name }) => name.includes('session'))
      .every(({ httpOnly, sameSite }) => httpOnly && sameSite === 'Lax'),
  ).toBe(true);
  expect(
    (await nobody.post(path, { data, headers: { ...headers, cookie: `${ticket?.name}=${ticket?.value}` } })).status(),
  ).toBe(401);
});
