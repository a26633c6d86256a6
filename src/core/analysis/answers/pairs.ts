import type { Copy } from '../../judge/copy';
import { isKeyed, itemOf, type QuestionModel } from '../../judge/model';
import { type Digest, NOWHERE, type Place } from '../digest';

/** How often an item was put into a zone; `zone` −1: nowhere. Indexes of the question's items and zones. */
export interface Pair {
  readonly item: number;
  readonly zone: Place;
  readonly first: number;
  readonly last: number;
  /** By the key; null: the zone is neutral, or only what else lies there decides. */
  readonly right: boolean | null;
}

/** Copies by item and place, at first and at last. What was never moved is in no pair. */
export function pairsOf(model: QuestionModel, digests: readonly Digest[]): Pair[] {
  const firsts = new Map<string, number>();
  const lasts = new Map<string, number>();
  const add = (to: Map<string, number>, copy: Copy, zone: Place) => {
    const key = `${itemOf(copy)} ${zone}`;
    to.set(key, (to.get(key) ?? 0) + 1);
  };
  for (const { put } of digests)
    for (const [copy, first, last] of put) {
      add(firsts, copy, first);
      add(lasts, copy, last);
    }
  return [...new Set([...firsts.keys(), ...lasts.keys()])]
    .map((key): Pair => {
      const [item = 0, zone = NOWHERE] = key.split(' ').map(Number);
      return { item, zone, first: firsts.get(key) ?? 0, last: lasts.get(key) ?? 0, right: isRight(model, item, zone) };
    })
    .sort((a, b) => a.item - b.item || a.zone - b.zone);
}

/**
 * Whether an item is right in a place whatever else was done; null where that cannot be said: in a neutral zone, in one
 * that asks for a sum or an order, and, left out, where others may be taken instead.
 */
export function isRight(model: QuestionModel, item: number, zone: Place): boolean | null {
  if (zone === NOWHERE) return !mayBelong(model, item) ? true : isNeeded(model, item) ? false : null;
  const entry = model.entryOf[zone];
  if (!entry) return null;
  if (!isKeyed(model, zone, item)) return false;
  return entry.sequence || (entry.sum !== null && !entry.apart.has(item)) ? null : true;
}

/** Does the item belong in some zone? A trap wants nothing, whatever its entry lists. */
const mayBelong = ({ entries, either }: QuestionModel, item: number): boolean =>
  [...entries, ...either].some(({ belongs, hi }) => hi > 0 && belongs.has(item));

/** Can nobody have full marks who leaves the item out? Where one entry alone lists it and wants all that it lists. */
function isNeeded({ entries, either, items }: QuestionModel, item: number): boolean {
  const lists = [...entries, ...either].filter(({ belongs, hi }) => hi > 0 && belongs.has(item));
  const [entry] = lists;
  if (lists.length !== 1 || !entry) return false;
  const all = entry.order.reduce((sum, listed) => sum + (items[listed]?.copies ?? 0), 0);
  return entry.lo >= all;
}

/** Wrong pairs, those that most were in at last first. Never what is right, nor what may be. */
export const wrongPairs = (pairs: readonly Pair[]): Pair[] =>
  pairs.filter(({ right }) => right === false).sort((a, b) => b.last - a.last || b.first - a.first);
