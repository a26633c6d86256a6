import type { KeyEntry, Question } from '../document/schema';
import type { Step } from './edit';
import { applyAll } from './edit';
import { eitherZones, inAnyOf } from './either';
import { type Cell, listedIn, newEntry } from './keying';
import { setQuestion } from './steps';

/**
 * Widens a key so that an item is right in a zone too, and stays right wherever it was: the zone takes so many more,
 * and no other zone that lists it needs it any longer. Every answer that was right before is right still. Null: the
 * zone wants an order or a sum, which does not widen; or the item is right there already.
 */
export function widen(question: Question, { item, zone }: Cell): Step | null {
  const found = question.items.find(({ id }) => id === item);
  if (!found || !question.zones.some(({ id }) => id === zone)) return null;
  const copies = found.copies === 'endless' ? null : found.copies;
  const into = question.key.find((entry) => entry.zone === zone);
  if (into && (into.sequence || into.sum || listedIn(question, into).includes(item))) return null;
  if (question.key.some((entry) => (entry.sequence || entry.sum) && listedIn(question, entry).includes(item)))
    return null;
  const shared = eitherZones(question, item);
  if (shared.includes(zone)) return null;
  const own = question.key.filter((entry) => entry.belongs?.includes(item));
  // Where all copies of it are needed, they are needed in any of the zones: nobody's requirement changes.
  if (shared.length > 0 || (own.length === 1 && own.every(({ need }) => need?.rule === 'all') && copies !== null)) {
    const key = question.key.flatMap((entry): KeyEntry[] => {
      if (!own.includes(entry)) return [entry];
      const belongs = (entry.belongs ?? []).filter((id) => id !== item);
      return belongs.length > 0 ? [{ ...entry, belongs }] : [];
    });
    const wide = inAnyOf(question, question.either, item, [...shared, ...own.map((entry) => entry.zone), zone]);
    const keyed = setQuestion(question, 'key', key);
    return [...keyed, ...setQuestion(applyAll(question, keyed), 'either', wide)];
  }
  const others = question.key.map((entry): KeyEntry => {
    if (entry.zone === zone) {
      const [lo, hi] = boundsOf(question, entry);
      return {
        ...entry,
        belongs: [...listedIn(question, entry), item],
        need: needOf(lo, hi === null || copies === null ? null : hi + copies),
      };
    }
    if (!listedIn(question, entry).includes(item)) return entry;
    const [lo, hi] = boundsOf(question, entry);
    return { ...entry, need: needOf(copies === null ? 0 : Math.max(0, lo - copies), hi) };
  });
  return setQuestion(question, 'key', into ? others : [...others, newEntry(zone, [item], { need: needOf(0, copies) })]);
}

/** How many an entry needs at least and takes at most; null: any number. */
function boundsOf(question: Question, entry: KeyEntry): [number, number | null] {
  const { need } = entry;
  switch (need?.rule) {
    case 'exactly':
      return [need.n, need.n];
    case 'atLeast':
      return [need.n, null];
    case 'between':
      return [need.min, need.max];
    case 'all':
    case undefined: {
      const listed = listedIn(question, entry);
      const all = question.items.reduce(
        (sum, item) => sum + (listed.includes(item.id) && item.copies !== 'endless' ? item.copies : 0),
        0,
      );
      return [all, all];
    }
  }
}

const needOf = (least: number, most: number | null): KeyEntry['need'] =>
  most === null
    ? { rule: 'atLeast', n: least }
    : least === most
      ? { rule: 'exactly', n: least }
      : { rule: 'between', min: least, max: most };
