import type { QuestionModel } from '../../judge/model';
import type { Digest } from '../digest';

/** How an order was made: how many had each item in each place. */
export interface OrderAnswers {
  readonly zone: number;
  /** The items of the rows: those of the key in its order, then others that were put there. */
  readonly items: readonly number[];
  /** So many of the items are of the key. */
  readonly keyed: number;
  /** By row and place, from the first place on. */
  readonly first: readonly (readonly number[])[];
  readonly last: readonly (readonly number[])[];
  /**
   * Pairs that stood next to each other at last, the later of the key before the earlier, with how many had them so:
   * the most frequent first.
   */
  readonly swaps: readonly { readonly earlier: number; readonly later: number; readonly learners: number }[];
}

export const ordersOf = (model: QuestionModel, digests: readonly Digest[]): OrderAnswers[] =>
  model.entries.flatMap(({ sequence, zone, order }) => (sequence ? [orderOf(zone, order, digests)] : []));

function orderOf(zone: number, order: readonly number[], digests: readonly Digest[]): OrderAnswers {
  const made = digests.flatMap(({ orders }) => orders.filter(([of]) => of === zone));
  const others = new Set(
    made.flatMap(([, first, last]) => [...first, ...last]).filter((item) => !order.includes(item)),
  );
  const items = [...order, ...[...others].sort((a, b) => a - b)];
  const places = Math.max(order.length, ...made.flatMap(([, first, last]) => [first.length, last.length]));
  const matrix = (which: 1 | 2): number[][] => {
    const counts = items.map(() => Array<number>(places).fill(0));
    const rowOf = new Map(items.map((item, row) => [item, row]));
    for (const one of made)
      for (const [place, item] of one[which].entries()) {
        const row = counts[rowOf.get(item) ?? -1];
        if (row) row[place] = (row[place] ?? 0) + 1;
      }
    return counts;
  };
  return { zone, items, keyed: order.length, first: matrix(1), last: matrix(2), swaps: swapsOf(order, made) };
}

function swapsOf(order: readonly number[], made: readonly Digest['orders'][number][]): OrderAnswers['swaps'] {
  const placeOf = new Map(order.map((item, place) => [item, place]));
  const counts = new Map<string, number>();
  for (const [, , last] of made)
    for (const [i, before] of last.entries()) {
      const after = last[i + 1];
      const [a, b] = [placeOf.get(before), placeOf.get(after ?? -1)];
      if (a === undefined || b === undefined || a < b) continue;
      const key = `${after} ${before}`;
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
  return [...counts]
    .map(([key, learners]) => {
      const [earlier = 0, later = 0] = key.split(' ').map(Number);
      return { earlier, later, learners };
    })
    .sort((a, b) => b.learners - a.learners || a.earlier - b.earlier || a.later - b.later);
}
