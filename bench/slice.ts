// The measurements of the slice: starts a server of its own over demo data, measures, prints a table and JSON.
import { randomUUID } from 'node:crypto';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { sit } from '../src/server/sittings/sitting';
import { course, learner, must, release, teacher } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { CONNECTIONS, checkRate, ROUNDS, type Sitter } from './checks';
import { report } from './measure';
import { benchServer } from './server';
import { weight } from './weight';

const bench = benchServer(4496);
const { origin: ORIGIN, env } = bench;
const LEARNERS = CONNECTIONS * ROUNDS;

/** A release without a limit of tries, and a sitting of each learner. */
async function prepare(): Promise<{ releaseId: string; sittings: { username: string; id: string }[] }> {
  const app = await makeApp(readConfig(env));
  const odile = await teacher(app, 'odile');
  const courseId = await course(odile);
  const releaseId = await release(odile, courseId, seeds({ tries: null }));
  const sittings: { username: string; id: string }[] = [];
  for (let i = 0; i < LEARNERS; i++) {
    const one = await learner(odile, courseId, `learner.${i}`);
    sittings.push({ username: `learner.${i}`, id: must(await sit(one, releaseId)).open?.id ?? '' });
  }
  return { releaseId, sittings };
}

async function post(path: string, body: unknown, cookie = ''): Promise<Response> {
  const response = await fetch(`${ORIGIN}${path}`, { method: 'POST', headers: { 'content-type': 'application/json', origin: ORIGIN, cookie }, body: JSON.stringify(body) });
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return response;
}
const cookiesOf = (response: Response) => response.headers.getSetCookie().map((line) => line.split(';')[0] ?? '');

/** Signs in as people do, and gets the sitting's ticket with the first move. */
async function sitter({ username, id }: { username: string; id: string }): Promise<Sitter> {
  const session = cookiesOf(await post('/api/auth/sign-in/username', { username, password: 'seedlings-26' })).join('; ');
  const ticket = cookiesOf(await post(`/api/sittings/${id}/moves`, { question: 0, after: 0, moves: [{ id: randomUUID(), kind: 'reset' }] }, session));
  return { cookie: [session, ...ticket].join('; '), sittingId: id, last: 1 };
}

const { releaseId, sittings } = await prepare();
try {
  await bench.start();
  const sitters: Sitter[] = [];
  for (const one of sittings) sitters.push(await sitter(one));
  const page = await (await fetch(`${ORIGIN}/sit/${releaseId}`, { headers: { cookie: sitters[0]?.cookie ?? '' } })).text();
  report([await weight(`/sit/${releaseId}`, page), await checkRate(ORIGIN, sitters)]);
} finally {
  bench.stop();
}
process.exit(0);
