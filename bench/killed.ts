// A class at work while its server is killed again and again, as by a power cut: each learner sends what was not
// answered for once more, as the page does.
import { asc } from 'drizzle-orm';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import { move } from '../src/server/database/tables';
import { teacher } from '../tests/support/app';
import { comeIn, nothingLost, putsOf, type Seat, seatAll, taken } from './classroom';
import { send } from './load';
import { type Measured, report } from './measure';
import { benchServer } from './server';

const LEARNERS = 50;
const MOVES = 10_000;
const KILLS = 50;
const EACH = MOVES / LEARNERS;
const MAX_AT_ONCE = 5;

const bench = benchServer(4487);
const app = await makeApp(readConfig(bench.env));
const seats = await seatAll(await teacher(app, 'odile'), LEARNERS);
let kills = 0;
let resent = 0;
try {
  await bench.start();
  for (let i = 0; i < seats.length; i += 8)
    await Promise.all(seats.slice(i, i + 8).map((seat) => comeIn(bench.origin, seat)));
  let stored = seats.reduce((sum, { last }) => sum + last, 0);
  const learners = Promise.all(seats.map((seat) => goOn(seat, (count) => (stored += count))));
  // A kill for each fiftieth of the moves, in the middle of what is being stored then.
  for (; kills < KILLS; kills++) {
    const from = (MOVES / KILLS) * kills + 20 + Math.random() * 150;
    while (stored < Math.min(from, MOVES)) await new Promise((resolve) => setTimeout(resolve, 1));
    await bench.kill();
    await bench.start();
  }
  await learners;
  const rows = await app.db
    .select({ sittingId: move.sittingId, n: move.n, id: move.id })
    .from(move)
    .orderBy(asc(move.n));
  const all: Measured = {
    name: `moves of ${LEARNERS} learners stored through ${kills} kills`,
    value: `${rows.length} (${resent} times sent again)`,
    goal: `${MOVES}`,
    met: rows.length === MOVES && kills === KILLS,
  };
  report([all, nothingLost(seats, rows)]);
} finally {
  bench.stop();
}
process.exit(0);

/**
 * Some moves after another until the learner has made all of theirs; what was not answered for is sent again, with the
 * same ids.
 */
async function goOn(seat: Seat, tell: (count: number) => void): Promise<void> {
  while (seat.last < EACH) {
    const moves = putsOf(seat, Math.min(EACH - seat.last, 1 + Math.floor(Math.random() * MAX_AT_ONCE)));
    for (let again = false; ; again = true) {
      if (again) resent++;
      const answer = await send(bench.origin, seat, { question: 0, after: seat.last, moves }).catch((error: Error) => {
        // No answer, or none that can be relied on: the server is gone or has just come back.
        if (error instanceof TypeError || / 50[0-9] /.test(error.message)) return null;
        throw error;
      });
      if (answer) {
        if (answer.last !== seat.last + moves.length)
          throw new Error(`${answer.last} moves are stored, and not ${seat.last + moves.length}`);
        break;
      }
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    seat.last += moves.length;
    taken(seat, moves);
    tell(moves.length);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}
