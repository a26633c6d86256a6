import { type Judged, judge } from '../marks/mark';
import { type Board, cloneBoard } from './board';
import { sendHome } from './home';
import { type Copy, copyOf, type QuestionModel } from './model';
import { isPut, isTyped, type Outcome, type Placement, type TypedAnswer, takeWithKey } from './take';
import { type Verdict, verdicts } from './verdict';

/** What a learner does, in the order it was done. Everything about a sitting follows from its moves. A typed answer is a put. */
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

/** Where a question of a sitting stands. `goingHome` are the copies that go home once the learner goes on after the last check. */
export interface Standing {
  readonly board: Board;
  readonly tries: readonly Try[];
  readonly goingHome: readonly Copy[];
  /** Nothing was moved since the last try was judged. */
  readonly justChecked: boolean;
  readonly ended: boolean;
  readonly turnedAway: number;
  readonly hints: number;
}

export const untouched = (model: QuestionModel): Standing => ({
  board: cloneBoard(model.start),
  tries: [],
  goingHome: [],
  justChecked: false,
  ended: false,
  turnedAway: 0,
  hints: 0,
});

export type Taken = { ok: true; standing: Standing; outcome: Outcome | null } | { ok: false; reason: 'ended' } | { ok: false; reason: 'refused'; path: string; message: string };

const refused = (path: string, message: string): Taken => ({ ok: false, reason: 'refused', path, message });

/** The standing after one more move. `standing.board` is used up: take the one returned. */
export function takeMove(model: QuestionModel, standing: Standing, move: Move): Taken {
  if (standing.ended) return { ok: false, reason: 'ended' };
  if (move.kind === 'hint') {
    if (standing.hints >= model.question.hints.length) return refused('kind', 'There is no further hint');
    return { ok: true, outcome: null, standing: { ...standing, hints: standing.hints + 1 } };
  }
  const { board } = standing;
  for (const copy of standing.goingHome) sendHome(model, board, copy);
  const goneOn = { ...standing, goingHome: [], justChecked: false };
  switch (move.kind) {
    case 'reset':
      return { ok: true, outcome: null, standing: { ...goneOn, board: cloneBoard(model.start) } };
    case 'check':
      return { ok: true, outcome: null, standing: endTry(model, goneOn) };
    case 'drop':
    case 'put':
      return takePlacement(model, goneOn, move);
  }
}

function takePlacement(model: QuestionModel, standing: Standing, move: Placement | TypedAnswer): Taken {
  const { board } = standing;
  const kept = isTyped(move) ? null : mayMove(model, board, move);
  if (kept) return kept;
  const outcome = takeWithKey(model, board, move);
  if (outcome.to === 'refused') return refused(outcome.path, outcome.message);
  const next = { ...standing, turnedAway: standing.turnedAway + (outcome.to === 'turnedAway' ? 1 : 0) };
  const judgedNow = model.question.judging === 'onLand' && outcome.to === 'zone';
  return { ok: true, outcome, standing: judgedNow ? landed(model, next, landedCopy(model, board, move, outcome.zone)) : next };
}

/** What the document says of picking an item up: some stay in their place, some may be moved only until they have settled. */
function mayMove(model: QuestionModel, board: Board, move: Placement): Taken | null {
  const index = model.itemAt.get(move.item);
  const item = index === undefined ? undefined : model.question.items[index];
  if (!item || index === undefined) return null;
  if (item.stays && !isPut(move)) return refused('item', `"${move.item}" stays in its place and can only be picked`);
  if (!item.again && board.zoneOf.has(copyOf(index, move.copy ?? 0))) return refused('item', `"${move.item}" has settled and cannot be moved again`);
  return null;
}

function landedCopy(model: QuestionModel, board: Board, move: Placement | TypedAnswer, zone: number): Copy {
  if (isTyped(move)) return board.zones[zone]?.[0] as Copy;
  return copyOf(model.itemAt.get(move.item) as number, move.copy ?? 0);
}

/** Judged as it lands: a try ends with a landing that is judged wrong, and with one that completes the answer. */
function landed(model: QuestionModel, standing: Standing, copy: Copy): Standing {
  const judged = judge(model, standing.board, standing.tries.length + 1);
  const wrong = verdicts(model, standing.board, judged.tallies).get(copy) === 'wrong';
  return wrong || judged.fullMarks ? endTry(model, standing, judged) : standing;
}

function endTry(model: QuestionModel, standing: Standing, judged: Judged = judge(model, standing.board, standing.tries.length + 1)): Standing {
  const { tries: limit, afterMiss } = model.question;
  const verdict = verdicts(model, standing.board, judged.tallies);
  const ended = judged.fullMarks || standing.tries.length + 1 === limit;
  const leaves = (copy: Copy) => afterMiss === 'sendAllHome' || (afterMiss === 'sendWrongHome' && verdict.get(copy) === 'wrong');
  return {
    ...standing,
    tries: [...standing.tries, { judged, verdicts: verdict }],
    goingHome: ended ? [] : [...standing.board.zoneOf.keys()].filter(leaves),
    justChecked: true,
    ended,
  };
}

/** The standing after all moves; a move that is refused now (it was taken when it was made) is a bug or a damaged store. */
export function replay(model: QuestionModel, moves: readonly Move[]): Standing {
  return moves.reduce((standing, move, i) => {
    const taken = takeMove(model, standing, move);
    if (!taken.ok) throw new Error(`Move ${i + 1} of a stored sitting cannot be taken: ${taken.reason === 'refused' ? taken.message : 'the question had ended'}`);
    return taken.standing;
  }, untouched(model));
}

/** The question's mark so far: the best try's or the last one's, as the question says; null before the first check. */
export function markSoFar(model: QuestionModel, tries: readonly Try[]): Judged | null {
  if (model.question.marks.tryCounts === 'last') return tries.at(-1)?.judged ?? null;
  return tries.reduce<Judged | null>((best, { judged }) => (best && best.mark >= judged.mark ? best : judged), null);
}
