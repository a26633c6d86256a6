/** What one sitting came to, in points, in the order in which they were begun. */
export interface Came {
  readonly points: number;
  readonly outOf: number;
  readonly finished: boolean;
}
/** Which of several sittings counts. */
export type CountsRule = 'best' | 'last' | 'first' | 'average';
export interface Mark {
  readonly points: number;
  readonly outOf: number;
}

const share = ({ points, outOf }: Mark) => (outOf > 0 ? points / outOf : 0);

/**
 * The mark that counts of a learner's sittings. One that is not finished yet counts only while there is no finished one. `average`: the mean of the shares, of the last
 * one's points. Null: there is none.
 */
export function countingMark(sittings: readonly Came[], counts: CountsRule): Mark | null {
  const finished = sittings.filter((one) => one.finished);
  const all = finished.length > 0 ? finished : sittings;
  const [first] = all;
  const last = all.at(-1);
  if (!first || !last) return null;
  const plain = ({ points, outOf }: Mark): Mark => ({ points, outOf });
  switch (counts) {
    case 'first':
      return plain(first);
    case 'last':
      return plain(last);
    case 'best':
      return plain(all.reduce((best, one) => (share(one) > share(best) ? one : best)));
    case 'average':
      return { points: (all.reduce((sum, one) => sum + share(one), 0) / all.length) * last.outOf, outOf: last.outOf };
  }
}
