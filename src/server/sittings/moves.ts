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

/** How often to retry after another process has stored moves first. */
const MAX_ATTEMPTS = 4;
/** Limits of moves per attempt: honest use comes near neither. */
const MAX_MOVES = 10_000;
const MAX_IN_A_MINUTE = 2_000;
const MINUTE_MS = 60_000;
/** Moves between two stored checkpoints. */
const CHECKPOINT_EVERY = 200;
/** Milliseconds of judging before other requests run. */
const TURN_MS = 25;

/**
 * Stores a learner's moves, in order and each once, and judges them where that is due. `session`: the session token, if
 * it is still to be checked.
 */
export async function receiveMoves(
  context: Context,
  sittingId: string,
  learnerId: string,
  sent: Sent,
  session: string | null = null,
): Promise<Result<MovesAnswer>> {
  for (let attempt = 1; attempt <= MAX_ATTEMPTS; attempt++) {
    const trial = { session, again: attempt > 1, stored: false };
    const answer = await tryToReceive(context, sittingId, learnerId, sent, trial);
    // Moves are stored only under a session that still is. Anything else is told to nobody who has signed out.
    if (!trial.stored && session !== null && !(await isSignedIn(context, session, learnerId)))
      return fail('notSignedIn');
    if (answer !== 'again') return answer;
  }
  return fail('unavailable');
}

interface Trial {
  readonly session: string | null;
  /** It was tried before: some of the moves may be stored by now. */
  readonly again: boolean;
  /** Moves were stored, and the session was checked as they were. */
  stored: boolean;
}
/** The question the moves are for, as it is now. */
interface Present {
  readonly open: OpenSitting;
  readonly at: At;
  readonly checkpointed: number;
}

async function tryToReceive(
  context: Context,
  sittingId: string,
  learnerId: string,
  sent: Sent,
  trial: Trial,
): Promise<Result<MovesAnswer> | 'again'> {
  const { session, again } = trial;
  const found = await presentOf(context, sittingId, learnerId, sent);
  if (!found.ok) return found;
  const { open, at } = found.value;
  const known =
    again || sent.after !== open.last ? await knownOf(context.db, sittingId, sent.moves) : new Map<string, number>();
  const { fresh, seen } = unknownOf(known, sent);
  // Another window has continued: nothing is stored, and the page gets the present state.
  if (fresh.length > 0 && seen !== open.last) return fail('sittingMovedOn', { detail: viewOf(at) });
  if (open.last + fresh.length > MAX_MOVES) return fail('sittingFull');
  if (fresh.length > 0 && (await isTooFast(context, open, fresh.length))) return fail('tooMany');

  const tries = at.standing.tries.count;
  // Moves after the one that ended the question were skipped the first time, and are skipped now.
  const isOver = fresh.length < sent.moves.length && at.standing.ended;
  const result =
    isOver || fresh.length === 0
      ? { ...NOTHING, standing: at.standing, passedOver: fresh.length }
      : await applyInTurns(at, fresh);
  if (!result.ok) {
    if (result.reason === 'ended') return fail('alreadyEnded');
    return fail('invalid', { problems: [{ path: `moves${result.path}`, message: 'This is not in the question.' }] });
  }
  const next: At = { ...at, standing: result.standing };
  if (result.taken.length > 0) {
    const addition = additionOf(next, {
      taken: result.taken,
      first: open.last + 1,
      at: context.now(),
      tried: next.standing.tries.count > tries,
      by: { session, steady: steadyNow(context) },
    });
    if ((await appendMoves(context.db, addition)) !== 'stored') return 'again';
    trial.stored = true;
  }
  const last = open.last + result.taken.length;
  await rememberAt(context.db, { ...found.value, at: next }, last);
  return ok({ last, ...movesView(next, next.standing, result) });
}

const NOTHING = { ok: true, taken: [], turnedAway: [] } as const;

/** The question as it is now, if the learner may make moves in it. */
async function presentOf(context: Context, sittingId: string, learnerId: string, sent: Sent): Promise<Result<Present>> {
  const remembered = recall(sittingId);
  const found = await sittingOf(context, sittingId, learnerId);
  if (!found?.available || sent.question > found.reached) return fail('notFound');
  const open = await closedIfOver(context, found);
  if (open.finishedAt) return fail('sittingFinished');
  const { at, checkpointed } = (await lookUp(context.db, open, sent.question, remembered)) ?? {};
  if (!at || checkpointed === undefined) return fail('notFound');
  if (!at.goBack && sent.question < open.reached) return fail('alreadyEnded');
  if (at.deferred && sent.moves.some(({ kind }) => kind === 'check' || kind === 'hint'))
    return fail('invalid', { problems: [{ path: 'moves', message: 'This is checked at the end.' }] });
  return ok({ open, at, checkpointed });
}

/** Remembers the state for the next moves, and stores a checkpoint now and then. */
async function rememberAt(db: Database, { open, at, checkpointed }: Present, last: number): Promise<void> {
  const stored = last - checkpointed >= CHECKPOINT_EVERY ? await storeCheckpoint(db, at, last) : checkpointed;
  remember(open.id, {
    question: at.question,
    edition: open.edition,
    reopenedAfter: open.reopenedAfter,
    last,
    checkpointed: stored,
    standing: at.standing,
    sent: at.edition,
  });
}

/** The state of the question: from memory if no other process has continued since, else from the database. */
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

/** The numbers of the moves that are stored already, by id. */
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
 * The moves after the last stored one, and the last number the browser knows. A move before a stored one was skipped
 * when that one was stored.
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

/** True if the learner makes too many moves a minute. One look at one older move tells. */
async function isTooFast({ db, now }: Context, { id, last }: OpenSitting, more: number): Promise<boolean> {
  const n = last + more - MAX_IN_A_MINUTE;
  if (n < 1) return false;
  const [row] = await db.all<{ at: number }>(
    sql`select made.at as at from move made where made.sitting_id = ${id} and made.n = ${n}`,
  );
  return row !== undefined && row.at > now().getTime() - MINUTE_MS;
}

/** Applies moves a few at a time, so that other requests run in between if each move takes long. */
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
      // An earlier move ended the question.
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

/** Stores a checkpoint of a question. It is a cache: an older checkpoint never replaces a newer one. */
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
