import type { Marks } from '../../document/schema';
import type { EitherTally, Tally } from '../../judge/tally';

/** One key entry as the marks see it: its tally, and by the count of placements n needed and c right. */
export interface Credited {
  readonly tally: Tally;
  readonly n: number;
  readonly c: number;
}
export interface CreditedEither {
  readonly tally: EitherTally;
  readonly n: number;
  readonly c: number;
}

/** What the marks rules count. There is at least one entry. */
export interface Counted {
  readonly entries: readonly Credited[];
  readonly either: readonly CreditedEither[];
  /** Wrong copies that lack their place, M; wrong ones with none and those too many, X. */
  readonly misplaced: number;
  readonly extra: number;
}

/** The fraction of the maximum, 0 to 1, for one try. */
export type MarksRule = (counted: Counted, marks: Pick<Marks, 'extraCosts' | 'misplacedCosts'>) => number;
