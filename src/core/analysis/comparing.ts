import { type Figure, wilson } from './intervals';

/**
 * The quantile of Student's t distribution with these degrees of freedom that bounds an interval. Where several
 * comparisons are to hold together at 95 %, it is that of 1 − 0.025/comparisons (Bonferroni); so is a `z`.
 */
export type TBound = (df: number) => number;

/** A mean share of marks, from 0 to 1, over n learners. */
export interface MeanShare {
  readonly value: number;
  readonly n: number;
}

/** Differences of shares lie between −1 and 1, and so do their bounds: so far below and above the value. */
const within = (value: number, below: number, above = below): Figure => ({
  value,
  low: Math.max(-1, value - below),
  high: Math.min(1, value + above),
});

/**
 * How much higher one mean share is than another of other learners, by Newcombe's hybrid score method (Newcombe,
 * "Interval estimation for the difference between independent proportions", Statistics in Medicine 17, 1998, method
 * 10). `z`: the quantile of the normal distribution that bounds it. Null: nobody on one side.
 */
export function sharesApart(a: MeanShare, b: MeanShare, z: number): Figure | null {
  const [one, other] = [wilson(a.value, a.n, z), wilson(b.value, b.n, z)];
  if (!one || !other) return null;
  const value = a.value - b.value;
  return within(
    value,
    Math.hypot(a.value - one.low, other.high - b.value),
    Math.hypot(one.high - a.value, b.value - other.low),
  );
}

/** Fewer than this on a side have no interval. */
const MIN_SIDE = 2;
const mean = (list: readonly number[]): number => list.reduce((sum, x) => sum + x, 0) / list.length;
/** The square of the standard error of the mean. */
function errorSquared(list: readonly number[]): number {
  const middle = mean(list);
  return list.reduce((sum, x) => sum + (x - middle) ** 2, 0) / (list.length - 1) / list.length;
}
/** Marks that vary less than this are all alike: they are sums of rounded numbers. */
const DUST = 1e-12;

/**
 * How much higher the mean of one list of shares is than that of another of other learners (Welch, "The generalization of
 * 'Student's' problem when several different population variances are involved", Biometrika 34, 1947). Null: fewer
 * than two on a side, or no spread from which it could be told.
 */
export function meansApart(a: readonly number[], b: readonly number[], bound: TBound): Figure | null {
  if (a.length < MIN_SIDE || b.length < MIN_SIDE) return null;
  const [ea, eb] = [errorSquared(a), errorSquared(b)];
  if (ea + eb < DUST) return null;
  const df = (ea + eb) ** 2 / (ea ** 2 / (a.length - 1) + eb ** 2 / (b.length - 1));
  const half = bound(df) * Math.sqrt(ea + eb);
  const value = mean(a) - mean(b);
  return within(value, half);
}

/**
 * How much higher the second of each pair of shares is on average, by Student's t of the differences (Student, "The probable error
 * of a mean", Biometrika 6, 1908). Null: fewer than two pairs, or all differ alike.
 */
export function pairsApart(pairs: readonly (readonly [first: number, second: number])[], bound: TBound): Figure | null {
  if (pairs.length < MIN_SIDE) return null;
  const apart = pairs.map(([first, second]) => second - first);
  const error = errorSquared(apart);
  if (error < DUST) return null;
  const half = bound(apart.length - 1) * Math.sqrt(error);
  const value = mean(apart);
  return within(value, half);
}
