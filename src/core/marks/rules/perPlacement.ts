import { perZone } from './perZone';
import type { MarksRule } from './rule';

/** (R − wrongCosts·W) / N held to 0…1, over the placements of all entries; where none is needed, per zone. */
export const perPlacement: MarksRule = (entries, wrongCosts) => {
  let needed = 0;
  let right = 0;
  let wrong = 0;
  for (const { tally, n, c } of entries) {
    needed += n;
    right += c;
    wrong += tally.wrong + (tally.entry.sequence ? 0 : tally.surplus);
  }
  return needed === 0 ? perZone(entries, wrongCosts) : Math.min(1, Math.max(0, (right - wrongCosts * wrong) / needed));
};
