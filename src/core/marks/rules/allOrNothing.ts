import type { MarksRule } from './rule';

/** 1 when every entry is satisfied, either entries too, else 0. */
export const allOrNothing: MarksRule = ({ entries, either }) =>
  [...entries, ...either].every(({ tally }) => tally.satisfied) ? 1 : 0;
