import type { MarksRule } from './rule';

/** The weight of satisfied entries over the weight of all. There is some weight. */
export const perZone: MarksRule = ({ entries, either }) => {
  let all = 0;
  let earned = 0;
  for (const { tally } of [...entries, ...either]) {
    all += tally.entry.weight;
    if (tally.satisfied) earned += tally.entry.weight;
  }
  return earned / all;
};
