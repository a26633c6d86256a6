import type { ItemId, ZoneId } from '../document/ids';
import type { Item, KeyEntry, Need, Question } from '../document/schema';
import { applyAll, type Step } from './edit';
import { eitherAt, eitherZones, fittingEither, inAnyOf, type Key } from './either';
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
export const listedIn = (question: Question, { belongs }: Pick<KeyEntry, 'belongs'>): ItemId[] =>
  belongs ?? question.items.flatMap(({ id, value }) => (value === null ? [] : [id]));

/** Does the item belong in the zone, by the key as it stands? */
export function belongsIn(question: Question, { zone, item }: Cell): boolean {
  const entry = question.key.find((entry) => entry.zone === zone);
  return (
    (entry !== undefined && listedIn(question, entry).includes(item)) || eitherAt(question, item, zone) !== undefined
  );
}

/** The step to another key, with the either entries that fit it. */
function setKey(question: Question, { key, either }: Key): Step {
  const settled = key.map((entry) => settledNeed(question, entry));
  return [
    ...setQuestion(question, 'either', [...fittingEither(question, { key: settled, either })]),
    ...setQuestion(question, 'key', settled),
  ];
}

/**
 * Sets cells of the key grid to belonging or not, all as one step. A zone that was neutral gets an entry; one that
 * loses its last item loses it, unless it is a trap. An item with fewer copies than zones belongs in any of them: it
 * moves into an either entry.
 */
export function setCells(question: Question, cells: readonly Cell[], belongs: boolean): Step {
  return setKey(
    question,
    cells.reduce<Key>((key, cell) => withCellSet(question, key, cell, belongs), question),
  );
}

function withCellSet(question: Question, { key, either }: Key, cell: Cell, belongs: boolean): Key {
  const { item, zone } = cell;
  const shared = eitherZones({ either }, item);
  const wantsOrder = key.some((entry) => entry.zone === zone && entry.sequence);
  if (!belongs) {
    if (!shared.includes(zone)) return { key: withCell(question, key, cell, false), either };
    const left = shared.filter((id) => id !== zone);
    const [last] = left;
    return {
      key: left.length === 1 && last ? withCell(question, key, { zone: last, item }, true) : key,
      either: inAnyOf(question, either, item, left),
    };
  }
  if (shared.includes(zone) || wantsOrder) return { key: withCell(question, key, cell, true), either };
  const own = key.flatMap((entry) => (!entry.sequence && entry.belongs?.includes(item) ? [entry.zone] : []));
  const copies = question.items.find(({ id }) => id === item)?.copies ?? 1;
  const enough = copies === 'endless' || copies > own.length;
  if (own.includes(zone) || (shared.length === 0 && enough))
    return { key: withCell(question, key, cell, true), either };
  return {
    key: own.reduce((entries, from) => withCell(question, entries, { zone: from, item }, false), key),
    either: inAnyOf(question, either, item, [...shared, ...own, zone]),
  };
}

/** An item of an either entry belongs in each of its zones instead, as many copies as there are zones. */
export function inEachOf(question: Question, item: ItemId): Step {
  const zones = eitherZones(question, item);
  if (zones.length === 0) return [];
  const copies = question.items.find(({ id }) => id === item)?.copies ?? 1;
  const counted = copies === 'endless' || copies >= zones.length ? [] : setItem(question, item, 'copies', zones.length);
  const after = applyAll(question, counted);
  const key = zones.reduce<readonly KeyEntry[]>(
    (entries, zone) => withCell(after, entries, { zone, item }, true),
    after.key,
  );
  return [
    ...counted,
    ...setKey(after, {
      key: key.map((entry) =>
        zones.includes(entry.zone) && entry.need?.rule === 'all'
          ? { ...entry, need: { rule: 'exactly', n: 1 + othersIn(after, entry, item) } }
          : entry,
      ),
      either: inAnyOf(after, after.either, item, []),
    }),
  ];
}

/** The copies of an entry's items but this one. */
const othersIn = ({ items }: Question, { belongs }: KeyEntry, item: ItemId): number =>
  items.reduce(
    (sum, { id, copies }) => sum + (id !== item && belongs?.includes(id) && copies !== 'endless' ? copies : 0),
    0,
  );

/** What an either entry asks of its items together. */
export const setEitherNeed = (question: Question, index: number, need: Need): Step => {
  const entry = question.either[index];
  return entry ? setQuestion(question, 'either', question.either.with(index, { ...entry, need })) : [];
};

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
  return [...counted, ...setKey(after, after)];
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
  const key = entry ? question.key.with(index, next) : [...question.key, next];
  return [
    ...setQuestion(question, 'either', fittingEither(question, { key, either: question.either })),
    ...setQuestion(question, 'key', key),
  ];
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
  const placed = new Set<ItemId>([
    ...question.key.flatMap((entry) => listedIn(question, entry)),
    ...question.either.flatMap(({ belongs }) => belongs),
  ]);
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
  const keyed = new Set<string>([...kept.key.map(({ zone }) => zone), ...kept.either.flatMap(({ zones }) => zones)]);
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
