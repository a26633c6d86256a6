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
  readonly code: 'placements' | 'zone' | 'allOfIt' | 'wrong' | 'heldToRange' | 'earlierTries' | 'rounded';
  readonly zone: number | null;
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

function earned(marks: Marks, { credited, rule, fullMarks }: Judged): AccountLine[] {
  switch (rule) {
    case 'allOrNothing':
      return fullMarks ? [{ code: 'allOfIt', zone: null, count: credited.length, amount: marks.max }] : [];
    case 'perZone': {
      const all = credited.reduce((sum, { tally }) => sum + tally.entry.weight, 0);
      return credited.flatMap(({ tally: { entry, satisfied } }): AccountLine[] =>
        satisfied && entry.weight > 0
          ? [{ code: 'zone', zone: entry.zone, count: 1, amount: (marks.max * entry.weight) / all }]
          : [],
      );
    }
    case 'perPlacement': {
      const each = marks.max / credited.reduce((sum, { n }) => sum + n, 0);
      return credited.flatMap(({ tally, c }): AccountLine[] => {
        const { zone, sequence } = tally.entry;
        const wrong = tally.wrong + (sequence ? 0 : tally.surplus);
        return [
          ...(c > 0 ? [{ code: 'placements' as const, zone, count: c, amount: each * c }] : []),
          ...(wrong > 0 && marks.wrongCosts > 0
            ? [{ code: 'wrong' as const, zone, count: wrong, amount: -each * marks.wrongCosts * wrong }]
            : []),
        ];
      });
    }
  }
}
