import type { Marks } from '../document/schema';
import type { Board } from '../judge/board';
import { type Copy, itemOf, type QuestionModel } from '../judge/model';
import { type EitherTally, eitherTally, neededBy, type Tally, tally } from '../judge/tally';
import { wrongPlacements } from './costs';
import { marksRules } from './rules';
import type { Counted } from './rules/rule';
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
  readonly either: readonly EitherTally[];
  readonly counted: Counted;
  /** The rule that marked it in the end: one falls back on the next where there is nothing to count. */
  readonly rule: Marks['rule'];
}

function credit(model: QuestionModel, board: Board, tally: Tally): Counted['entries'][number] {
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

/** The same, rounded half up at the question's places, and never above the maximum. */
export function markOf(marks: Marks, fraction: number, tryNumber: number): number {
  const scale = 10 ** marks.places;
  return Math.min(marks.max, Math.floor(rawMark(marks, fraction, tryNumber) * scale + 0.5 + 1e-9) / scale);
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
  const tallies = model.entries.map((entry) => tally(model, board, entry));
  const either = model.either.map((entry) => eitherTally(board, entry));
  const counted: Counted = {
    entries: tallies.map((entryTally) => credit(model, board, entryTally)),
    either: either.map((entryTally) => ({
      tally: entryTally,
      n: entryTally.entry.lo,
      c: Math.min(entryTally.right, entryTally.entry.lo),
    })),
    ...wrongPlacements(board, tallies, either),
  };
  const all = [...counted.entries, ...counted.either];
  const rule = ruleFor(
    marks,
    all.reduce((sum, { n }) => sum + n, 0),
    all.reduce((sum, { tally: { entry } }) => sum + entry.weight, 0),
  );
  const fraction = marksRules[rule](counted, marks);
  return {
    mark: markOf(marks, fraction, tryNumber),
    max: marks.max,
    fraction,
    fullMarks: all.every(({ tally: { satisfied } }) => satisfied),
    right: all.reduce((sum, { c }) => sum + c, 0),
    wrong: counted.misplaced + counted.extra,
    tallies,
    either,
    counted,
    rule,
  };
}
