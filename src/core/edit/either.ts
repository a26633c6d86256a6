import type { ItemId, ZoneId } from '../document/ids';
import type { Either, KeyEntry, Question } from '../document/schema';

/** The two parts of the key. */
export interface Key {
  readonly key: readonly KeyEntry[];
  readonly either: readonly Either[];
}

/** The either entry that keys the item to the zone; undefined: none does. */
export const eitherAt = ({ either }: Pick<Key, 'either'>, item: string, zone: string): Either | undefined =>
  either.find(({ belongs, zones }) => (belongs as string[]).includes(item) && (zones as string[]).includes(zone));

/** The zones in which the item belongs in any one; none where it is in no either entry. */
export const eitherZones = ({ either }: Pick<Key, 'either'>, item: string): readonly ZoneId[] =>
  either.find(({ belongs }) => (belongs as string[]).includes(item))?.zones ?? [];

/** The either entries with the item in any of these zones, all its copies: under two zones, in none. */
export function inAnyOf(
  question: Question,
  either: readonly Either[],
  item: ItemId,
  zones: readonly ZoneId[],
): Either[] {
  const into = question.zones.flatMap(({ id }) => (zones.includes(id) ? [id] : []));
  // Where some of several are needed they stay together: the places are those of all of them.
  const own = either.findIndex(({ belongs }) => belongs.includes(item));
  const group = either[own];
  if (group && group.need.rule !== 'all' && group.zones.every((id) => into.includes(id)))
    return either.with(own, { ...group, zones: into });
  const others = withoutItem(either, item);
  if (into.length < 2) return others;
  const same = others.findIndex(
    (entry) => entry.need.rule === 'all' && entry.weight === null && entry.zones.join('\n') === into.join('\n'),
  );
  const there = others[same];
  return there
    ? others.with(same, { ...there, belongs: [...there.belongs, item] })
    : [...others, { belongs: [item], zones: into, need: needOf(question, item), weight: null }];
}

const needOf = ({ items }: Question, item: ItemId): Either['need'] =>
  items.find(({ id }) => id === item)?.copies === 'endless' ? { rule: 'atLeast', n: 1 } : { rule: 'all' };

export const withoutItem = (either: readonly Either[], item: ItemId): Either[] =>
  either.flatMap((entry): Either[] => {
    if (!entry.belongs.includes(item)) return [entry];
    const belongs = entry.belongs.filter((id) => id !== item);
    return belongs.length > 0 ? [{ ...entry, belongs }] : [];
  });

/**
 * The either entries that fit a changed key: an item that a zone's own entry lists is that entry's, a zone that wants a
 * sequence is one of none, and all of an endless item cannot be needed.
 */
export function fittingEither(question: Pick<Question, 'items'>, { key, either }: Key): Either[] {
  const own = new Map(key.map((entry) => [entry.zone, entry]));
  const endless = new Set(question.items.flatMap(({ id, copies }) => (copies === 'endless' ? [id] : [])));
  return either.flatMap((entry): Either[] => {
    const zones = entry.zones.filter((id) => !own.get(id)?.sequence);
    const belongs = entry.belongs.filter((id) => !zones.some((zone) => own.get(zone)?.belongs?.includes(id)));
    if (zones.length < 2 || belongs.length === 0) return [];
    const need =
      entry.need.rule === 'all' && belongs.some((id) => endless.has(id))
        ? ({ rule: 'atLeast', n: 1 } as const)
        : entry.need;
    const same = need === entry.need && zones.length === entry.zones.length && belongs.length === entry.belongs.length;
    return [same ? entry : { ...entry, zones, belongs, need }];
  });
}
