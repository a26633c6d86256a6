import { allOrNothing } from './allOrNothing';
import type { MarksRule } from './rule';

/** The weight of satisfied zones over the weight of all; without any weight, all or nothing. */
export const perZone: MarksRule = (entries, wrongCosts) => {
  let all = 0;
  let earned = 0;
  for (const { tally } of entries) {
    all += tally.entry.weight;
    if (tally.satisfied) earned += tally.entry.weight;
  }
  return all === 0 ? allOrNothing(entries, wrongCosts) : earned / all;
};
