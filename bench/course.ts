// A course at work: a class of 200 answering at once, and the results of a release that thousands have sat.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { move } from '../src/server/database/tables';
import { teacher } from '../tests/support/app';
import { atPace, BATCH, batchRate, comeIn, nothingLost, type Seat, seatAll } from './classroom';
import { CONNECTIONS, ROUNDS } from './load';
import { manySittings } from './manySittings';
import { report } from './measure';
import { openRawMoves } from './rawMoves';
import { benchServer } from './server';

const PEOPLE = 200;
const SENDING = CONNECTIONS * ROUNDS;
const RAW_SECONDS = 3;
const A_MINUTE = 61_000;

const bench = benchServer(4494);
const app = await makeApp(readConfig(bench.env));
// Who sends batches without a pause has a sitting of many hundred moves afterwards: a class at its pace begins anew.
const seats = await seatAll(await teacher(app, 'odile'), SENDING + PEOPLE);
try {
  await bench.start();
  const [sending, pacing] = [seats.slice(0, SENDING), seats.slice(SENDING)];
  await allCome(sending);
  const began = performance.now();
  const rates = await batchRate(bench.origin, sending, rawRate);
  // From one address so many may sign in a minute, and no more.
  await new Promise((resolve) => setTimeout(resolve, Math.max(0, began + A_MINUTE - performance.now())));
  await allCome(pacing);
  const pace = await atPace(bench.origin, pacing);
  const rows = await app.db.select({ sittingId: move.sittingId, n: move.n, id: move.id }).from(move);
  report([...rates, pace, nothingLost(seats, rows), ...(await manySittings())]);
} finally {
  bench.stop();
}
process.exit(0);

async function allCome(some: readonly Seat[]): Promise<void> {
  for (let i = 0; i < some.length; i += 8)
    await Promise.all(some.slice(i, i + 8).map((seat) => comeIn(bench.origin, seat)));
}

/**
 * Moves a second that `client.batch` stores in batches of ten, one after another, into a table like ours: WAL, FULL,
 * the same keys.
 */
async function rawRate(): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'vault-drop-raw-'));
  const client = await openRawMoves(join(folder, 'raw.db'));
  const until = performance.now() + RAW_SECONDS * 1000;
  const began = performance.now();
  let n = 0;
  while (performance.now() < until) {
    await client.batch(
      Array.from({ length: BATCH }, () => ({
        sql: 'INSERT INTO move VALUES (?, ?, ?, 1, 0, ?, ?)',
        args: [
          '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0001',
          ++n,
          crypto.randomUUID(),
          '{"kind":"put","item":"barley","copy":0,"zone":"dry"}',
          Date.now(),
        ],
      })),
      'write',
    );
  }
  const rate = n / ((performance.now() - began) / 1000);
  client.close();
  rmSync(folder, { recursive: true, force: true });
  return rate;
}
