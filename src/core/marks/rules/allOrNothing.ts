import type { MarksRule } from './rule';

/** 1 when every entry's zone is satisfied, else 0. */
export const allOrNothing: MarksRule = (entries) => (entries.every(({ tally }) => tally.satisfied) ? 1 : 0);
