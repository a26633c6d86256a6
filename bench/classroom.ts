// A class at work over HTTP: each learner signed in with a ticket for their own sitting of a ten-question set.
import { randomUUID } from 'node:crypto';
import type { As, Learner, Teacher } from '../src/server/context';
import { publish } from '../src/server/releases/publish';
import { openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, seeds } from '../tests/support/app';
import { CONNECTIONS, pings, post, ROUNDS, type Sitter, send, sendings, signIn } from './load';
import { type Measured, median, shown } from './measure';

export const QUESTIONS = 10;
export const BATCH = 10;
const PACE_SECONDS = 30;
const MAX_P99 = 250;
/** How often an answer is taken for lost, and what was sent is sent again. */
const RESENT = 0.05;

/** A learner at their place: what they know of their sitting, and what they sent. */
export interface Seat extends Sitter {
  readonly username: string;
  readonly items: readonly string[];
  readonly zones: readonly string[];
  /** The ids of moves that were answered for, and of those that were sent. */
  readonly stored: Set<string>;
  readonly sent: Set<string>;
}

export interface Ground {
  readonly courseId: string;
  readonly releaseId: string;
}

/** A course with a release of ten questions; `tries` null: without a limit. */
export async function publishTen(odile: As<Teacher>, tries: number | null): Promise<Ground> {
  const courseId = await course(odile);
  const questions = Array.from({ length: QUESTIONS }, (_, i) =>
    seeds({ title: `Question ${i + 1}`, tries, afterMiss: 'leave' }),
  );
  for (const question of questions) must(await saveNew(odile, question));
  const setId = randomUUID();
  must(await makeSet(odile, setId, 'Ten'));
  must(await saveSet(odile, setId, { title: 'Ten', goBack: true, sections: inOrder(questions.map(({ id }) => id)) }));
  return { courseId, releaseId: must(await publish(odile, { id: randomUUID(), courseId, setId })).id };
}

/** A course of so many, a set of ten questions without a limit of tries, and a sitting of each. */
export async function seatAll(odile: As<Teacher>, people: number): Promise<Seat[]> {
  const { courseId, releaseId } = await publishTen(odile, null);
  const seats: Seat[] = [];
  for (let i = 0; i < people; i += 8)
    seats.push(
      ...(await Promise.all(
        Array.from({ length: Math.min(8, people - i) }, async (_, k) =>
          seat(await learner(odile, courseId, `learner.${i + k}`), releaseId),
        ),
      )),
    );
  return seats;
}

async function seat(as: As<Learner>, releaseId: string): Promise<Seat> {
  const { open } = must(await openRelease(as, releaseId));
  if (!open) throw new Error('The sitting has ended');
  return {
    username: as.person.username ?? '',
    sittingId: open.id,
    items: open.question.items.map(({ id }) => id),
    zones: open.question.zones.map(({ id }) => id),
    cookie: '',
    last: 0,
    stored: new Set(),
    sent: new Set(),
  };
}

/** Signs in as people do, and gets the sitting's ticket with the first move. */
export async function comeIn(origin: string, seat: Seat): Promise<void> {
  const moves = putsOf(seat, 1);
  await signIn(origin, seat, seat.username, moves);
  taken(seat, moves);
}

interface Move {
  readonly id: string;
  readonly kind: string;
}

/** Items put here and there; the ids are noted as sent. */
export function putsOf(seat: Seat, n: number): Move[] {
  return Array.from({ length: n }, (_, i) => {
    const id = randomUUID();
    seat.sent.add(id);
    return {
      id,
      kind: 'put',
      item: seat.items[(seat.last + i) % seat.items.length],
      copy: 0,
      zone: seat.zones[Math.floor((seat.last + i) / seat.items.length) % seat.zones.length],
    };
  });
}
export const taken = (seat: Seat, moves: readonly Move[]) => {
  for (const { id } of moves) seat.stored.add(id);
};

/** More moves a minute than a learner may make are not sent. */
const BATCH_SECONDS = 3;

/** One batch of ten after another: how many a second, and in all. */
export function batches(
  origin: string,
  seats: readonly Seat[],
): Promise<{ readonly rate: number; readonly count: number }> {
  const under = new Map<Seat, Move[]>();
  return sendings(
    origin,
    seats,
    (seat) => {
      const moves = putsOf(seat, BATCH);
      under.set(seat, moves);
      return { question: 0, after: seat.last, moves };
    },
    (seat, { last }) => {
      if (last !== seat.last + BATCH) return false;
      seat.last = last;
      taken(seat, under.get(seat) ?? []);
      return true;
    },
    BATCH_SECONDS,
  );
}

/**
 * Batches of ten stored a second against pings of the same server, and the moves in them against `raw`: moves a second
 * by `client.batch` alone, in the same run.
 */
export async function batchRate(
  origin: string,
  seats: readonly Seat[],
  raw: () => Promise<number>,
): Promise<Measured[]> {
  const rounds: { ping: number; batch: number; raw: number }[] = [];
  for (let round = 0; round < ROUNDS; round++)
    rounds.push({
      ping: await pings(origin),
      batch: (await batches(origin, seats.slice(round * CONNECTIONS, (round + 1) * CONNECTIONS))).rate,
      raw: await raw(),
    });
  const [ping, batch, alone] = [
    median(rounds.map((r) => r.ping)),
    median(rounds.map((r) => r.batch)),
    median(rounds.map((r) => r.raw)),
  ];
  const [toPing, toRaw] = [batch / ping, (batch * BATCH) / alone];
  return [
    {
      name: `batches of ten moves stored a second / pings (${CONNECTIONS} connections)`,
      value: `${shown(toPing)} (${shown(batch)} / ${shown(ping)})`,
      goal: '≥ 0.25',
      met: toPing >= 0.25,
      ratio: toPing,
    },
    {
      name: 'moves stored a second in batches of ten / client.batch of ten inserts',
      value: `${shown(toRaw)} (${shown(batch * BATCH)} / ${shown(alone)})`,
      goal: '≥ 0.2',
      met: toRaw >= 0.2,
      ratio: toRaw,
    },
  ];
}

/**
 * All learners at once, as people go: a few moves, a check, the next question; and now and then the same again, as when
 * an answer was lost.
 */
export async function atPace(origin: string, seats: readonly Seat[], maxP99 = MAX_P99): Promise<Measured> {
  const latencies: number[] = [];
  const until = performance.now() + PACE_SECONDS * 1000;
  const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
  let resent = 0;
  let errors = 0;
  const timed = async (seat: Seat, question: number, moves: readonly Move[], after: number): Promise<number> => {
    const began = performance.now();
    const { last } = await send(origin, seat, { question, after, moves });
    latencies.push(performance.now() - began);
    return last;
  };
  const sendOn = async (seat: Seat, question: number, moves: readonly Move[]) => {
    const after = seat.last;
    seat.last = await timed(seat, question, moves, after);
    taken(seat, moves);
    if (seat.last !== after + moves.length) errors++;
    if (Math.random() < RESENT) {
      resent++;
      if ((await timed(seat, question, moves, after)) !== seat.last) errors++;
    }
  };
  const goOn = async (seat: Seat) => {
    for (let question = 0; performance.now() < until; question = Math.min(question + 1, QUESTIONS - 1)) {
      // As the page does when it is opened: it learns where the sitting stands, too.
      const opened = await post(origin, `/api/sittings/${seat.sittingId}/at`, { question }, seat.cookie);
      const { value } = (await opened.json()) as {
        value: { last: number; question: { items: { id: string }[]; zones: { id: string }[] } };
      };
      Object.assign(seat, {
        last: value.last,
        items: value.question.items.map(({ id }) => id),
        zones: value.question.zones.map(({ id }) => id),
      });
      for (let step = 0; step < 3 && performance.now() < until; step++) {
        await wait(1000 + Math.random() * 3000);
        await sendOn(seat, question, putsOf(seat, 1 + Math.floor(Math.random() * 3)));
      }
      const check = { id: randomUUID(), kind: 'check' };
      seat.sent.add(check.id);
      await sendOn(seat, question, [check]);
    }
  };
  const failed = (await Promise.allSettled(seats.map(goOn))).filter((result) => result.status === 'rejected');
  for (const result of failed) console.error(result.reason);
  const p99 = [...latencies].sort((a, b) => a - b)[Math.floor(latencies.length * 0.99)] ?? 0;
  return {
    name: `${seats.length} learners at their pace: p99 of ${latencies.length} requests in ${PACE_SECONDS} s (${resent} sent twice)`,
    value: `${shown(p99, ' ms')} (median ${shown(median(latencies), ' ms')}), ${errors + failed.length} errors`,
    goal: `under ${maxP99} ms, no error`,
    met: p99 < maxP99 && errors + failed.length === 0,
    milliseconds: p99,
  };
}

/** Every move that was answered for is stored once and in order, and nothing that was not sent. */
export function nothingLost(
  seats: readonly Seat[],
  rows: readonly { sittingId: string; n: number; id: string }[],
): Measured {
  let [lost, doubled, foreign, gaps] = [0, 0, 0, 0];
  for (const seat of seats) {
    const mine = rows.filter(({ sittingId }) => sittingId === seat.sittingId).sort((a, b) => a.n - b.n);
    const ids = new Set(mine.map(({ id }) => id));
    lost += [...seat.stored].filter((id) => !ids.has(id)).length;
    doubled += mine.length - ids.size;
    foreign += mine.filter(({ id }) => !seat.sent.has(id)).length;
    gaps += mine.filter(({ n }, i) => n !== i + 1).length;
  }
  const wrong = lost + doubled + foreign + gaps;
  return {
    name: `of ${rows.length} moves stored`,
    value: `${lost} lost, ${doubled} doubled, ${foreign} not sent, ${gaps} out of order`,
    goal: 'none',
    met: wrong === 0,
  };
}
