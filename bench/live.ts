// What watching costs: the server's processor time a move while 200 learners answer, with five windows that watch the
// release live against none, by turns; and how soon a change is seen.
import { eq } from 'drizzle-orm';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { sitting } from '../src/server/database/tables';
import { teacher } from '../tests/support/app';
import { comeIn, putsOf, type Seat, seatAll, taken } from './classroom';
import { post, send } from './load';
import { type Measured, median, processorMs, report, shown } from './measure';
import { benchServer } from './server';

const PEOPLE = 200;
const WATCHERS = 5;
const PAIRS = 7;
const SECONDS = 12;
/** A learner makes a move about so often, in milliseconds. */
const PACE_MS = 3000;
const MAX_RATIO = 1.05;
const MAX_SEEN_MS = 1500;

const server = benchServer(4489);
const app = await makeApp(readConfig(server.env));
const odile = await teacher(app, 'odile');
const seats = await seatAll(odile, PEOPLE);
const [first] = seats;
if (!first) throw new Error('There is no learner');
const row = await app.db.query.sitting.findFirst({ where: eq(sitting.id, first.sittingId) });
const path = `/api/releases/${row?.releaseId}/live/events`;
await server.start();
for (const seat of seats) await comeIn(server.origin, seat);
const signedIn = await post(server.origin, '/api/auth/sign-in/username', {
  username: 'odile',
  password: 'seedlings-26',
});
const cookie = signedIn.headers
  .getSetCookie()
  .map((line) => line.split(';')[0] ?? '')
  .join('; ');

/** A window that watches: calls back with the text of each event. */
async function watching(onText: (text: string) => void): Promise<() => void> {
  const gone = new AbortController();
  const answer = await fetch(`${server.origin}${path}`, { headers: { cookie }, signal: gone.signal });
  if (!answer.ok || !answer.body) throw new Error(`${path}: ${answer.status}`);
  const reader = answer.body.getReader();
  const decoder = new TextDecoder();
  const read = async () => {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      onText(decoder.decode(value, { stream: true }));
    }
  };
  void read().catch(() => undefined);
  return () => gone.abort();
}

async function move(seat: Seat): Promise<void> {
  const moves = putsOf(seat, 1);
  const { last } = await send(server.origin, seat, { question: 0, after: seat.last, moves });
  seat.last = last;
  taken(seat, moves);
}

/** Everybody answers at their pace for a while; processor time a move, in milliseconds. */
async function answering(): Promise<number> {
  const began = performance.now();
  const before = processorMs(server.pid());
  let made = 0;
  await Promise.all(
    seats.map(async (seat, i) => {
      // They do not all move at once.
      await new Promise((resolve) => setTimeout(resolve, (i / PEOPLE) * PACE_MS));
      while (performance.now() - began < SECONDS * 1000) {
        const next = performance.now() + PACE_MS;
        await move(seat);
        made++;
        await new Promise((resolve) => setTimeout(resolve, Math.max(0, next - performance.now())));
      }
    }),
  );
  return (processorMs(server.pid()) - before) / made;
}

async function watched(): Promise<number> {
  const ends = await Promise.all(Array.from({ length: WATCHERS }, () => watching(() => undefined)));
  const cost = await answering();
  for (const end of ends) end();
  return cost;
}

/** How long after its answer a move is seen by a window that watches, in milliseconds; of several the longest. */
async function seenAfter(): Promise<number> {
  const times: number[] = [];
  for (const seat of seats.slice(0, 12)) {
    let told = () => {};
    const seen = new Promise<void>((resolve) => {
      told = resolve;
    });
    const end = await watching((text) => text.includes(seat.sittingId) && told());
    await move(seat);
    const from = performance.now();
    await seen;
    times.push(performance.now() - from);
    end();
  }
  return Math.max(...times);
}

await answering();
const ratios: number[] = [];
const costs: [number, number][] = [];
for (let pair = 0; pair < PAIRS; pair++) {
  // Each goes first as often as the other.
  const alone = pair % 2 === 0 ? await answering() : 0;
  const live = await watched();
  const other = pair % 2 === 0 ? alone : await answering();
  ratios.push(live / other);
  costs.push([other, live]);
}
const ratio = median(ratios);
const seen = await seenAfter();
server.stop();
const results: Measured[] = [
  {
    name: `processor time a move, ${WATCHERS} watching ÷ none`,
    value: shown(ratio),
    goal: `≤ ${MAX_RATIO}`,
    met: ratio <= MAX_RATIO,
    ratios: ratios.map((one) => Number(one.toFixed(3))),
    alone: shown(median(costs.map(([alone]) => alone)), ' ms'),
    watched: shown(median(costs.map(([, live]) => live)), ' ms'),
  },
  {
    name: 'a change is seen after, the longest of twelve',
    value: shown(seen, ' ms'),
    goal: `≤ ${MAX_SEEN_MS} ms`,
    met: seen <= MAX_SEEN_MS,
  },
];
report(results);
process.exit(0);
