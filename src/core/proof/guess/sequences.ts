import type { Marks } from '../../document/schema';
import { type Budget, TooMany } from '../budget';
import { choose, factorial } from './numbers';

/**
 * Lists of k different copies of which r are of the key's items, in every order: how they are distributed by what the
 * sequence rule counts in them (places, pairs, the longest run), as ways by count. `low` is how many of the r stand in
 * the key before place k; `pairs` how many neighbours of the key are both there.
 */
export interface Present {
  readonly k: number;
  readonly r: number;
  readonly low: number;
  readonly pairs: number;
  /** The whole key and nothing else. */
  readonly complete: boolean;
}

/**
 * Ways by what is counted; the share of the sequence that one counted thing is worth, times its length, is {@link
 * unitOf}.
 */
export function orderings(
  rule: Marks['sequenceRule'],
  length: number,
  present: Present,
  budget: Budget,
): readonly bigint[] {
  const { k, r, low, pairs, complete } = present;
  const effective = length === 1 && rule !== 'longestRun' && rule !== 'allOrNothing' ? 'exactPosition' : rule;
  switch (effective) {
    case 'exactPosition':
      // Of the ways to have m of them in their places: chosen, and the others nowhere in theirs (inclusion and
      // exclusion).
      return exactly(low, (j) => choose(low, j) * factorial(k - j));
    case 'adjacentPairs':
      // j neighbours kept together make k − j blocks.
      return exactly(pairs, (j) => choose(pairs, j) * factorial(k - j));
    case 'pairsInOrder':
      return inversions(r, budget).map((ways) => ways * (factorial(k) / factorial(r)));
    case 'longestRun':
      return longestRuns(r, budget).map((ways) => ways * (factorial(k) / factorial(r)));
    case 'allOrNothing':
      return complete ? [factorial(k) - 1n, 1n] : [factorial(k)];
  }
}

/** What one counted thing adds to c = n·f. */
export function unitOf(rule: Marks['sequenceRule'], length: number): number {
  if (rule === 'allOrNothing') return length;
  if (rule === 'longestRun' || rule === 'exactPosition' || length === 1) return 1;
  return rule === 'adjacentPairs' ? length / (length - 1) : length / ((length * (length - 1)) / 2);
}

/** From the ways with at least the j of each choice of j, summed over the choices, to those with exactly m. */
function exactly(most: number, atLeast: (j: number) => bigint): bigint[] {
  const sums = Array.from({ length: most + 1 }, (_, j) => atLeast(j));
  return sums.map((_, m) => {
    let ways = 0n;
    for (let j = m; j <= most; j++) ways += ((j - m) % 2 === 0 ? 1n : -1n) * choose(j, m) * (sums[j] as bigint);
    return ways;
  });
}

const knownInversions: bigint[][] = [[1n]];
/** Permutations of r by pairs in order (the Mahonian numbers, which are symmetric). */
function inversions(r: number, budget: Budget): readonly bigint[] {
  for (let n = knownInversions.length; n <= r; n++) {
    const before = knownInversions[n - 1] as bigint[];
    const next = new Array<bigint>(before.length + n - 1).fill(0n);
    before.forEach((ways, i) => {
      for (let j = 0; j < n; j++) next[i + j] = (next[i + j] as bigint) + ways;
    });
    budget.spend(2 * before.length * n);
    knownInversions.push(next);
  }
  return knownInversions[r] as bigint[];
}

const MAX_RUN = 45;
const knownRuns = new Map<number, bigint[]>();
/**
 * Permutations of r by their longest increasing run: by the Robinson–Schensted correspondence, Σ (f^λ)² over the
 * partitions λ of r whose first part is the length, f^λ by the hook lengths (Frame, Robinson and Thrall, 1954).
 */
function longestRuns(r: number, budget: Budget): readonly bigint[] {
  const known = knownRuns.get(r);
  if (known) return known;
  if (r > MAX_RUN) throw new TooMany('too long a sequence for counting its runs');
  const ways = new Array<bigint>(r + 1).fill(0n);
  const parts: number[] = [];
  const visit = (left: number, most: number) => {
    if (left === 0) {
      const first = parts[0] ?? 0;
      ways[first] = (ways[first] as bigint) + (factorial(r) / hooks(parts)) ** 2n;
      budget.spend(20 * r + 20);
      return;
    }
    for (let part = Math.min(left, most); part >= 1; part--) {
      parts.push(part);
      visit(left - part, part);
      parts.pop();
    }
  };
  visit(r, r);
  knownRuns.set(r, ways);
  return ways;
}

function hooks(parts: readonly number[]): bigint {
  let product = 1n;
  parts.forEach((part, row) => {
    for (let column = 0; column < part; column++) {
      let leg = 0;
      while (row + leg + 1 < parts.length && (parts[row + leg + 1] as number) > column) leg++;
      product *= BigInt(part - column + leg);
    }
  });
  return product;
}
