/** What one sitting came to, in points, in the order in which they were begun. */
export interface Came {
  readonly points: number;
  readonly outOf: number;
  readonly finished: boolean;
}
/** Which of several attempts counts. */
export type CountsRule = 'best' | 'last' | 'first' | 'average';
export interface Mark {
  readonly points: number;
  readonly outOf: number;
}

const share = ({ points, outOf }: Mark) => (outOf > 0 ? points / outOf : 0);
/** Shares nearer to one another than this are the same: they are worked out in another order. */
const DUST = 1e-9;

/** Would a mark be less than it was, in its share of what there is? */
export const falls = (before: Mark, after: Mark): boolean => share(after) < share(before) - DUST;

/**
 * Those of a learner's sittings that may count: one that is not finished yet counts only while there is no finished
 * one.
 */
function eligible<T extends Came>(sittings: readonly T[]): readonly T[] {
  const finished = sittings.filter((sitting) => sitting.finished);
  return finished.length > 0 ? finished : sittings;
}

/** The sitting whose mark counts; of an `average`, the last of those it is of. Null: there is none. */
export function countingSitting<T extends Came>(sittings: readonly T[], counts: CountsRule): T | null {
  const all = eligible(sittings);
  if (counts === 'first') return all[0] ?? null;
  if (counts === 'best')
    return all.reduce<T | null>((best, one) => (best && share(best) >= share(one) ? best : one), null);
  return all.at(-1) ?? null;
}

/**
 * The mark that counts of a learner's sittings. `average`: the mean of the shares, of the last one's points. Null:
 * there is none.
 */
export function countingMark(sittings: readonly Came[], counts: CountsRule): Mark | null {
  const one = countingSitting(sittings, counts);
  if (!one) return null;
  if (counts !== 'average') return { points: one.points, outOf: one.outOf };
  const all = eligible(sittings);
  return { points: (all.reduce((sum, each) => sum + share(each), 0) / all.length) * one.outOf, outOf: one.outOf };
}
