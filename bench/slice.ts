// The measurements of the slice: starts a server of its own over demo data, measures, prints a table and JSON.
import { randomUUID } from 'node:crypto';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { openRelease } from '../src/server/sittings/openRelease';
import { course, learner, must, release, teacher } from '../tests/support/app';
import { seeds } from '../tests/support/seeds';
import { checkRate } from './checks';
import { CONNECTIONS, ROUNDS, type Sitter, signIn } from './load';
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
    sittings.push({ username: `learner.${i}`, id: must(await openRelease(one, releaseId)).open?.id ?? '' });
  }
  return { releaseId, sittings };
}

const { releaseId, sittings } = await prepare();
try {
  await bench.start();
  const sitters: Sitter[] = [];
  for (const { username, id } of sittings) {
    const sitter: Sitter = { cookie: '', sittingId: id, last: 0 };
    await signIn(ORIGIN, sitter, username, [{ id: randomUUID(), kind: 'reset' }]);
    sitters.push(sitter);
  }
  const page = await (
    await fetch(`${ORIGIN}/sit/${releaseId}`, { headers: { cookie: sitters[0]?.cookie ?? '' } })
  ).text();
  report([await weight(`/sit/${releaseId}`, page), await checkRate(ORIGIN, sitters)]);
} finally {
  bench.stop();
}
process.exit(0);
