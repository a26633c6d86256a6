import type { ItemId, ZoneId } from '../document/ids';
import type { Fixture, Item, KeyEntry, Look, Medium, Question, Zone } from '../document/schema';
import type { Box, Point } from '../geometry/space';
import { applyAll, type Listed, type ListField, type Step } from './edit';
import { type Framed, frames, setFrames } from './frames';
import { withSlots } from './slots';
import { add, setLook, setMedium, setQuestion } from './steps';
import { type Ref, refTo, type ThingKind } from './things';

/** Copies of things with everything they need in another question: for the clipboard. */
export interface Clipping {
  readonly format: 'vault-drop/clipping';
  readonly items: readonly Item[];
  readonly zones: readonly Zone[];
  readonly fixtures: readonly Fixture[];
  readonly key: readonly KeyEntry[];
  readonly looks: Readonly<Record<string, Look>>;
  readonly media: Readonly<Record<string, Medium>>;
}

/**
 * The things, what the key says of them among themselves, and the looks and media they name. Items keep the place where
 * they stand.
 */
export function clip(question: Question, refs: ReadonlySet<Ref>): Clipping {
  const at = new Map(frames(question).map(({ ref, frame }) => [ref, frame]));
  const chosen = <List extends ListField>(list: List, kind: ThingKind) =>
    (question[list] as Listed[List][]).filter(({ id }) => refs.has(refTo(kind, id)));
  const items = chosen('items', 'item').map((item) => {
    const frame = at.get(refTo('item', item.id));
    return frame ? { ...item, home: { x: frame.x, y: frame.y } } : item;
  });
  const zones = chosen('zones', 'zone').map((zone) =>
    zone.ridesOn !== null && !refs.has(refTo('item', zone.ridesOn)) ? { ...zone, ridesOn: null } : zone,
  );
  const has = new Set<string>(items.map(({ id }) => id));
  const key = question.key
    .filter(({ zone }) => refs.has(refTo('zone', zone)))
    .flatMap((entry) => keptEntry(entry, has));
  const fixtures = chosen('fixtures', 'fixture');
  const text = JSON.stringify({ items, zones, fixtures, key });
  const named = <Value>(entries: Readonly<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(entries).filter(([name]) => text.includes(JSON.stringify(name))));
  const looks = named(question.looks);
  const media = Object.fromEntries(
    Object.entries(question.media).filter(([name]) => (text + JSON.stringify(looks)).includes(JSON.stringify(name))),
  );
  return { format: 'vault-drop/clipping', items, zones, fixtures, key, looks, media };
}

function keptEntry(entry: KeyEntry, items: ReadonlySet<string>): KeyEntry[] {
  const belongs = entry.belongs?.filter((id) => items.has(id)) ?? null;
  if (belongs?.length === 0 && entry.belongs?.length !== 0) return [];
  const says = entry.says && {
    ...entry.says,
    items: Object.fromEntries(Object.entries(entry.says.items).filter(([id]) => items.has(id))),
  };
  return [{ ...entry, belongs, says }];
}

/**
 * A name that is not taken: itself, else with the first number that is free. The number a name ends in is counted on.
 */
function fresh(name: string, taken: Set<string>): string {
  const stem = name.replace(/-\d+$/, '').slice(0, 90) || 'thing';
  let free = name;
  for (let n = 2; taken.has(free); n++) free = `${stem}-${n}`;
  taken.add(free);
  return free;
}

/** A label that no zone has: itself, else with the first number that is free. */
function freshLabel(label: string, taken: Set<string>): string {
  const stem = label.replace(/ \d+$/, '');
  let free = label;
  for (let n = 2; free !== '' && taken.has(free); n++) free = `${stem} ${n}`;
  taken.add(free);
  return free;
}

/** Puts a clipping into a question under fresh names, moved by `by` scene units, as one step; and what it became. */
export function paste(question: Question, clipping: Clipping, by: Point): { step: Step; refs: Ref[] } {
  const taken = (entries: readonly { id: string }[]) => new Set<string>(entries.map(({ id }) => id));
  const names = <Entry extends { readonly id: string }>(into: readonly { id: string }[], entries: readonly Entry[]) => {
    const used = taken(into);
    return new Map<string, string>(entries.map(({ id }) => [id, fresh(id, used)]));
  };
  const item = names(question.items, clipping.items);
  const zone = names(question.zones, clipping.zones);
  const fixture = names(question.fixtures, clipping.fixtures);
  const entered = <Value>(into: Readonly<Record<string, Value>>, from: Readonly<Record<string, Value>>) => {
    const used = new Set(Object.keys(into));
    return new Map(
      Object.entries(from).map(([name, value]) => [
        name,
        Object.hasOwn(into, name) && JSON.stringify(into[name]) === JSON.stringify(value) ? name : fresh(name, used),
      ]),
    );
  };
  const looks = entered(question.looks, clipping.looks);
  const media = entered(question.media, clipping.media);
  const medium = <Named extends string | null | undefined>(name: Named) =>
    name ? ((media.get(name) ?? name) as Named) : name;
  const said = <S extends Item['content']>(say: S): S =>
    say && { ...say, picture: medium(say.picture), sound: medium(say.sound) };
  const look = (name: string | null) => (name === null ? null : (looks.get(name) ?? null));

  const items = clipping.items.map(
    (one): Item => ({
      ...one,
      id: item.get(one.id) as ItemId,
      home: one.home && { x: one.home.x + by.x, y: one.home.y + by.y },
      look: look(one.look),
      content: said(one.content),
    }),
  );
  // Two zones of one name cannot be told apart as a list.
  const labels = new Set(question.zones.map(({ label }) => label));
  const zones = clipping.zones.map((one): Zone => {
    const accept =
      one.typed &&
      Object.fromEntries(
        Object.entries(one.typed.accept).flatMap(([id, spellings]) =>
          item.has(id) ? [[item.get(id) as string, spellings]] : [],
        ),
      );
    return {
      ...one,
      id: zone.get(one.id) as ZoneId,
      label: freshLabel(one.label, labels),
      look: look(one.look),
      ridesOn: one.ridesOn === null ? null : ((item.get(one.ridesOn) as ItemId | undefined) ?? null),
      typed: one.typed && { ...one.typed, accept: accept ?? {} },
    };
  });
  // What came along is named anew; what did not is meant as it stands, where the question has it.
  const meant = <Id extends string>(names: ReadonlyMap<string, string>, there: readonly { id: string }[], id?: Id) => {
    if (id === undefined) return undefined;
    return (names.get(id) ?? (there.some((other) => other.id === id) ? id : null)) as Id | null;
  };
  const answering = (when: Fixture['when']): Fixture['when'] => {
    const events = when?.events.flatMap((event) => {
      const into = meant(zone, question.zones, event.zone);
      const of = meant(item, question.items, event.item);
      return into === null || of === null ? [] : [{ ...event, zone: into, item: of }];
    });
    return when && events && events.length > 0 ? { ...when, events, content: said(when.content) } : null;
  };
  const fixtures = clipping.fixtures.map((given): Fixture => {
    const one = { ...given, when: answering(given.when) };
    const moved = { ...one, id: fixture.get(one.id) as Fixture['id'], x: one.x + by.x, y: one.y + by.y };
    if (moved.type === 'text') return { ...moved, text: withSlots(moved.text, (slot) => zone.get(slot) ?? null) };
    return 'media' in moved ? { ...moved, media: medium(moved.media) } : moved;
  });
  const key = clipping.key.map(
    (entry): KeyEntry => ({
      ...entry,
      zone: zone.get(entry.zone) as ZoneId,
      belongs: entry.belongs?.map((id) => item.get(id) as ItemId) ?? null,
      says: entry.says && {
        zone: said(entry.says.zone),
        items: Object.fromEntries(
          Object.entries(entry.says.items).map(([id, say]) => [item.get(id) as string, said(say)]),
        ),
      },
    }),
  );
  const placed: Step = [
    ...Object.entries(clipping.media).flatMap(([name, value]) => setMedium(question, media.get(name) as string, value)),
    ...Object.entries(clipping.looks).flatMap(([name, value]) =>
      setLook(question, looks.get(name) as string, renamedMedia(value, medium)),
    ),
    ...add(question, 'items', items),
    ...add(question, 'zones', zones),
    ...add(question, 'fixtures', fixtures),
    ...setQuestion(question, 'key', [...question.key, ...key]),
  ];
  const standing = zones.filter(({ ridesOn }) => ridesOn === null).map(({ id }) => refTo('zone', id));
  const moved = shifted(applyAll(question, placed), new Set(standing), by);
  const refs: Ref[] = [
    ...items.map(({ id }) => refTo('item', id)),
    ...zones.map(({ id }) => refTo('zone', id)),
    ...fixtures.map(({ id }) => refTo('fixture', id)),
  ];
  return { step: [...placed, ...moved], refs };
}

/** A look whose media have other names. */
export function renamedMedia(look: Look, medium: (name: string) => string): Look {
  const states = Object.fromEntries(
    Object.entries(
      look.states as Record<string, { picture?: string; sound?: string; ownFace?: string } | undefined>,
    ).map(([state, style]) => [
      state,
      style && {
        ...style,
        ...(style.picture ? { picture: medium(style.picture) } : {}),
        ...(style.sound ? { sound: medium(style.sound) } : {}),
        ...(style.ownFace ? { ownFace: medium(style.ownFace) } : {}),
      },
    ]),
  );
  return { ...look, states } as Look;
}

const shifted = (question: Question, refs: ReadonlySet<Ref>, by: Point): Step =>
  by.x === 0 && by.y === 0
    ? []
    : setFrames(
        question,
        frames(question)
          .filter(({ ref }) => refs.has(ref))
          .map(({ ref, frame }): Framed => ({ ref, frame: { ...frame, x: frame.x + by.x, y: frame.y + by.y } })),
      );

/**
 * The same again, `times` times, each moved by `by` from the one before: in place where `by` is small, in a row where
 * it is the things' width and a gap. Numbers that labels end in are counted on.
 */
export function duplicate(
  question: Question,
  refs: ReadonlySet<Ref>,
  times: number,
  by: Point,
): { step: Step; refs: Ref[] } {
  const source = clip(question, refs);
  let now = question;
  let step: Step = [];
  let made: Ref[] = [];
  for (let n = 1; n <= times; n++) {
    const one = paste(now, { ...countedOn(source, n), key: [] }, { x: by.x * n, y: by.y * n });
    // A copy of what waits in the tray waits there too.
    const added = backInTray(question, one.step, source);
    now = applyAll(now, added);
    step = [...step, ...added];
    made = [...made, ...one.refs];
  }
  return { step, refs: made };
}

function backInTray(question: Question, step: Step, source: Clipping): Step {
  const waiting = source.items.map(({ id }) => question.items.find((item) => item.id === id)?.home === null);
  let n = 0;
  return step.map((edit) =>
    edit.type === 'add' && edit.in === 'items' && waiting[n++]
      ? { ...edit, entry: { ...(edit.entry as Item), home: null } }
      : edit,
  );
}

const countOn = (label: string, by: number) =>
  label.replace(/(?<!\d)\d+$/, (digits) => String(Number(digits) + by).padStart(digits.length, '0'));
const countedOn = (clipping: Clipping, by: number): Clipping => {
  const label = <Entry extends { readonly label: string }>(entry: Entry): Entry => ({
    ...entry,
    label: countOn(entry.label, by),
  });
  return { ...clipping, items: clipping.items.map(label), zones: clipping.zones.map(label) };
};

/** The step from one thing to the next of a row: its own extent and the gap. */
export function rowStep(boxes: readonly Box[], along: 'x' | 'y', gap: number): Point {
  const from = Math.min(...boxes.map((b) => b[along]));
  const size = along === 'x' ? 'w' : 'h';
  const to = Math.max(...boxes.map((b) => b[along] + b[size]));
  return along === 'x' ? { x: to - from + gap, y: 0 } : { x: 0, y: to - from + gap };
}

/** Every thing that belongs to the same group as one of those chosen, and those. */
export function withGroups(question: Question, refs: Iterable<Ref>): Set<Ref> {
  const chosen = new Set<Ref>(refs);
  for (const group of question.bench.groups)
    if (group.some((ref) => chosen.has(ref as Ref))) for (const ref of group) chosen.add(ref as Ref);
  return chosen;
}

/** Makes the things one group (taking them out of those they were in), or with `together` false none. */
export function setGroup(question: Question, refs: ReadonlySet<Ref>, together: boolean): Step {
  const others = question.bench.groups
    .map((group) => group.filter((ref) => !refs.has(ref as Ref)))
    .filter((group) => group.length > 1);
  return setQuestion(question, 'bench', {
    ...question.bench,
    groups: together && refs.size > 1 ? [...others, [...refs]] : others,
  });
}

/** Locks or veils things on the Bench, or no longer. */
export function setNoted(question: Question, note: 'locked' | 'veiled', refs: ReadonlySet<Ref>, on: boolean): Step {
  const others = question.bench[note].filter((ref) => !refs.has(ref as Ref));
  return setQuestion(question, 'bench', { ...question.bench, [note]: on ? [...others, ...refs] : others });
}
