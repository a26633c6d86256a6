import type { MarksRule } from './rule';

/**
 * (R − misplacedCosts·M − extraCosts·X) / N held to 0…1, over the placements of all entries. At least one is needed.
 */
export const perPlacement: MarksRule = ({ entries, either, misplaced, extra }, { misplacedCosts, extraCosts }) => {
  let needed = 0;
  let right = 0;
  for (const { n, c } of [...entries, ...either]) {
    needed += n;
    right += c;
  }
  return Math.min(1, Math.max(0, (right - misplacedCosts * misplaced - extraCosts * extra) / needed));
};
