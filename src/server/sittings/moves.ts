import { sql } from 'drizzle-orm';
import type { MovesAnswer, Sent } from '../../contract';
import { applyBatch, type BatchResult, checkpointOf, movesView, type SentMove } from '../../core';
import type { Context } from '../context';
import type { Database } from '../database/open';
import { checkpoint } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { steadyNow } from '../releases/time';
import { additionOf } from './addition';
import { appendMoves } from './appendMoves';
import { closedIfOver } from './finish';
import { type Remembered, recall, remember } from './recent';
import { type At, askedOf, atOf, isSignedIn, type OpenSitting, recordOf, sittingOf } from './standing';
import { viewOf } from './view';

/** How often another process may get in between before that is taken for something worse. */
const MAX_ATTEMPTS = 4;
/** Moves of one sitting: an honest one comes near neither. */
const MAX_MOVES = 10_000;
const MAX_IN_A_MINUTE = 2_000;
const MINUTE_MS = 60_000;
/** How many moves go by before where they led is stored. */
const CHECKPOINT_EVERY = 200;
/** How long moves are taken before others get their turn, in milliseconds. */
const TURN_MS = 25;

/**
 * Stores a learner's moves, in order and each once, and judges what is to be judged among them. `session`: the token of
 * the sign-in they were let in by, if it was not looked up yet.
 */
export async function receiveMoves(
  context: Context,
  sittingId: string,
  learnerId: string,
  sent: Sent,
  session: string | null = null,
): Promise<Result<MovesAnswer>> {
  if (session !== null && !(await isSignedIn(context, session, learnerId))) return fail('notSignedIn');
  for (let attempt = 1; attempt <= MAX_ATTEMPTS; attempt++) {
    const answer = await tryToReceive(context, sittingId, learnerId, sent, { session, again: attempt > 1 });
    if (answer !== 'again') return answer;
  }
  return fail('unavailable');
}

async function tryToReceive(
  context: Context,
  sittingId: string,
  learnerId: string,
  sent: Sent,
  { session, again }: { session: string | null; again: boolean },
): Promise<Result<MovesAnswer> | 'again'> {
  const { db } = context;
  const remembered = recall(sittingId);
  const found = await sittingOf(context, sittingId, learnerId);
  if (!found?.available || sent.question > found.reached) return fail('notFound');
  const open = await closedIfOver(context, found);
  if (open.finishedAt) return fail('sittingFinished');
  const { at, checkpointed } = (await lookUp(db, open, sent.question, remembered)) ?? {};
  if (!at || checkpointed === undefined) return fail('notFound');
  if (!at.goBack && sent.question < open.reached) return fail('alreadyEnded');
  if (at.deferred && sent.moves.some(({ kind }) => kind === 'check' || kind === 'hint'))
    return fail('invalid', { problems: [{ path: 'moves', message: 'This is checked at the end.' }] });

  const known =
    again || sent.after !== open.last ? await knownOf(db, sittingId, sent.moves) : new Map<string, number>();
  const { fresh, seen } = unknownOf(known, sent);
  // Another window went on. Then nothing is taken, and the page is told where it stands.
  if (fresh.length > 0 && seen !== open.last) return fail('sittingMovedOn', { detail: viewOf(at) });
  if (open.last + fresh.length > MAX_MOVES) return fail('sittingFull');
  if (fresh.length > 0 && (await isTooFast(context, open, fresh.length))) return fail('tooMany');

  const before = at.standing.tries.count;
  // Of moves sent again, those after the one that ended the question were passed over then, and are now.
  const passed = fresh.length < sent.moves.length && at.standing.ended;
  const took =
    passed || fresh.length === 0
      ? { ...NOTHING, standing: at.standing, passedOver: fresh.length }
      : await applyInTurns(at, fresh);
  if (!took.ok) {
    if (took.reason === 'ended') return fail('alreadyEnded');
    return fail('invalid', { problems: [{ path: `moves${took.path}`, message: 'This is not in the question.' }] });
  }
  const last = open.last + took.taken.length;
  const next: At = { ...at, standing: took.standing };
  if (took.taken.length > 0) {
    const by = { session, steady: steadyNow(context) };
    const addition = additionOf(next, {
      taken: took.taken,
      first: open.last + 1,
      at: context.now(),
      tried: next.standing.tries.count > before,
      by,
    });
    if ((await appendMoves(db, addition)) !== 'stored') return 'again';
  }
  const stored = last - checkpointed >= CHECKPOINT_EVERY ? await storeCheckpoint(db, next, last) : checkpointed;
  remember(sittingId, {
    question: at.question,
    edition: open.edition,
    reopenedAfter: open.reopenedAfter,
    last,
    checkpointed: stored,
    standing: next.standing,
    sent: at.edition,
  });
  return ok({ last, ...movesView(next, next.standing, took) });
}

const NOTHING = { ok: true, taken: [], turnedAway: [] } as const;

/** Where the question stands: as it is remembered, if nobody has gone on since; else from the record. */
async function lookUp(
  db: Database,
  open: OpenSitting,
  place: number,
  remembered: Remembered | null,
): Promise<{ at: At | null; checkpointed: number } | null> {
  const { edition, asked } = await askedOf(db, open);
  const question = asked[place];
  if (question === undefined) return null;
  if (
    remembered?.question === question &&
    remembered.last === open.last &&
    remembered.edition === open.edition &&
    remembered.reopenedAfter === open.reopenedAfter
  ) {
    const { standing, sent, checkpointed } = remembered;
    return {
      at: atOf(open, { edition, asked, moves: [], checkpoints: new Map() }, place, { standing, sent }),
      checkpointed,
    };
  }
  const record = await recordOf(db, open, question);
  return { at: atOf(open, record, place), checkpointed: record.checkpoints.get(question)?.n ?? 0 };
}

/** The numbers under which moves that were sent are stored already. */
async function knownOf(
  db: Database,
  sittingId: string,
  moves: readonly SentMove[],
): Promise<ReadonlyMap<string, number>> {
  const ids = JSON.stringify(moves.map(({ id }) => id));
  const rows = await db.all<{ id: string; n: number }>(
    sql`select made.id as id, made.n as n from json_each(${ids}) sent join move made on made.sitting_id = ${sittingId} and made.id = sent.value`,
  );
  return new Map(rows.map(({ id, n }) => [id, n]));
}

/**
 * The moves that come after the last one that is known, and up to which number the browser knows the sitting. A move
 * before a known one was passed over when that one was taken.
 */
function unknownOf(
  known: ReadonlyMap<string, number>,
  { after, moves }: Sent,
): { fresh: readonly SentMove[]; seen: number } {
  const lastKnown = moves.findLastIndex(({ id }) => known.has(id));
  return {
    fresh: moves.slice(lastKnown + 1),
    seen: moves.reduce((most, { id }) => Math.max(most, known.get(id) ?? 0), after),
  };
}

/** Were so many moves made within a minute that these are too many? A look at one move says so. */
async function isTooFast({ db, now }: Context, { id, last }: OpenSitting, more: number): Promise<boolean> {
  const n = last + more - MAX_IN_A_MINUTE;
  if (n < 1) return false;
  const [row] = await db.all<{ at: number }>(
    sql`select made.at as at from move made where made.sitting_id = ${id} and made.n = ${n}`,
  );
  return row !== undefined && row.at > now().getTime() - MINUTE_MS;
}

/** Takes moves a few at a time, so that others get their turn where each takes long. */
async function applyInTurns(
  { model, edition: { names }, standing }: At,
  moves: readonly SentMove[],
): Promise<BatchResult> {
  let took = null as BatchResult | null;
  let from = 0;
  for (let n = 1; from < moves.length; ) {
    const began = performance.now();
    const some = moves.slice(from, from + n);
    const now: BatchResult = applyBatch(model, names, took?.ok ? took.standing : standing, some);
    if (!now.ok) {
      // Those before them ended the question.
      if (now.reason === 'ended' && took?.ok) return { ...took, passedOver: took.passedOver + moves.length - from };
      return now.reason === 'ended'
        ? now
        : { ...now, path: now.path.replace(/^\[(\d+)\]/, (_, i: string) => `[${from + Number(i)}]`) };
    }
    took = took?.ok
      ? {
          ...now,
          taken: [...took.taken, ...now.taken],
          turnedAway: [...took.turnedAway, ...now.turnedAway],
          passedOver: took.passedOver + now.passedOver,
        }
      : now;
    from += n;
    const ms = performance.now() - began;
    n = ms > TURN_MS ? Math.max(1, Math.floor(n / 2)) : n * 2;
    if (ms > TURN_MS / 4 && from < moves.length) await new Promise((resolve) => setImmediate(resolve));
  }
  return took ?? { ok: true, standing, taken: [], turnedAway: [], passedOver: 0 };
}

/**
 * Stores where a question stands. It is a cache: a process that is late with an older one does not put it in the place
 * of a newer.
 */
async function storeCheckpoint(
  db: Database,
  { sitting: { id, edition }, question, standing }: At,
  n: number,
): Promise<number> {
  const row = { sittingId: id, question, edition, n, body: checkpointOf(standing) };
  await db
    .insert(checkpoint)
    .values(row)
    .onConflictDoUpdate({
      target: [checkpoint.sittingId, checkpoint.question],
      set: row,
      setWhere: sql`${checkpoint.n} < ${n} or ${checkpoint.edition} <> ${edition}`,
    });
  return n;
}
