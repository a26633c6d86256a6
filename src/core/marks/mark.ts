import type { Marks } from '../document/schema';
import type { Board } from '../judge/board';
import { type Copy, itemOf, type QuestionModel } from '../judge/model';
import { type Tally, tally } from '../judge/tally';
import { marksRules } from './rules';
import type { Credited } from './rules/rule';
import { sequenceRules } from './sequence';

/** What one try is worth. `right` Σ c and `wrong` Σ (w + s) are counted whatever the marks rule. `fraction` is not rounded. */
export interface Judged {
  readonly mark: number;
  readonly max: number;
  readonly fraction: number;
  readonly fullMarks: boolean;
  readonly right: number;
  readonly wrong: number;
  readonly tallies: readonly Tally[];
}

function credit(model: QuestionModel, board: Board, one: Tally): Credited {
  const { entry } = one;
  if (entry.sum) return { tally: one, n: 1, c: one.satisfied ? 1 : 0 };
  if (entry.sequence) {
    const n = entry.order.length;
    const placed = (board.zones[entry.zone] as Copy[]).map(itemOf);
    return { tally: one, n, c: n * sequenceRules[model.question.marks.sequenceRule](entry.order, placed) };
  }
  return { tally: one, n: entry.lo, c: Math.min(one.right, entry.lo) };
}

/** The mark for a fraction at the given try (from 1), rounded half up at the question's places. */
export function markOf(marks: Marks, fraction: number, tryNumber: number): number {
  const scale = 10 ** marks.places;
  const raw = Math.max(0, marks.max * fraction - marks.tryCosts * marks.max * (tryNumber - 1));
  return Math.floor(raw * scale + 0.5 + 1e-9) / scale;
}

/** Judges and marks an arrangement at the given try. The question has at least one key entry. */
export function judge(model: QuestionModel, board: Board, tryNumber: number): Judged {
  const { marks } = model.question;
  const credited = model.entries.map((entry) => credit(model, board, tally(model, board, entry)));
  const fraction = marksRules[marks.rule](credited, marks.wrongCosts);
  return {
    mark: markOf(marks, fraction, tryNumber),
    max: marks.max,
    fraction,
    fullMarks: credited.every(({ tally: { satisfied } }) => satisfied),
    right: credited.reduce((sum, { c }) => sum + c, 0),
    wrong: credited.reduce((sum, { tally: t }) => sum + t.wrong + (t.entry.sequence ? 0 : t.surplus), 0),
    tallies: credited.map(({ tally: t }) => t),
  };
}
