import type { Marks } from '../document/schema';
import type { Board } from '../judge/board';
import { type Copy, itemOf, type QuestionModel } from '../judge/model';
import { neededBy, type Tally, tally } from '../judge/tally';
import { marksRules } from './rules';
import type { Credited } from './rules/rule';
import { sequenceRules } from './sequence';

/**
 * What one try is worth. `right` Σ c and `wrong` Σ (w + s) are counted whatever the marks rule. `fraction` is not
 * rounded.
 */
export interface Judged {
  readonly mark: number;
  readonly max: number;
  readonly fraction: number;
  readonly fullMarks: boolean;
  readonly right: number;
  readonly wrong: number;
  readonly tallies: readonly Tally[];
  readonly credited: readonly Credited[];
  /** The rule that marked it in the end: one falls back on the next where there is nothing to count. */
  readonly rule: Marks['rule'];
}

function credit(model: QuestionModel, board: Board, tally: Tally): Credited {
  const { entry } = tally;
  const n = neededBy(entry);
  if (entry.sum) return { tally: tally, n, c: tally.satisfied ? 1 : 0 };
  if (entry.sequence) {
    const placed = (board.zones[entry.zone] as Copy[]).map(itemOf);
    return { tally: tally, n, c: n * sequenceRules[model.question.marks.sequenceRule](entry.order, placed) };
  }
  return { tally: tally, n, c: Math.min(tally.right, entry.lo) };
}

/** The mark for a fraction at the given try (from 1), before it is rounded. */
export const rawMark = (marks: Marks, fraction: number, tryNumber: number): number =>
  Math.max(0, marks.max * fraction - marks.tryCosts * marks.max * (tryNumber - 1));

/** The same, rounded half up at the question's places. */
export function markOf(marks: Marks, fraction: number, tryNumber: number): number {
  const scale = 10 ** marks.places;
  return Math.floor(rawMark(marks, fraction, tryNumber) * scale + 0.5 + 1e-9) / scale;
}

/**
 * The rule that marks in the end: one with nothing to count (no placement needed, no weight) falls back on the next.
 */
export function ruleFor({ rule }: Marks, needed: number, weight: number): Marks['rule'] {
  if (rule === 'perPlacement' && needed > 0) return rule;
  return rule !== 'allOrNothing' && weight > 0 ? 'perZone' : 'allOrNothing';
}

/** Judges and marks an arrangement at the given try. The question has at least one key entry. */
export function judge(model: QuestionModel, board: Board, tryNumber: number): Judged {
  const { marks } = model.question;
  const credited = model.entries.map((entry) => credit(model, board, tally(model, board, entry)));
  const rule = ruleFor(
    marks,
    credited.reduce((sum, { n }) => sum + n, 0),
    credited.reduce((sum, { tally: { entry } }) => sum + entry.weight, 0),
  );
  const fraction = marksRules[rule](credited, marks.wrongCosts);
  return {
    mark: markOf(marks, fraction, tryNumber),
    max: marks.max,
    fraction,
    fullMarks: credited.every(({ tally: { satisfied } }) => satisfied),
    right: credited.reduce((sum, { c }) => sum + c, 0),
    wrong: credited.reduce((sum, { tally: t }) => sum + t.wrong + (t.entry.sequence ? 0 : t.surplus), 0),
    tallies: credited.map(({ tally: t }) => t),
    credited,
    rule,
  };
}
