// The speed of a move: batches of ten stored through the application, against a bare HTTP server that stores the same
// rows, against raw inserts, and against a request that does nothing; and how long a class waits.
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { move } from '../src/server/database/tables';
import { teacher } from '../tests/support/app';
import { atPace, BATCH, batches, nothingLost, type Seat } from './classroom';
import { CONNECTIONS, pings } from './load';
import { type Measured, median, processorMs, report, shown } from './measure';
import { openRawMoves } from './rawMoves';
import { seatSigned } from './seats';
import { benchServer } from './server';

/** How many rounds; fewer are enough for a first look. */
const ROUNDS = Number(process.argv[2] ?? 5);
/** Rounds before the first that counts: code that has not run yet is slow. */
const WARMING = 2;
const RAW_SECONDS = 3;
const RAW_ROWS = 320;
const [CLASS, SCHOOL] = [200, 1000];
const BARE_PORT = 4487;

const server = benchServer(4488);
const folder = mkdtempSync(join(tmpdir(), 'vault-drop-bare-'));
const app = await makeApp(readConfig(server.env));
const seats = await seatSigned(app, await teacher(app, 'odile'), CONNECTIONS * (3 * ROUNDS + WARMING) + CLASS + SCHOOL);
const everybody = [...seats];
/** The next so many learners, who have not moved yet. */
const take = (n: number) => seats.splice(0, n);

interface Rate {
  /** Batches a second. */
  readonly rate: number;
  /** Processor time of the server a batch, in milliseconds. */
  readonly cost: number;
}

async function measured(origin: string, pid: number, sitters: readonly Seat[]): Promise<Rate> {
  const before = processorMs(pid);
  const { rate, count } = await batches(origin, sitters);
  return { rate, cost: (processorMs(pid) - before) / count };
}

async function bare(mode: 'batch' | 'row', sitters: readonly Seat[]): Promise<Rate> {
  const child: ChildProcess = spawn(process.execPath, ['--import', 'tsx', 'bench/bareServer.ts'], {
    env: { ...process.env, FILE: join(folder, 'bare.db'), PORT: String(BARE_PORT), MODE: mode },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const origin = `http://127.0.0.1:${BARE_PORT}`;
  const up = () =>
    fetch(origin).then(
      () => true,
      () => false,
    );
  while (child.exitCode === null && !(await up())) await new Promise((resolve) => setTimeout(resolve, 50));
  // Its rows are its own: the learners have not moved in the application.
  const apart = sitters.map((seat) => ({ ...seat, last: 0, stored: new Set<string>(), sent: new Set<string>() }));
  const rate = await measured(origin, child.pid ?? 0, apart);
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await ended;
  for (const end of ['', '-wal', '-shm']) rmSync(join(folder, `bare.db${end}`), { force: true });
  return rate;
}

/** Rows a second by statements of 320 rows, one after another, under the same durability. */
async function rawRows(): Promise<number> {
  const client = await openRawMoves(join(folder, 'raw.db'));
  const sql = `INSERT INTO move VALUES ${Array(RAW_ROWS).fill('(?, ?, ?, 1, 0, ?, ?)').join(', ')}`;
  const body = JSON.stringify({ kind: 'put', item: 'barley', copy: 0, zone: 'dry' });
  const began = performance.now();
  let n = 0;
  while (performance.now() - began < RAW_SECONDS * 1000) {
    const args: (string | number)[] = [];
    for (let i = 0; i < RAW_ROWS; i++)
      args.push(`sitting-${n % CONNECTIONS}`, ++n, crypto.randomUUID(), body, Date.now());
    await client.execute({ sql, args });
  }
  const rate = n / ((performance.now() - began) / 1000);
  client.close();
  for (const end of ['', '-wal', '-shm']) rmSync(join(folder, `raw.db${end}`), { force: true });
  return rate;
}

const ratio = (name: string, top: number, bottom: number, goal: number, atLeast: boolean, unit: string): Measured => {
  const value = top / bottom;
  return {
    name,
    value: `${shown(value)} (${shown(top)} / ${shown(bottom)}${unit})`,
    goal: `${atLeast ? '≥' : '≤'} ${goal}`,
    met: atLeast ? value >= goal : value <= goal,
    ratio: value,
  };
};

try {
  await server.start();
  for (let i = 0; i < WARMING; i++) await batches(server.origin, take(CONNECTIONS));
  const rounds: { ours: Rate; batch: Rate; row: Rate; ping: number; raw: number }[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const sitters = take(CONNECTIONS * 3);
    const ours = [];
    for (let part = 0; part < 3; part++)
      ours.push(
        await measured(server.origin, server.pid(), sitters.slice(part * CONNECTIONS, (part + 1) * CONNECTIONS)),
      );
    rounds.push({
      ours: { rate: median(ours.map(({ rate }) => rate)), cost: median(ours.map(({ cost }) => cost)) },
      batch: await bare('batch', sitters.slice(0, CONNECTIONS)),
      row: await bare('row', sitters.slice(0, CONNECTIONS)),
      ping: await pings(server.origin),
      raw: await rawRows(),
    });
    console.error(JSON.stringify(rounds.at(-1)));
  }
  const of = (pick: (round: (typeof rounds)[number]) => number) => median(rounds.map(pick));
  const rate = of(({ ours }) => ours.rate);
  const results: Measured[] = [
    ratio(
      'batches of ten stored a second / by a bare server, a raw batch each',
      rate,
      of(({ batch }) => batch.rate),
      2,
      true,
      '',
    ),
    ratio(
      `moves stored a second / raw inserts of ${RAW_ROWS} rows`,
      rate * BATCH,
      of(({ raw }) => raw),
      0.5,
      true,
      '',
    ),
    ratio(
      'batches of ten stored a second / pings through the page pipeline',
      rate,
      of(({ ping }) => ping),
      2,
      true,
      '',
    ),
    ratio(
      'processor time a batch / of a bare server with one insert of ten rows',
      ...([of(({ ours }) => ours.cost), of(({ row }) => row.cost), 1.5, false, ' ms'] as const),
    ),
    await atPace(server.origin, take(CLASS), 100),
    await atPace(server.origin, take(SCHOOL), 250),
  ];
  const rows = await app.db.select({ sittingId: move.sittingId, n: move.n, id: move.id }).from(move);
  report([...results, nothingLost(everybody, rows)]);
} finally {
  server.stop();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
