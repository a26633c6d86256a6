/** A figure with the bounds between which it lies, at 95 %, if the class stands for all such learners. */
export interface Figure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** The 0.975 quantile of the normal distribution. */
const Z = 1.959963984540054;

/**
 * Wilson's score interval for a share of n (Wilson, "Probable inference, the law of succession, and statistical
 * inference", JASA 22, 1927). Of marks between 0 and 1 with the mean `share` it is no narrower than it has to be: their
 * variance is at most share · (1 − share), which is that of marks that are all 0 or 1. `z`: the quantile of the normal
 * distribution that bounds it. Null: n is 0.
 */
export function wilson(share: number, n: number, z = Z): Figure | null {
  if (n === 0) return null;
  const z2 = z * z;
  const middle = (share + z2 / (2 * n)) / (1 + z2 / n);
  const half = (z / (1 + z2 / n)) * Math.sqrt((share * (1 - share)) / n + z2 / (4 * n * n));
  return { value: share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Fewer pairs than this have no interval. */
const MIN_PAIRS = 4;

/**
 * The interval of a correlation over n pairs by Fisher's z: artanh r ± 1.96/√(n − 3) (Fisher, "On the 'probable error'
 * of a coefficient of correlation deduced from a small sample", Metron 1, 1921). Null: too few.
 */
export function fisher(r: number, n: number): Figure | null {
  if (n < MIN_PAIRS) return null;
  const z = Math.atanh(Math.max(-1, Math.min(1, r)));
  const half = Z / Math.sqrt(n - 3);
  // Where all is alike r is 1, and so is each bound.
  return { value: r, low: Math.tanh(z - half), high: Math.tanh(z + half) };
}

/** The p quantile of the F distribution with these degrees of freedom. */
export type FQuantile = (p: number, d1: number, d2: number) => number;

/**
 * Feldt's interval of Cronbach's α of k questions over n learners: 1 − (1 − α)·F, F at 0.975 and 0.025 with n − 1 and
 * (n − 1)(k − 1) degrees of freedom (Feldt, "The approximate sampling distribution of Kuder-Richardson reliability
 * coefficient twenty", Psychometrika 30, 1965).
 */
export function feldt(alpha: number, n: number, k: number, quantile: FQuantile): Figure {
  const [d1, d2] = [n - 1, (n - 1) * (k - 1)];
  const at = (p: number) => 1 - (1 - alpha) * quantile(p, d1, d2);
  return { value: alpha, low: at(0.975), high: Math.min(1, at(0.025)) };
}
