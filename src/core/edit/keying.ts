import type { ItemId, ZoneId } from '../document/ids';
import type { Item, KeyEntry, Need, Question } from '../document/schema';
import { applyAll, type Step } from './edit';
import { setItem, setQuestion } from './steps';

const EMPTY = { need: { rule: 'all' }, sum: null, sequence: false, weight: null, says: null } as const;

/** A key entry: items that belong in a zone, all of them needed unless `more` says otherwise. */
export const newEntry = (zone: ZoneId, belongs: readonly ItemId[], more: Partial<KeyEntry> = {}): KeyEntry => ({
  ...EMPTY,
  zone,
  belongs: [...belongs],
  ...more,
});

/** One cell of the key grid: does the item belong in the zone? */
export interface Cell {
  readonly zone: ZoneId;
  readonly item: ItemId;
}

/** The items an entry lists; one that leaves `belongs` out counts every item with a value. */
export const listedIn = ({ items }: Question, { belongs }: Pick<KeyEntry, 'belongs'>): ItemId[] =>
  belongs ?? items.filter(({ value }) => value !== null).map(({ id }) => id);

/** Does the item belong in the zone, by the key as it stands? */
export function belongsIn(question: Question, { zone, item }: Cell): boolean {
  const entry = question.key.find((entry) => entry.zone === zone);
  return entry !== undefined && listedIn(question, entry).includes(item);
}

/**
 * Sets cells of the key grid to belonging or not, all as one step. A zone that was neutral gets an entry; one that
 * loses its last item loses it, unless it is a trap.
 */
export function setCells(question: Question, cells: readonly Cell[], belongs: boolean): Step {
  const key = cells.reduce<readonly KeyEntry[]>(
    (entries, cell) => withCell(question, entries, cell, belongs),
    question.key,
  );
  return setQuestion(
    question,
    'key',
    key.map((entry) => settledNeed(question, entry)),
  );
}

/** All of an endless item cannot be needed: it becomes at least one. */
function settledNeed(question: Question, entry: KeyEntry): KeyEntry {
  if (entry.need?.rule !== 'all' || entry.sequence) return entry;
  const endless = question.items.some(({ id, copies }) => copies === 'endless' && entry.belongs?.includes(id));
  return endless ? { ...entry, need: { rule: 'atLeast', n: 1 } } : entry;
}

/** How many there are of the items, and what the key then can ask of them. */
export function setCopies(question: Question, items: readonly ItemId[], copies: Item['copies']): Step {
  const counted = items.flatMap((id) => setItem(question, id, 'copies', copies));
  const after = applyAll(question, counted);
  return [
    ...counted,
    ...setQuestion(
      after,
      'key',
      after.key.map((entry) => settledNeed(after, entry)),
    ),
  ];
}

function withCell(
  question: Question,
  key: readonly KeyEntry[],
  { zone, item }: Cell,
  belongs: boolean,
): readonly KeyEntry[] {
  const index = key.findIndex((entry) => entry.zone === zone);
  const entry = key[index];
  if (!entry) return belongs ? [...key, { ...EMPTY, zone, belongs: [item] }] : key;
  const listed = listedIn(question, entry);
  if (listed.includes(item) === belongs) return key;
  const others = listed.filter((id) => id !== item);
  if (belongs)
    return key.with(index, {
      ...entry,
      belongs: entry.sequence ? [...others, item] : inListOrder(question, [...others, item]),
    });
  return others.length > 0 || isTrap(entry) ? key.with(index, { ...entry, belongs: others }) : key.toSpliced(index, 1);
}

function inListOrder(question: Question, ids: readonly ItemId[]): ItemId[] {
  const wanted = new Set(ids);
  return question.items.map(({ id }) => id).filter((id) => wanted.has(id));
}

/** A zone in which nothing belongs: whatever is put there is wrong. */
export const isTrap = (entry: KeyEntry): boolean => entry.belongs?.length === 0 && entry.sum === null;

/** Sets what a zone's key entry says besides who belongs; a zone that was neutral becomes a trap first. */
export function setEntry(question: Question, zone: ZoneId, change: Partial<Omit<KeyEntry, 'zone'>>): Step {
  const index = question.key.findIndex((entry) => entry.zone === zone);
  const entry = question.key[index];
  const next: KeyEntry = { ...(entry ?? { ...EMPTY, zone, belongs: [] }), ...change };
  return setQuestion(question, 'key', entry ? question.key.with(index, next) : [...question.key, next]);
}

export const setNeed = (question: Question, zone: ZoneId, need: Need): Step =>
  setEntry(question, zone, { need, sequence: false });

/** The zone is neutral again: nothing in it is right or wrong. */
export const dropEntry = (question: Question, zone: ZoneId): Step =>
  setQuestion(
    question,
    'key',
    question.key.filter((entry) => entry.zone !== zone),
  );

/** The items that belong in no zone. */
export function belongNowhere(question: Question): ItemId[] {
  const placed = new Set<ItemId>(question.key.flatMap((entry) => listedIn(question, entry)));
  return question.items.flatMap(({ id }) => (placed.has(id) ? [] : [id]));
}

/**
 * "Everything else belongs nowhere": what is keyed (or of that only the items of `keep`) stays as it is, every other
 * item belongs in no zone, and zones that were neutral become traps, so that whatever lands there is wrong.
 */
export function restNowhere(question: Question, keep?: ReadonlySet<string>): Step {
  const others = keep ? question.items.flatMap(({ id }) => (keep.has(id) ? [] : [id])) : [];
  const cleared = setNowhere(question, others);
  const kept = applyAll(question, cleared);
  const keyed = new Set<string>(kept.key.map(({ zone }) => zone));
  const traps = kept.zones
    .filter(({ id }) => !keyed.has(id))
    .map(({ id }): KeyEntry => ({ ...EMPTY, zone: id, belongs: [], need: { rule: 'exactly', n: 0 } }));
  return [...cleared, ...setQuestion(kept, 'key', [...kept.key, ...traps])];
}

/** Takes items out of every zone's key. */
export function setNowhere(question: Question, items: readonly ItemId[]): Step {
  return setCells(
    question,
    items.flatMap((item) => question.zones.map(({ id }) => ({ zone: id, item }))),
    false,
  );
}

export const setValues = (question: Question, items: readonly ItemId[], value: number | null): Step =>
  items.flatMap((id) => setItem(question, id, 'value', value));
