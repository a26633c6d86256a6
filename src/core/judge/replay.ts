import { type Judged, judge } from '../marks/mark';
import { type Board, cloneBoard } from './board';
import { sendHome } from './home';
import { type Copy, copyOf, type QuestionModel } from './model';
import { placeByKey } from './placeByKey';
import { isPut, isTyped, type Outcome, type Placement, type TypedAnswer } from './placement';
import { type Verdict, verdicts } from './verdict';
import { type Answered, answeredWith, NOTHING_ANSWERED } from './when';

/** What a learner does. Everything about an attempt follows from its moves, in order. A typed answer is a put. */
export type Move =
  | ({ readonly kind: 'drop' | 'put' } & Placement)
  | ({ readonly kind: 'put' } & TypedAnswer)
  | { readonly kind: 'reset' }
  | { readonly kind: 'check' }
  | { readonly kind: 'hint' };

export interface Try {
  readonly judged: Judged;
  readonly verdicts: ReadonlyMap<Copy, Verdict>;
}
/** A try that was ended: its number, from 1, and the arrangement it was of. */
export interface EndedTry extends Try {
  readonly number: number;
  readonly board: Board;
}
/**
 * The tries of a question: their number, the last one, and the first of those with the highest mark. Others can be
 * replayed from the moves.
 */
export interface Tries {
  readonly count: number;
  readonly last: EndedTry | null;
  readonly best: EndedTry | null;
}
export const NO_TRIES: Tries = { count: 0, last: null, best: null };

/**
 * The state of a question in an attempt. `goingHome`: the copies that return home when the learner continues after the
 * last check.
 */
export interface Standing {
  readonly board: Board;
  readonly tries: Tries;
  readonly goingHome: readonly Copy[];
  /** How the present board was judged: by a check, or as each item landed. Null: not judged since the last move. */
  readonly judged: Try | null;
  readonly ended: boolean;
  readonly turnedAway: number;
  readonly hints: number;
  /** The fixtures that have answered since everything was last put back, and stay so. */
  readonly answered: Answered;
}

export const untouched = (model: QuestionModel): Standing => ({
  board: cloneBoard(model.start),
  tries: NO_TRIES,
  goingHome: [],
  judged: null,
  ended: false,
  turnedAway: 0,
  hints: 0,
  answered: answeredWith(model, NOTHING_ANSWERED, model.start, null),
});

export type MoveResult =
  | { ok: true; standing: Standing; outcome: Outcome | null }
  | { ok: false; reason: 'ended' }
  | { ok: false; reason: 'refused'; path: string; message: string };

const refused = (path: string, message: string): MoveResult => ({ ok: false, reason: 'refused', path, message });

/** The state after one more move. `standing.board` is changed in place: use the returned state. */
export function applyMove(model: QuestionModel, standing: Standing, move: Move): MoveResult {
  const result = moved(model, standing, move);
  if (!result.ok) return result;
  const { board, judged } = result.standing;
  const before = move.kind === 'reset' ? NOTHING_ANSWERED : result.standing.answered;
  const answered = answeredWith(model, before, board, judged);
  return { ...result, standing: { ...result.standing, answered } };
}

function moved(model: QuestionModel, standing: Standing, move: Move): MoveResult {
  if (standing.ended) return { ok: false, reason: 'ended' };
  if (move.kind === 'hint') {
    if (hintsLeft(model, standing) === 0)
      return refused(
        'kind',
        standing.tries.count === 0 ? 'The first hint comes after the first try' : 'There is no further hint',
      );
    return { ok: true, outcome: null, standing: { ...standing, hints: standing.hints + 1 } };
  }
  const { board } = standing;
  for (const copy of standing.goingHome) sendHome(model, board, copy);
  const goneOn = { ...standing, goingHome: [], judged: null };
  switch (move.kind) {
    case 'reset':
      return { ok: true, outcome: null, standing: { ...goneOn, board: cloneBoard(model.start) } };
    case 'check':
      return { ok: true, outcome: null, standing: endTry(model, goneOn) };
    case 'drop':
    case 'put':
      return applyPlacement(model, goneOn, move);
  }
}

function applyPlacement(model: QuestionModel, standing: Standing, move: Placement | TypedAnswer): MoveResult {
  const { board } = standing;
  const moveResult = isTyped(move) ? null : mayMove(model, board, move);
  if (moveResult) return moveResult;
  const outcome = placeByKey(model, board, move);
  if (outcome.to === 'refused') return refused(outcome.path, outcome.message);
  const next = { ...standing, turnedAway: standing.turnedAway + (outcome.to === 'turnedAway' ? 1 : 0) };
  if (model.question.judging === 'onCheck') return { ok: true, outcome, standing: next };
  return {
    ok: true,
    outcome,
    standing: landed(model, next, outcome.to === 'zone' ? landedCopy(model, board, move, outcome.zone) : null),
  };
}

/** The document's rules for picking an item up: some are only picked in place, some cannot be moved once settled. */
function mayMove(model: QuestionModel, board: Board, move: Placement): MoveResult | null {
  const index = model.itemAt.get(move.item);
  const item = index === undefined ? undefined : model.question.items[index];
  if (!item || index === undefined) return null;
  if (item.stays && !isPut(move)) return refused('item', `"${move.item}" stays in its place and can only be picked`);
  const zone = board.zoneOf.get(copyOf(index, move.copy ?? 0));
  if (!item.again && zone !== undefined && !model.zones[zone]?.hidden)
    return refused('item', `"${move.item}" has settled and cannot be moved again`);
  return null;
}

function landedCopy(model: QuestionModel, board: Board, move: Placement | TypedAnswer, zone: number): Copy {
  if (isTyped(move)) return board.zones[zone]?.[0] as Copy;
  return copyOf(model.itemAt.get(move.item) as number, move.copy ?? 0);
}

/**
 * Judging on landing: a try ends with a landing that is wrong, or one that completes the answer. Earlier landings are
 * judged again with it.
 */
function landed(model: QuestionModel, standing: Standing, copy: Copy | null): Standing {
  const now = judgeTry(model, standing);
  const ends = copy !== null && (now.judged.fullMarks || now.verdicts.get(copy) === 'wrong');
  return ends ? endTry(model, standing, now) : { ...standing, judged: now };
}

const judgeTry = (model: QuestionModel, { board, tries }: Standing): Try => judgedAt(model, board, tries.count + 1);

/** An arrangement judged as the try of a number. */
export function judgedAt(model: QuestionModel, board: Board, number: number): Try {
  const judged = judge(model, board, number);
  return { judged, verdicts: verdicts(model, board, judged) };
}

function endTry(model: QuestionModel, standing: Standing, now: Try = judgeTry(model, standing)): Standing {
  const { tries: limit, afterMiss } = model.question;
  const number = standing.tries.count + 1;
  const ended = now.judged.fullMarks || number === limit;
  const last: EndedTry = { ...now, number, board: cloneBoard(standing.board) };
  const { best } = standing.tries;
  const leaves = (copy: Copy) =>
    afterMiss === 'sendAllHome' || (afterMiss === 'sendWrongHome' && now.verdicts.get(copy) === 'wrong');
  return {
    ...standing,
    tries: { count: number, last, best: best && best.judged.mark >= now.judged.mark ? best : last },
    goingHome: ended ? [] : [...standing.board.zoneOf.keys()].filter(leaves),
    judged: last,
    ended,
  };
}

/** How many hints a learner may ask for now: the first once there was a try, one more with each. */
export function hintsLeft({ question }: QuestionModel, { tries, hints, ended }: Standing): number {
  return ended ? 0 : Math.max(0, Math.min(question.hints.length, tries.count) - hints);
}

/**
 * The state after all moves. A move that is refused now (it was accepted when it was made) means a bug or a damaged
 * database.
 */
export function replay(model: QuestionModel, moves: readonly Move[], from: Standing = untouched(model)): Standing {
  return moves.reduce((standing, move, i) => {
    const taken = applyMove(model, standing, move);
    if (!taken.ok)
      throw new Error(
        `Move ${i + 1} of a stored sitting cannot be taken: ${taken.reason === 'refused' ? taken.message : 'the question had ended'}`,
      );
    return taken.standing;
  }, from);
}

/**
 * The state of the moves under a corrected question. A move that cannot be applied any more (a miss that is right now
 * and has ended the question, or a hint that does not exist any more) is skipped.
 */
export function rejudge(model: QuestionModel, moves: readonly Move[], from: Standing = untouched(model)): Standing {
  let now = from;
  for (const move of moves) {
    const taken = applyMove(model, now, move);
    if (taken.ok) now = taken.standing;
  }
  return now;
}

/** The try that counts so far, the best or the last; null before the first. */
export const countingTry = ({ question: { marks } }: QuestionModel, { last, best }: Tries): EndedTry | null =>
  marks.tryCounts === 'last' ? last : best;

/** A question as its counting try left it, for a learner who looks back; untouched where nothing was tried. */
export function asCounted(model: QuestionModel, standing: Standing): Standing {
  const counting = countingTry(model, standing.tries);
  return counting
    ? {
        ...standing,
        board: counting.board,
        judged: counting,
        goingHome: [],
        tries: { ...standing.tries, last: counting },
      }
    : standing;
}

export const markSoFar = (model: QuestionModel, tries: Tries): Judged | null =>
  countingTry(model, tries)?.judged ?? null;
