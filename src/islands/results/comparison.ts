import type { ComparedAttempts, ComparedGroup, ComparedRelease } from '../../contract';
import type { Figure } from '../../core';
import { MIN_SAID } from './analysis';

const points = (share: number) => `${Math.abs(Math.round(share * 100))}`;
/** A difference of two shares in percentage points, with its sign. */
export const apart = (share: number) => {
  const rounded = Math.round(share * 100);
  return rounded === 0 ? '0' : `${rounded > 0 ? '+' : '−'}${points(share)}`;
};
/** The bounds of a difference, in percentage points. */
export const apartBounds = ({ low, high }: Figure) => `${apart(low)} to ${apart(high)}`;

/** How hard a question was in another release, in words that the bounds bear; empty: it cannot be told apart. */
export function releaseInWords(
  { asked, difference }: Pick<ComparedRelease, 'asked' | 'difference'>,
  askedHere: number,
): string {
  if (!difference || asked < MIN_SAID || askedHere < MIN_SAID) return '';
  if (difference.low > 0) return 'Easier there than here.';
  return difference.high < 0 ? 'Harder there than here.' : '';
}

/** How a group did against all others, in words that the bounds bear; empty: it cannot be told apart. */
export function groupInWords({
  learners,
  others,
  difference,
}: Pick<ComparedGroup, 'learners' | 'others' | 'difference'>): string {
  if (!difference || learners < MIN_SAID || others < MIN_SAID) return '';
  if (difference.low > 0) return 'It earned more than the others.';
  return difference.high < 0 ? 'It earned less than the others.' : '';
}

/** What became of those who tried again, in words that the bounds bear; empty: it cannot be told apart. */
export function attemptsInWords({ learners, difference }: ComparedAttempts): string {
  if (!difference || learners < MIN_SAID) return '';
  if (difference.low > 0) return 'More in the last attempt than in the first.';
  return difference.high < 0 ? 'Less in the last attempt than in the first.' : '';
}
