import type { MarksRule } from './rule';

/** (R − wrongCosts·W) / N held to 0…1, over the placements of all entries. At least one is needed. */
export const perPlacement: MarksRule = (entries, wrongCosts) => {
  let needed = 0;
  let right = 0;
  let wrong = 0;
  for (const { tally, n, c } of entries) {
    needed += n;
    right += c;
    wrong += tally.wrong + (tally.entry.sequence ? 0 : tally.surplus);
  }
  return Math.min(1, Math.max(0, (right - wrongCosts * wrong) / needed));
};
