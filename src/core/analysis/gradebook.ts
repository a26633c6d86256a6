import type { Mark } from './counting';

/** What a learner has of one release: a mark that counts, or none. */
export interface Entry {
  /** Null: no sitting, and nothing set by hand. */
  readonly mark: Mark | null;
  /** It should have been there: the time for it is over. */
  readonly missing: boolean;
}

/** A release that counts, by its category; null: it is in none. */
export interface Counting {
  readonly categoryId: string | null;
}
export interface Weight {
  readonly id: string;
  readonly weight: number;
}

/**
 * A learner's whole mark, from 0 to 1: within a category all points against all that could be had, and the categories
 * by their weights, which are taken as shares of the weights of those in which there is something to count. Where a
 * course has no category at all, its releases are one. What is missing counts nothing of what its release is worth
 * (`outOf` of the release where the learner has none); what is still to come does not count. Null: there is nothing to
 * count yet.
 */
export function wholeMark(
  releases: readonly (Counting & { readonly outOf: number })[],
  entries: readonly Entry[],
  weights: readonly Weight[],
): number | null {
  const groups = weights.length > 0 ? weights : [{ id: null, weight: 1 }];
  let earned = 0;
  let whole = 0;
  for (const { id, weight } of groups) {
    let points = 0;
    let outOf = 0;
    for (const [i, release] of releases.entries()) {
      if (weights.length > 0 && release.categoryId !== id) continue;
      const entry = entries[i];
      if (entry?.mark) {
        points += entry.mark.points;
        outOf += entry.mark.outOf;
      } else if (entry?.missing) outOf += release.outOf;
    }
    if (outOf === 0 || weight === 0) continue;
    earned += (weight * points) / outOf;
    whole += weight;
  }
  return whole > 0 ? earned / whole : null;
}
