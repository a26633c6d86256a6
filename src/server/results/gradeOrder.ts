import { LRUCache } from 'lru-cache';
import type { Database } from '../database/open';

/**
 * The order of learners as the first page of a gradebook found it, by the teacher, the course, the sorting and the
 * filter. Later pages use the same order even if marks change meanwhile, so that nobody is shown twice or skipped, and
 * need not work out everybody again. It is a cache: if it is lost, the order is worked out again.
 */
const MAX_ORDERS = 50;
const cached = new WeakMap<Database, LRUCache<string, readonly string[]>>();

export function rememberOrder(db: Database, key: readonly string[], learners: readonly string[]): void {
  const orders = cached.get(db) ?? new LRUCache<string, readonly string[]>({ max: MAX_ORDERS });
  cached.set(db, orders);
  orders.set(JSON.stringify(key), learners);
}

/** The ids of learners in the cached order; null: there is none. */
export const rememberedOrder = (db: Database, key: readonly string[]): readonly string[] | null =>
  cached.get(db)?.get(JSON.stringify(key)) ?? null;
