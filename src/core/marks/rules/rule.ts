import type { Tally } from '../../judge/tally';

/** One key entry as the marks see it: its tally, and by the count of placements n needed and c right. */
export interface Credited {
  readonly tally: Tally;
  readonly n: number;
  readonly c: number;
}

/** The fraction of the maximum, 0 to 1, for one try. There is at least one entry. */
export type MarksRule = (entries: readonly Credited[], wrongCosts: number) => number;
