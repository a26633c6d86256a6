// The measurements of the slice: starts a server of its own over demo data, measures, prints a table and JSON.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { sit } from '../src/server/sittings/sitting';
import { course, learner, must, release, teacher } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { CONNECTIONS, checkRate, ROUNDS, type Sitter } from './checks';
import { report } from './measure';
import { weight } from './weight';

const PORT = 4496;
const ORIGIN = `http://127.0.0.1:${PORT}`;
const LEARNERS = CONNECTIONS * ROUNDS;
const data = mkdtempSync(join(tmpdir(), 'vault-drop-bench-'));
const env = { ...process.env, VAULT_DROP_DATA: data, VAULT_DROP_ROOT: process.cwd(), NODE_ENV: 'production', LOG_LEVEL: 'warn' };

/** A release without a limit of tries, and a sitting of each learner. */
async function prepare(): Promise<{ releaseId: string; sittings: { username: string; id: string }[] }> {
  const app = await makeApp(readConfig(env));
  const odile = await teacher(app, 'odile');
  const courseId = await course(odile);
  const releaseId = await release(odile, courseId, seeds({ tries: null }));
  const sittings: { username: string; id: string }[] = [];
  for (let i = 0; i < LEARNERS; i++) {
    const one = await learner(odile, courseId, `learner.${i}`);
    sittings.push({ username: `learner.${i}`, id: must(await sit(one, releaseId)).id });
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
const server = spawn(process.execPath, ['server.mjs'], { env: { ...env, PORT: String(PORT), HOST: '127.0.0.1' }, stdio: ['ignore', 'ignore', 'inherit'] });
// However this ends: a server left behind would answer the next run.
process.on('exit', () => server.kill());
try {
  for (let tries = 0; !(await fetch(`${ORIGIN}/api/health`).catch(() => null))?.ok; tries++) {
    if (tries > 100 || server.exitCode !== null) throw new Error('The server did not start');
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const sitters: Sitter[] = [];
  for (const one of sittings) sitters.push(await sitter(one));
  const page = await (await fetch(`${ORIGIN}/sit/${releaseId}`, { headers: { cookie: sitters[0]?.cookie ?? '' } })).text();
  report([await weight(`/sit/${releaseId}`, page), await checkRate(ORIGIN, sitters)]);
} finally {
  server.kill();
  rmSync(data, { recursive: true, force: true });
}
process.exit(0);
