// The heaviest and the most hostile that any endpoint lets in, one after another: how long the event loop of the server
// is held up by each, by its own histogram and by pings that do not wait for one another.
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { zipSync } from 'fflate';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import type { Teacher } from '../src/server/context';
import { publish } from '../src/server/releases/publish';
import { receiveMoves } from '../src/server/sittings/moves';
import { openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, seeds, teacher } from '../tests/support/app';
import { subsetSum } from '../tests/support/seeds';
import { heaviest, zipOfManyNames } from './heavy';
import { type Measured, report, shown } from './measure';
import { benchServer } from './server';

const MAX_MS = 250;
const PING_MS = 20;
const LOOP_PORT = 4489;
const bench = benchServer(4488);
Object.assign(bench.env, {
  NODE_OPTIONS: `--import ${new URL('./loopDelay.mjs', import.meta.url).href}`,
  LOOP_DELAY_PORT: String(LOOP_PORT),
});

const app = await makeApp(readConfig(bench.env));
const odile = await teacher(app, 'odile');
const courseId = await course(odile);
const wren = await learner(odile, courseId, 'wren');

// Things to be heavy with: the largest question there may be, and a set of as many as a release takes.
const large = heaviest();
must(await saveNew(odile, large));
const plain = seeds({ tries: null, afterMiss: 'leave' });
must(await saveNew(odile, plain));
const give = async (
  content: { questionId: string; revision: number } | { setId: string },
  as: { person: Teacher } & typeof odile = odile,
) => must(await publish(as, { id: randomUUID(), courseId, ...content })).id;
const largeRelease = await give({ questionId: large.id, revision: 1 });
const plainRelease = await give({ questionId: plain.id, revision: 1 });
const hard = Array.from({ length: 26 }, (_, i) =>
  seeds({ title: `Hard ${i}`, show: { modelAnswer: 'atTheEnd' }, ...subsetSum(i) }),
);
for (const one of hard) must(await saveNew(odile, one));
const hardSet = randomUUID();
must(await makeSet(odile, hardSet, 'Hard'));
must(await saveSet(odile, hardSet, { title: 'Hard', goBack: true, sections: inOrder(hard.map(({ id }) => id)) }));
const largeSitting = must(await openRelease(wren, largeRelease)).open;
const plainSitting = must(await openRelease(wren, plainRelease)).open;
if (!largeSitting || !plainSitting) throw new Error('A sitting has ended');
await manyMoves(plainSitting.id, 9_400);
// A sitting comes to so many move by move, and its board is kept on the way: the next move does that here.
must(
  await receiveMoves(wren, plainSitting.id, wren.person.id, {
    question: 0,
    after: 9_400,
    moves: [{ id: randomUUID(), kind: 'check' }],
  }),
);

async function manyMoves(sittingId: string, count: number): Promise<void> {
  const items = ['barley', 'poppy', 'acorn', 'gravel'];
  const rows = Array.from({ length: count }, (_, i) => [
    1 + i,
    randomUUID(),
    JSON.stringify(
      i % 40 === 39 ? { kind: 'check' } : { kind: 'put', item: items[i % 4], copy: 0, zone: i % 3 ? 'dry' : 'moist' },
    ),
  ]);
  await app.db.run(sql`insert into move (sitting_id, n, id, edition, question, body, at)
    select ${sittingId}, row.value ->> 0, row.value ->> 1, 1, 0, row.value ->> 2, ${Date.now() - 86_400_000} + (row.value ->> 0) from json_each(${JSON.stringify(rows)}) row`);
  await app.db.run(sql`update sitting set moves = ${count} where id = ${sittingId}`);
}

interface Attack {
  readonly name: string;
  readonly who: 'nobody' | 'learner' | 'teacher';
  readonly method: string;
  readonly path: string;
  readonly body: () => string | Uint8Array | undefined;
  readonly type?: string;
}
const json = (value: unknown) => () => JSON.stringify(value);
const text = (value: string) => () => value;
const svg = (inside: string) => text(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inside}</svg>`);
const MIB = 1024 * 1024;
const moves = (value: unknown) => json({ question: 0, after: 0, moves: value });
const largeMoves = `/api/sittings/${largeSitting.id}/moves`;
const [firstItem] = largeSitting.question.items;
const media = (ending: string, body: Attack['body']): Omit<Attack, 'name'> => ({
  who: 'teacher',
  method: 'POST',
  path: `/api/media?name=a.${ending}`,
  body,
  type: ending === 'svg' ? 'image/svg+xml' : 'image/png',
});
const pack = (body: Attack['body']): Omit<Attack, 'name'> => ({
  who: 'teacher',
  method: 'POST',
  path: `/api/packages?id=${randomUUID()}`,
  body,
  type: 'application/zip',
});
const manifest = (more: object) =>
  new TextEncoder().encode(
    JSON.stringify({ format: 'vault-drop/package', version: 1, shelves: [], questions: [], sets: [], ...more }),
  );

const attacks: Attack[] = [
  {
    name: 'nobody: [ five million deep',
    who: 'nobody',
    method: 'PUT',
    path: '/api/joining',
    body: text('['.repeat(5 * MIB)),
  },
  {
    name: 'nobody: {}, as many as go in',
    who: 'nobody',
    method: 'PUT',
    path: '/api/joining',
    body: text(`[${'{},'.repeat(21_000)}{}]`),
  },
  {
    name: 'nobody: a sign-in of 16 KB',
    who: 'nobody',
    method: 'POST',
    path: '/api/auth/sign-in/username',
    body: json({ username: 'x'.repeat(8000), password: 'y'.repeat(7000) }),
  },
  {
    name: 'nobody: an address with a thousand parameters',
    who: 'nobody',
    method: 'GET',
    path: `/sign-in?${'a=1&'.repeat(1000)}`,
    body: () => undefined,
  },
  {
    name: 'learner: five million zeros as moves',
    who: 'learner',
    method: 'POST',
    path: largeMoves,
    body: moves(Array(5_000_000).fill(0)),
  },
  {
    name: 'learner: 100,000 zeros as moves',
    who: 'learner',
    method: 'POST',
    path: largeMoves,
    body: moves(Array(100_000).fill(0)),
  },
  {
    name: 'learner: 500 drops in the largest question',
    who: 'learner',
    method: 'POST',
    path: largeMoves,
    body: moves(
      Array.from({ length: 500 }, (_, i) => ({
        id: randomUUID(),
        kind: 'drop',
        item: firstItem?.id,
        copy: 0,
        x: (i * 37) % 1900,
        y: (i * 53) % 1000,
        px: 1,
        py: 1,
      })),
    ),
  },
  {
    name: 'learner: 250 checks in the largest question',
    who: 'learner',
    method: 'POST',
    path: largeMoves,
    body: () =>
      JSON.stringify({
        question: 0,
        after: 500,
        moves: Array.from({ length: 250 }, () => ({ id: randomUUID(), kind: 'check' })),
      }),
  },
  {
    name: 'learner: opens the largest question',
    who: 'learner',
    method: 'GET',
    path: `/sit/${largeRelease}`,
    body: () => undefined,
  },
  {
    name: 'learner: opens a sitting of 9,400 moves',
    who: 'learner',
    method: 'GET',
    path: `/sit/${plainRelease}`,
    body: () => undefined,
  },
  { name: 'learner: all that is kept of them', who: 'learner', method: 'GET', path: '/api/me', body: () => undefined },
  {
    name: 'learner: finishes a sitting of 9,400 moves',
    who: 'learner',
    method: 'POST',
    path: `/api/sittings/${plainSitting.id}/finish`,
    body: () => undefined,
  },
  { name: 'teacher: a drawing of comments', ...media('png', text(`${'<!---->'.repeat(100_000)}x`)) },
  { name: 'teacher: a drawing 30,000 deep', ...media('svg', svg('<g>'.repeat(30_000))) },
  { name: 'teacher: a drawing of 59,000 paths', ...media('svg', svg('<path d="M0 0h1"/>'.repeat(59_000))) },
  {
    name: 'teacher: a drawing of 4,900 paths',
    ...media('svg', svg('<path d="M0 0h1v1h-1z" fill="#123456"/>'.repeat(4_900))),
  },
  {
    name: 'teacher: a drawing of 60,000 attributes',
    ...media('svg', svg(`<path ${Array.from({ length: 60_000 }, (_, i) => `a${i}="1"`).join(' ')}/>`)),
  },
  {
    name: 'teacher: 60 MB of a film',
    who: 'teacher',
    method: 'POST',
    path: '/api/media?name=a.webm',
    body: () => Buffer.concat([Buffer.from([0x1a, 0x45, 0xdf, 0xa3]), Buffer.alloc(60_000_000)]),
    type: 'video/webm',
  },
  { name: 'teacher: a zip that names one part 12,000 times', ...pack(() => zipOfManyNames(12_000)) },
  {
    name: 'teacher: a zip that inflates to 400 MB',
    ...pack(() =>
      zipSync({ 'package.json': manifest({}), 'questions/1.json': new Uint8Array(400_000_000) }, { level: 9 }),
    ),
  },
  {
    name: 'teacher: a package of 3,000 shelves',
    ...pack(() =>
      zipSync({
        'package.json': manifest({
          shelves: Array.from({ length: 3000 }, (_, i) => ({
            id: `s${i}`,
            title: `S ${i}`,
            parentId: i ? `s${i - 1}` : null,
          })),
        }),
      }),
    ),
  },
  {
    name: 'teacher: a package of 40 of the largest questions',
    ...pack(() =>
      zipSync(
        Object.fromEntries([
          [
            'package.json',
            manifest({ questions: Array.from({ length: 40 }, (_, i) => ({ file: `questions/${i + 1}.json` })) }),
          ],
          ...Array.from({ length: 40 }, (_, i) => [
            `questions/${i + 1}.json`,
            new TextEncoder().encode(JSON.stringify({ ...large, id: randomUUID() })),
          ]),
        ]) as Record<string, Uint8Array>,
      ),
    ),
  },
  {
    name: 'teacher: edits of 2 MB',
    who: 'teacher',
    method: 'POST',
    path: `/api/questions/${plain.id}/edits`,
    body: json({
      id: randomUUID(),
      from: 1,
      edits: Array(5000).fill({ type: 'set', in: 'items', id: 'x'.repeat(300), field: 'label', to: 'y', from: 'z' }),
    }),
  },
  {
    name: 'teacher: edits that are none, 700,000',
    who: 'teacher',
    method: 'POST',
    path: `/api/questions/${plain.id}/edits`,
    body: text(`{"id":"${randomUUID()}","from":1,"edits":[${'{},'.repeat(600_000)}{}]}`),
  },
  {
    name: 'teacher: an edit of the largest question',
    who: 'teacher',
    method: 'POST',
    path: `/api/questions/${large.id}/edits`,
    body: json({
      id: randomUUID(),
      from: 1,
      edits: [{ type: 'setQuestion', field: 'title', to: 'Another', from: large.title }],
    }),
  },
  {
    name: 'teacher: a copy of the largest question',
    who: 'teacher',
    method: 'POST',
    path: `/api/questions/${large.id}/copies`,
    body: json({ id: randomUUID(), document: large }),
  },
  {
    name: 'teacher: reads the largest question',
    who: 'teacher',
    method: 'GET',
    path: `/api/questions/${large.id}`,
    body: () => undefined,
  },
  {
    name: 'teacher: opens the largest question at the Bench',
    who: 'teacher',
    method: 'GET',
    path: `/bench/${large.id}`,
    body: () => undefined,
  },
  {
    name: 'teacher: publishes 26 searches',
    who: 'teacher',
    method: 'POST',
    path: '/api/releases',
    body: json({ id: randomUUID(), courseId, setId: hardSet }),
  },
  {
    name: 'teacher: packs the largest question',
    who: 'teacher',
    method: 'GET',
    path: `/api/packages?questions=${large.id}`,
    body: () => undefined,
  },
  {
    name: 'teacher: a roster of 1 MB',
    who: 'teacher',
    method: 'POST',
    path: `/api/courses/${courseId}/roster`,
    body: json({
      text: Array.from({ length: 5000 }, (_, i) => `${'N'.repeat(90)} ${i},user.${i},,Group ${i % 50}`).join('\n'),
      take: false,
    }),
  },
  {
    name: 'teacher: a list of 2,000 lines',
    who: 'teacher',
    method: 'POST',
    path: '/api/lists',
    body: json({ id: randomUUID(), title: 'Long', rows: Array(2000).fill(Array(12).fill('a seed of some kind')) }),
  },
  {
    name: 'teacher: a set of 200 questions that are none',
    who: 'teacher',
    method: 'PUT',
    path: `/api/sets/${hardSet}`,
    body: json({
      from: 2,
      title: 'x',
      goBack: true,
      sections: Array(50).fill({ title: '', draw: null, questions: Array(200).fill({ id: 'x', points: 'y' }) }),
    }),
  },
  {
    name: 'teacher: retraces a sitting of 9,400 moves',
    who: 'teacher',
    method: 'GET',
    path: `/releases/${plainRelease}/sittings/${plainSitting.id}`,
    body: () => undefined,
  },
  {
    name: 'teacher: the analysis of it',
    who: 'teacher',
    method: 'GET',
    path: `/api/releases/${plainRelease}/analysis`,
    body: () => undefined,
  },
  {
    name: 'teacher: the analysis of the largest question',
    who: 'teacher',
    method: 'GET',
    path: `/api/releases/${largeRelease}/analysis`,
    body: () => undefined,
  },
  {
    name: 'teacher: a correction of 9,400 moves',
    who: 'teacher',
    method: 'POST',
    path: `/api/releases/${plainRelease}/editions`,
    body: json({
      reason: 'x',
      changes: [{ question: 0, strike: false, fromVault: false, accept: [{ item: 'gravel', zone: 'dry' }] }],
      number: null,
    }),
  },
  {
    name: 'teacher: the page of corrections of the largest question',
    who: 'teacher',
    method: 'GET',
    path: `/releases/${largeRelease}/editions`,
    body: () => undefined,
  },
  {
    name: 'teacher: ?__proto__',
    who: 'teacher',
    method: 'GET',
    path: '/api/questions?__proto__=x&constructor=y',
    body: () => undefined,
  },
  {
    name: 'teacher: words that match everything',
    who: 'teacher',
    method: 'GET',
    path: `/api/questions?words=${encodeURIComponent('a '.repeat(100))}`,
    body: () => undefined,
  },
];

async function signedIn(username: string): Promise<string> {
  const answer = await fetch(`${bench.origin}/api/auth/sign-in/username`, {
    method: 'POST',
    headers: { origin: bench.origin, 'content-type': 'application/json' },
    body: JSON.stringify({ username, password: 'seedlings-26' }),
  });
  return answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');
}
const loop = async () =>
  (await (await fetch(`http://127.0.0.1:${LOOP_PORT}/`)).json()) as { maxMs: number; rssMb: number };

interface Outcome {
  readonly name: string;
  readonly status: number | string;
  readonly ms: number;
  readonly loopMs: number;
  readonly pingMs: number;
  readonly rssMb: number;
}

async function attacked(
  { name, who, method, path, body, type = 'application/json' }: Attack,
  cookies: Readonly<Record<Attack['who'], string>>,
): Promise<Outcome> {
  // What takes long to make here must not look like a server that is slow, or leave connections unused until it closes
  // them.
  const content = body();
  await new Promise((resolve) => setTimeout(resolve, 100));
  await loop();
  let pingMs = 0;
  const pings: Promise<void>[] = [];
  const timer = setInterval(() => {
    const began = performance.now();
    pings.push(
      fetch(`${bench.origin}/api/ping`)
        .then((answer) => answer.text())
        .then(() => {
          pingMs = Math.max(pingMs, performance.now() - began);
        })
        .catch(() => {
          pingMs = Infinity;
        }),
    );
  }, PING_MS);
  const began = performance.now();
  const headers = {
    origin: bench.origin,
    cookie: cookies[who],
    ...(content === undefined ? {} : { 'content-type': type }),
  };
  const status = await fetch(`${bench.origin}${path}`, {
    method,
    headers,
    ...(content === undefined ? {} : { body: content as BodyInit }),
    signal: AbortSignal.timeout(120_000),
  })
    .then(async (answer) => {
      await answer.arrayBuffer();
      return answer.status;
    })
    .catch((error: Error) => `${error.message}${error.cause ? ` (${(error.cause as Error).message})` : ''}`);
  const ms = performance.now() - began;
  // What goes on behind the answer counts too.
  await new Promise((resolve) => setTimeout(resolve, 300));
  clearInterval(timer);
  await Promise.all(pings);
  const { maxMs, rssMb } = await loop();
  return { name, status, ms: Math.round(ms), loopMs: Math.round(maxMs), pingMs: Math.round(pingMs), rssMb };
}

try {
  await bench.start();
  const cookies = { nobody: '', learner: await signedIn('wren'), teacher: await signedIn('odile') };
  // Warm: what is loaded once is not what is measured.
  for (const path of ['/sign-in', `/sit/${plainRelease}`])
    await fetch(`${bench.origin}${path}`, { headers: { cookie: cookies.learner } }).then((answer) => answer.text());
  for (const path of ['/vault', `/bench/${plain.id}`])
    await fetch(`${bench.origin}${path}`, { headers: { cookie: cookies.teacher } }).then((answer) => answer.text());
  const outcomes: Outcome[] = [];
  const only = process.argv[2];
  for (const attack of attacks) if (!only || attack.name.includes(only)) outcomes.push(await attacked(attack, cookies));
  console.table(outcomes);
  const worst = (of: 'loopMs' | 'pingMs') =>
    outcomes.reduce((most, outcome) => (outcome[of] > most[of] ? outcome : most));
  const line = (name: string, of: 'loopMs' | 'pingMs'): Measured => {
    const { name: by, [of]: value } = worst(of);
    return { name, value: `${shown(value, ' ms')} (${by})`, goal: `≤ ${MAX_MS} ms`, met: value <= MAX_MS };
  };
  const broken = outcomes.filter(({ status }) => typeof status === 'string' || status >= 500);
  report([
    line('longest delay of the event loop, by its histogram', 'loopMs'),
    line('longest ping meanwhile', 'pingMs'),
    {
      name: `of ${outcomes.length} attacks, answered with a failure of the server`,
      value: broken.map(({ name, status }) => `${name}: ${status}`).join('; ') || 'none',
      goal: 'none',
      met: broken.length === 0,
    },
  ]);
} finally {
  bench.stop();
}
process.exit(0);
