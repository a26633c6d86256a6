import type { Fixture, Item, Question, Zone } from '../document/schema';
import type { ListField } from './edit';

/**
 * A thing on the scene: an item, a zone or a fixture. Ids are unique only within their kind, so a thing is identified
 * by both.
 */
export type ThingKind = 'item' | 'zone' | 'fixture';
export type Ref = `${ThingKind}:${string}`;

export type Thing =
  | { readonly kind: 'item'; readonly ref: Ref; readonly is: Item }
  | { readonly kind: 'zone'; readonly ref: Ref; readonly is: Zone }
  | { readonly kind: 'fixture'; readonly ref: Ref; readonly is: Fixture };

export const refTo = (kind: ThingKind, id: string): Ref => `${kind}:${id}`;
export const kindIn = (ref: Ref): ThingKind => ref.slice(0, ref.indexOf(':')) as ThingKind;
export const idIn = (ref: Ref): string => ref.slice(ref.indexOf(':') + 1);

export const LIST_OF = { item: 'items', zone: 'zones', fixture: 'fixtures' } as const satisfies Record<
  ThingKind,
  ListField
>;

/**
 * Everything on the scene in the order in which it is drawn, the lowest first: fixtures, zones, items, fixtures in
 * front.
 */
export function things({ items, zones, fixtures }: Question): Thing[] {
  const fixed = (front: boolean) =>
    fixtures
      .filter((f) => f.front === front)
      .map((fixture): Thing => ({ kind: 'fixture', ref: refTo('fixture', fixture.id), is: fixture }));
  return [
    ...fixed(false),
    ...zones.map((zone): Thing => ({ kind: 'zone', ref: refTo('zone', zone.id), is: zone })),
    ...fixed(true),
    ...items.map((item): Thing => ({ kind: 'item', ref: refTo('item', item.id), is: item })),
  ];
}

export function thingAt(question: Question, ref: Ref): Thing | undefined {
  const kind = kindIn(ref);
  const id = idIn(ref);
  const is = question[LIST_OF[kind]].find((entry) => entry.id === id);
  return is && ({ kind, ref, is } as Thing);
}

/** What a thing is called where it has to be named: its label, else its id. */
export const nameOf = ({ is }: Pick<Thing, 'is'>): string => is.label || is.id;

/** Every thing that has one of the ids: what a finding speaks of. */
export function refsOf(question: Question, ids: readonly string[]): Ref[] {
  const wanted = new Set<string>(ids);
  return things(question).flatMap(({ ref, is }) => (wanted.has(is.id) ? [ref] : []));
}
