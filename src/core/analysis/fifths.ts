import { itemOf } from '../judge/model';
import { type Digest, NOWHERE, type Place } from './digest';

/** Who chose what: learners by fifths of their total, and how many of each put an item into a place at first. */
export interface Fifths {
  /** Learners in each fifth, from those with the least on. */
  readonly learners: readonly number[];
  readonly rows: readonly { readonly item: number; readonly zone: Place; readonly counts: readonly number[] }[];
}

/** Fewer learners than this are not parted into fifths. */
const MIN_LEARNERS = 10;
const MAX_ROWS = 80;

/**
 * Learners in fifths by a total, from those with the least on: of n learners the one at place i stands in fifth ⌊5i/n⌋,
 * equal totals in the order in which they are given.
 */
export function fifthsBy(totals: readonly number[]): number[] {
  const order = totals.map((total, i) => ({ total, i })).sort((a, b) => a.total - b.total || a.i - b.i);
  const fifths = Array<number>(totals.length).fill(0);
  for (const [place, { i }] of order.entries()) fifths[i] = Math.floor((5 * place) / order.length);
  return fifths;
}

/**
 * Distractor analysis: what each fifth of the learners chose at first, the most frequent first. (Haladyna and Rodriguez,
 * Developing and Validating Test Items, 2013, ch. 18.) `answers`: the total of each learner who answered, and what they
 * did. Null: too few.
 */
export function fifthsOf(answers: readonly { readonly total: number; readonly digest: Digest }[]): Fifths | null {
  if (answers.length < MIN_LEARNERS) return null;
  const fifths = fifthsBy(answers.map(({ total }) => total));
  const learners = Array<number>(5).fill(0);
  const rows = new Map<string, { item: number; zone: Place; counts: number[]; all: number }>();
  for (const [i, { digest }] of answers.entries()) {
    const fifth = fifths[i] ?? 0;
    learners[fifth] = (learners[fifth] ?? 0) + 1;
    // Several copies of an item in one place are one choice.
    const chosen = new Map(
      digest.put.map(([copy, zone]) => [`${itemOf(copy)} ${zone}`, [itemOf(copy), zone] as const]),
    );
    for (const [key, [item, zone]] of chosen) {
      if (zone === NOWHERE) continue;
      const row = rows.get(key) ?? { item, zone, counts: Array<number>(5).fill(0), all: 0 };
      row.counts[fifth] = (row.counts[fifth] ?? 0) + 1;
      row.all++;
      rows.set(key, row);
    }
  }
  const most = [...rows.values()]
    .sort((a, b) => b.all - a.all || a.item - b.item || a.zone - b.zone)
    .slice(0, MAX_ROWS);
  return { learners, rows: most.map(({ item, zone, counts }) => ({ item, zone, counts })) };
}
