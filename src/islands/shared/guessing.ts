import type { Guessing } from '../../core';

const grouped = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });
const percent = (share: number) => (share > 0 && share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`);

/** "1 in 19,683": how seldom full marks come by guessing. */
export function oneIn(chance: number): string {
  if (chance <= 0) return 'never';
  return chance >= 0.999
    ? 'always'
    : `1 in ${chance < 1e-12 ? `10^${Math.round(-Math.log10(chance))}` : grouped.format(1 / chance)}`;
}

/** What guessing earns, in the Bench's upper line; empty where it cannot be said. */
export function guessingInWords({
  expectedFraction,
  chanceOfFullMarks,
  method,
}: Pick<Guessing, 'expectedFraction' | 'chanceOfFullMarks' | 'method'>): string {
  if (expectedFraction === null || chanceOfFullMarks === null) return '';
  const about = method === 'sampled' ? 'about ' : '';
  return ` · guessing ${about}${percent(expectedFraction)} · full marks ${about}${oneIn(chanceOfFullMarks)}`;
}
