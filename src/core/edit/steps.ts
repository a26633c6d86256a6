import type { ItemId, ZoneId } from '../document/ids';
import type { Fixture, Item, KeyEntry, Look, Medium, Question, Zone } from '../document/schema';
import {
  applyAll,
  type Edit,
  type EntryField,
  type EntryValue,
  editOf,
  type Listed,
  type ListField,
  type Named,
  type NamedField,
  type QuestionField,
  type Step,
} from './edit';
import { fittingEither } from './either';
import { withoutEvents } from './events';
import { withSlots } from './slots';
import { LIST_OF, type Ref, refTo, type ThingKind } from './things';

/** What the author does, as steps. Each is one undo. A step that would change nothing is empty. */
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

export function setQuestion<Field extends QuestionField>(question: Question, field: Field, to: Question[Field]): Step {
  return same(question[field], to) ? [] : [editOf({ type: 'setQuestion', field, to, from: question[field] })];
}

function setIn(question: Question, list: ListField, id: string, field: string, to: unknown): Step {
  const entry: object | undefined = question[list].find((candidate) => candidate.id === id);
  if (!entry) return [];
  const from: unknown = Reflect.get(entry, field);
  return same(from, to) ? [] : [editOf({ type: 'set', in: list, id, field, to, from })];
}

export const setItem = <Field extends Exclude<keyof Item, 'id'>>(
  question: Question,
  id: ItemId,
  field: Field,
  to: Item[Field],
): Step => setIn(question, 'items', id, field, to);
export const setZone = <Field extends Exclude<keyof Zone, 'id'>>(
  question: Question,
  id: ZoneId,
  field: Field,
  to: Zone[Field],
): Step => setIn(question, 'zones', id, field, to);

/** The fields that every fixture has, and those of one type of it alone. */
export const setFixture = <Field extends EntryField<Fixture>>(
  question: Question,
  id: string,
  field: Field,
  to: EntryValue<Fixture, Field>,
): Step => setIn(question, 'fixtures', id, field, to);

/** Gives anything on the scene another name. */
export const rename = (question: Question, kind: ThingKind, id: string, label: string): Step =>
  setIn(question, LIST_OF[kind], id, 'label', label);

export const add = <List extends ListField>(question: Question, list: List, entries: readonly Listed[List][]): Step =>
  entries.map((entry, i) => editOf({ type: 'add', in: list, index: question[list].length + i, entry }));

const setNamed = <Field extends NamedField>(
  question: Question,
  field: Field,
  name: string,
  to: Named[Field] | null,
): Step => {
  const from = Object.hasOwn(question[field], name) ? (question[field][name] as Named[Field]) : null;
  return same(from, to) ? [] : [editOf({ type: 'name', in: field, name, to, from })];
};
export const setLook = (question: Question, name: string, to: Look | null): Step =>
  setNamed(question, 'looks', name, to);
export const setMedium = (question: Question, name: string, to: Medium | null): Step =>
  setNamed(question, 'media', name, to);

/**
 * Takes things away, and what the key, the start, the Bench's notes, and the zones and slots that depend on them say of
 * them.
 */
export function remove(question: Question, refs: ReadonlySet<Ref>): Step {
  const gone = new Set(refs);
  // What rides on an item goes with it.
  for (const { id, ridesOn } of question.zones)
    if (ridesOn !== null && gone.has(refTo('item', ridesOn))) gone.add(refTo('zone', id));
  const item = (id: string) => gone.has(refTo('item', id));
  const zone = (id: string) => gone.has(refTo('zone', id));
  const key = question.key
    .filter((entry) => !zone(entry.zone))
    .map((entry) => withoutItems(entry, item))
    .filter(stillSaysSomething);
  const placements = question.start?.placements.filter((placed) => !item(placed.item) && !zone(placed.zone));
  const start = placements && placements.length > 0 ? { placements } : null;
  const typed = question.zones.flatMap((one): Step => {
    if (!one.typed || zone(one.id)) return [];
    const accept = Object.fromEntries(Object.entries(one.typed.accept).filter(([id]) => !item(id)));
    return setZone(question, one.id, 'typed', { ...one.typed, accept });
  });
  const texts = question.fixtures.flatMap(
    (fixture): Step =>
      fixture.type === 'text'
        ? setFixture(
            question,
            fixture.id,
            'text',
            withSlots(fixture.text, (slot) => (zone(slot) ? null : slot)),
          )
        : [],
  );
  const answers = question.fixtures.flatMap((fixture): Step => {
    const { when } = withoutEvents(
      fixture,
      (event) => !(event.item !== undefined && item(event.item)) && !(event.zone !== undefined && zone(event.zone)),
    );
    return setFixture(question, fixture.id, 'when', when?.events.length === 0 ? null : when);
  });
  const changed = applyAll(question, [...typed, ...texts, ...answers]);
  const taken = (list: ListField, kind: ThingKind): Edit[] =>
    // From the last to the first, so that each index still holds when its turn comes.
    changed[list]
      .flatMap((entry, index): Edit[] =>
        gone.has(refTo(kind, entry.id)) ? [editOf({ type: 'remove', in: list, index, entry })] : [],
      )
      .reverse();
  return [
    ...setQuestion(question, 'key', key),
    ...setQuestion(question, 'either', eitherWithout(question, key, item, zone)),
    ...setQuestion(question, 'pools', poolsWithout(question, item)),
    ...(question.start ? setQuestion(question, 'start', start) : []),
    ...setQuestion(question, 'bench', withoutRefs(question.bench, gone)),
    ...typed,
    ...texts,
    ...answers,
    ...taken('items', 'item'),
    ...taken('zones', 'zone'),
    ...taken('fixtures', 'fixture'),
  ];
}

function eitherWithout(
  { items, either }: Question,
  key: readonly KeyEntry[],
  item: (id: string) => boolean,
  zone: (id: string) => boolean,
): Question['either'] {
  const left = either.map((entry) => ({
    ...entry,
    belongs: entry.belongs.filter((id) => !item(id)),
    zones: entry.zones.filter((id) => !zone(id)),
  }));
  return fittingEither({ items }, { key, either: left });
}

/** A pool that has no items left is no pool. */
export const poolsWithout = ({ pools }: Question, gone: (id: string) => boolean): Question['pools'] =>
  pools.flatMap((pool) => {
    const items = pool.items.filter((id) => !gone(id));
    return items.length > 0 ? [{ items, take: Math.min(pool.take, items.length) }] : [];
  });

function withoutItems(entry: KeyEntry, gone: (id: string) => boolean): KeyEntry {
  const belongs = entry.belongs?.some(gone) ? entry.belongs.filter((id) => !gone(id)) : entry.belongs;
  const says = entry.says && {
    ...entry.says,
    items: Object.fromEntries(Object.entries(entry.says.items).filter(([id]) => !gone(id))),
  };
  return { ...entry, belongs, says };
}

const stillSaysSomething = (entry: KeyEntry) => !((entry.sequence || entry.sum) && entry.belongs?.length === 0);

function withoutRefs(bench: Question['bench'], gone: ReadonlySet<string>): Question['bench'] {
  const kept = (refs: readonly string[]) => refs.filter((ref) => !gone.has(ref));
  return {
    locked: kept(bench.locked),
    veiled: kept(bench.veiled),
    groups: bench.groups.map(kept).filter((group) => group.length > 1),
  };
}

/** Puts things at other places of the draw order within their lists: `to` front or back, or one step. */
export function reorder(
  question: Question,
  refs: ReadonlySet<Ref>,
  to: 'front' | 'back' | 'forward' | 'backward',
): Step {
  return (Object.entries(LIST_OF) as [ThingKind, ListField][]).flatMap(([kind, list]) => {
    const order = question[list].map(({ id }) => refTo(kind, id));
    const wanted = reordered(order, refs, to);
    return moves(list, order, wanted);
  });
}

function reordered(
  order: readonly Ref[],
  chosen: ReadonlySet<Ref>,
  to: 'front' | 'back' | 'forward' | 'backward',
): Ref[] {
  const mine = order.filter((ref) => chosen.has(ref));
  const others = order.filter((ref) => !chosen.has(ref));
  if (to === 'front') return [...others, ...mine];
  if (to === 'back') return [...mine, ...others];
  const next = [...order];
  const indices = to === 'forward' ? [...next.keys()].reverse() : [...next.keys()];
  const by = to === 'forward' ? 1 : -1;
  for (const i of indices) {
    const [here, there] = [next[i], next[i + by]];
    if (here && there && chosen.has(here) && !chosen.has(there)) [next[i], next[i + by]] = [there, here];
  }
  return next;
}

/** The moves that sort a list into another order, from its front on. */
export function moves(list: ListField, order: readonly string[], wanted: readonly string[]): Step {
  const now = [...order];
  return wanted.flatMap((ref, to): Edit[] => {
    const from = now.indexOf(ref);
    if (from === to || from < 0) return [];
    now.splice(to, 0, ...now.splice(from, 1));
    return [{ type: 'move', in: list, from, to }];
  });
}
