import { LRUCache } from 'lru-cache';
import type { Database } from '../database/open';

/**
 * The order of learners by their overall marks, as the first page of a gradebook found it. Later pages use the same
 * order even if marks change meanwhile, so that nobody is shown twice or skipped, and need not work out everybody
 * again. It is a cache: if it is lost, the order is worked out again.
 */
const MAX_ORDERS = 50;
const cached = new WeakMap<Database, LRUCache<string, readonly string[]>>();

/** The key of an order: the teacher, the course, the sorting and the search words. */
export type OrderKey = readonly [personId: string, courseId: string, sort: string, words: string];

const nameOf = (key: OrderKey) => JSON.stringify(key);

export function rememberOrder(db: Database, key: OrderKey, learners: readonly string[]): void {
  const orders = cached.get(db) ?? new LRUCache<string, readonly string[]>({ max: MAX_ORDERS });
  cached.set(db, orders);
  orders.set(nameOf(key), learners);
}

/** Sorts learners in the cached order, newly enrolled ones last; null: there is none. */
export function asRemembered<T extends { readonly id: string }>(
  db: Database,
  key: OrderKey,
  learners: readonly T[],
): T[] | null {
  const order = cached.get(db)?.get(nameOf(key));
  if (!order) return null;
  const placeOf = new Map(order.map((id, place) => [id, place]));
  const place = ({ id }: T) => placeOf.get(id) ?? order.length;
  return [...learners].sort((a, b) => place(a) - place(b));
}
