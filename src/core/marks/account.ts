import type { Marks } from '../document/schema';
import type { QuestionModel } from '../judge/model';
import type { Judged } from './mark';
import { rawMark } from './mark';

/**
 * One line of the account of a mark. `zone`: what it is about; null: the whole. `count`: how many placements, wrong
 * ones or earlier tries it stands for, not whole where a sequence is right in part. `amount`: marks, negative where it
 * cost something.
 */
export interface AccountLine {
  readonly code: 'placements' | 'zone' | 'allOfIt' | 'misplaced' | 'extra' | 'heldToRange' | 'earlierTries' | 'rounded';
  readonly zone: number | null;
  /** Of an either entry: its index. */
  readonly either?: number;
  readonly count: number;
  readonly amount: number;
}

/** What gave and what cost something in one try, line by line. The amounts add up to the mark. */
export function account(model: QuestionModel, judged: Judged, tryNumber: number): AccountLine[] {
  const { marks } = model.question;
  const lines = earned(marks, judged);
  const sum = () => lines.reduce((total, { amount }) => total + amount, 0);
  add(lines, 'heldToRange', marks.max * judged.fraction - sum());
  const earlier = tryNumber - 1;
  const unrounded = rawMark(marks, judged.fraction, tryNumber);
  add(lines, 'earlierTries', unrounded - sum(), earlier);
  add(lines, 'rounded', judged.mark - sum());
  return lines;
}

const DUST = 1e-12;
function add(lines: AccountLine[], code: AccountLine['code'], amount: number, count = 1): void {
  if (Math.abs(amount) > DUST) lines.push({ code, zone: null, count, amount });
}

function earned(marks: Marks, { counted, rule, fullMarks }: Judged): AccountLine[] {
  const all = [
    ...counted.entries.map((one) => ({ ...one, zone: one.tally.entry.zone, either: null })),
    ...counted.either.map((one, k) => ({ ...one, zone: null, either: k })),
  ];
  switch (rule) {
    case 'allOrNothing':
      return fullMarks ? [{ code: 'allOfIt', zone: null, count: all.length, amount: marks.max }] : [];
    case 'perZone': {
      const weights = all.reduce((sum, { tally }) => sum + tally.entry.weight, 0);
      return all.flatMap(({ tally: { entry, satisfied }, zone, either }): AccountLine[] =>
        satisfied && entry.weight > 0
          ? [{ code: 'zone', zone, ...inEither(either), count: 1, amount: (marks.max * entry.weight) / weights }]
          : [],
      );
    }
    case 'perPlacement': {
      const each = marks.max / all.reduce((sum, { n }) => sum + n, 0);
      const lines = all.flatMap(({ c, zone, either }): AccountLine[] =>
        c > 0 ? [{ code: 'placements', zone, ...inEither(either), count: c, amount: each * c }] : [],
      );
      for (const [code, count, cost] of [
        ['misplaced', counted.misplaced, marks.misplacedCosts],
        ['extra', counted.extra, marks.extraCosts],
      ] as const)
        if (count > 0 && cost > 0) lines.push({ code, zone: null, count, amount: -each * cost * count });
      return lines;
    }
  }
}

const inEither = (either: number | null) => (either === null ? {} : { either });
