import type { ItemId } from '../document/ids';
import type { KeyEntry, Question } from '../document/schema';

/**
 * The items that belong in an entry's zone by the entry itself. Left out, with a sum, they are all items with a value,
 * but for those that an either entry keys to the zone.
 */
export function belongsIn({ items, either }: Pick<Question, 'items' | 'either'>, entry: KeyEntry): readonly ItemId[] {
  if (entry.belongs) return entry.belongs;
  const apart = new Set(either.flatMap(({ zones, belongs }) => (zones.includes(entry.zone) ? belongs : [])));
  return items.flatMap(({ id, value }) => (value === null || apart.has(id) ? [] : [id]));
}
