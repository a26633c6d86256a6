import { type Judged, judge } from '../marks/mark';
import { type Board, emptyBoard, lift } from './board';
import type { Copy, QuestionModel } from './model';
import { type Outcome, type Placement, take } from './take';
import { type Verdict, verdicts } from './verdict';

/** What a learner does, in the order it was done. Everything about a sitting follows from its moves. */
export type Move = ({ readonly kind: 'drop' | 'put' } & Placement) | { readonly kind: 'reset' } | { readonly kind: 'check' };

export interface Try {
  readonly judged: Judged;
  readonly verdicts: ReadonlyMap<Copy, Verdict>;
}

/** Where a question of a sitting stands. `goingHome` are the copies that go home once the learner goes on after the last check. */
export interface Standing {
  readonly board: Board;
  readonly tries: readonly Try[];
  readonly goingHome: readonly Copy[];
  /** Nothing was moved since the last check. */
  readonly justChecked: boolean;
  readonly ended: boolean;
  readonly turnedAway: number;
}

export const untouched = (model: QuestionModel): Standing => ({ board: emptyBoard(model), tries: [], goingHome: [], justChecked: false, ended: false, turnedAway: 0 });

export type Taken = { ok: true; standing: Standing; outcome: Outcome | null } | { ok: false; reason: 'ended' } | { ok: false; reason: 'refused'; path: string; message: string };

/** The standing after one more move. `standing.board` is used up: take the one returned. */
export function takeMove(model: QuestionModel, standing: Standing, move: Move): Taken {
  if (standing.ended) return { ok: false, reason: 'ended' };
  const { board } = standing;
  for (const copy of standing.goingHome) lift(board, copy);
  const goneOn = { ...standing, goingHome: [], justChecked: false };
  switch (move.kind) {
    case 'reset':
      return { ok: true, outcome: null, standing: { ...goneOn, board: emptyBoard(model) } };
    case 'check':
      return { ok: true, outcome: null, standing: check(model, goneOn) };
    case 'drop':
    case 'put': {
      const outcome = take(model, board, move, (zone, item) => model.entryOf[zone]?.belongs.has(item) === true);
      if (outcome.to === 'refused') return { ok: false, reason: 'refused', path: outcome.path, message: outcome.message };
      return { ok: true, outcome, standing: { ...goneOn, turnedAway: standing.turnedAway + (outcome.to === 'turnedAway' ? 1 : 0) } };
    }
  }
}

function check(model: QuestionModel, standing: Standing): Standing {
  const { tries: limit, afterMiss } = model.question;
  const judged = judge(model, standing.board, standing.tries.length + 1);
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
