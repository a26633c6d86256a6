/**
 * What learners came to in each question, as shares of its marks from 0 to 1; null: it was not asked of this learner. A
 * row a learner.
 */
export type Shares = readonly (readonly (number | null)[])[];

const mean = (list: readonly number[]): number => list.reduce((sum, x) => sum + x, 0) / list.length;

/** The sample variance, with n − 1. */
function variance(list: readonly number[]): number {
  const middle = mean(list);
  return list.reduce((sum, x) => sum + (x - middle) ** 2, 0) / (list.length - 1);
}

/**
 * Facility: the mean share of a question's marks, from 0 (nobody had any) to 1. (Item difficulty index for items with
 * partial marks: Crocker & Algina, Introduction to Classical and Modern Test Theory, 1986, ch. 5.) Null: nobody was
 * asked it.
 */
export function facility(shares: Shares, question: number): number | null {
  const own = shares.flatMap((row) => row[question] ?? []);
  return own.length > 0 ? mean(own) : null;
}

/** Pearson's product-moment correlation; null where one of the two does not vary. */
export function correlation(a: readonly number[], b: readonly number[]): number | null {
  const [ma, mb] = [mean(a), mean(b)];
  let ab = 0;
  let aa = 0;
  let bb = 0;
  for (const [i, x] of a.entries()) {
    const y = b[i] as number;
    ab += (x - ma) * (y - mb);
    aa += (x - ma) ** 2;
    bb += (y - mb) ** 2;
  }
  return aa > 1e-12 && bb > 1e-12 ? ab / Math.sqrt(aa * bb) : null;
}

/** Fewer learners than this say nothing about how well a question tells them apart. */
export const MIN_LEARNERS = 5;

/**
 * Discrimination: the corrected item–total correlation, of the share of one question's marks with the points of all
 * others (by their worth), so that a question is not held against itself. (Henrysson, "Correction of item–total
 * correlations in item analysis", Psychometrika 28, 1963; Nunnally & Bernstein, Psychometric Theory, 1994, ch. 8.)
 * Null: too few learners, one question only, or no spread.
 */
export function discrimination(shares: Shares, points: readonly number[], question: number): number | null {
  const rows = shares.filter((row) => row[question] !== null && row[question] !== undefined);
  if (rows.length < MIN_LEARNERS) return null;
  const rest = rows.map((row) => {
    let earned = 0;
    let outOf = 0;
    for (const [i, share] of row.entries()) {
      if (i === question || share === null) continue;
      earned += share * (points[i] ?? 0);
      outOf += points[i] ?? 0;
    }
    // Where questions are drawn, the others are not the same for all: shares of them are compared.
    return outOf > 0 ? earned / outOf : Number.NaN;
  });
  if (rest.some(Number.isNaN)) return null;
  return correlation(
    rows.map((row) => row[question] as number),
    rest,
  );
}

/**
 * Cronbach's α of a set: k/(k − 1) · (1 − Σ σ²ᵢ / σ²ₜ) over the points of the questions. (Cronbach, "Coefficient alpha
 * and the internal structure of tests", Psychometrika 16, 1951.) Null: fewer than two questions, too few learners, no
 * spread, or not all learners were asked the same.
 */
export function cronbach(shares: Shares, points: readonly number[]): number | null {
  const k = points.length;
  if (k < 2 || shares.length < MIN_LEARNERS || shares.some((row) => row.length !== k || row.includes(null)))
    return null;
  const own = points.map((worth, i) => variance(shares.map((row) => (row[i] as number) * worth)));
  const total = variance(
    shares.map((row) => row.reduce<number>((sum, share, i) => sum + (share as number) * (points[i] ?? 0), 0)),
  );
  if (total <= 1e-12) return null;
  return (k / (k - 1)) * (1 - own.reduce((sum, x) => sum + x, 0) / total);
}

/**
 * α without one question: higher than that of all, the set is more reliable without it. Null as in {@link cronbach}.
 */
export const alphaWithout = (shares: Shares, points: readonly number[], question: number): number | null =>
  cronbach(
    shares.map((row) => row.filter((_, q) => q !== question)),
    points.filter((_, q) => q !== question),
  );

/** How many marks fall into each tenth of what could be had; full marks stand in the last. */
export function distribution(shares: readonly number[]): number[] {
  const tenths = Array<number>(10).fill(0);
  for (const share of shares) {
    const at = Math.min(9, Math.max(0, Math.floor(share * 10 + 1e-9)));
    tenths[at] = (tenths[at] as number) + 1;
  }
  return tenths;
}
