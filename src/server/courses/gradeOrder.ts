import type { Database } from '../database/open';

/**
 * The order of learners by their whole marks, as the first page of a gradebook found it: the pages after it go on in
 * the same order, whatever becomes of marks meanwhile, so that nobody is shown twice or passed over, and need not work
 * out everybody again. Nothing rests on it: forgotten, it is found anew.
 */
const MAX_KEPT = 50;
const kept = new WeakMap<Database, Map<string, readonly string[]>>();

/** Whose gradebook, of which course, sorted how, narrowed to which words. */
export type OrderKey = readonly [personId: string, courseId: string, sort: string, words: string];

const nameOf = (key: OrderKey) => JSON.stringify(key);

export function rememberOrder(db: Database, key: OrderKey, learners: readonly string[]): void {
  const orders = kept.get(db) ?? new Map<string, readonly string[]>();
  kept.set(db, orders);
  orders.delete(nameOf(key));
  orders.set(nameOf(key), learners);
  const oldest = orders.keys().next().value;
  if (orders.size > MAX_KEPT && oldest !== undefined) orders.delete(oldest);
}

/** Sorts learners as they were remembered, those who came since at the end; null: nothing is remembered. */
export function asRemembered<T extends { readonly id: string }>(
  db: Database,
  key: OrderKey,
  learners: readonly T[],
): T[] | null {
  const order = kept.get(db)?.get(nameOf(key));
  if (!order) return null;
  const placeOf = new Map(order.map((id, place) => [id, place]));
  const place = ({ id }: T) => placeOf.get(id) ?? order.length;
  return [...learners].sort((a, b) => place(a) - place(b));
}
