import type { KeyEntry, Question, Reach, Settle, Shape, Tray } from '../document/schema';
import { type Outline, outlineOf } from '../geometry/outline';
import type { Point } from '../geometry/space';

/** What of an item and a zone placing needs to know. A question has it all, and so has a learner edition, under drawn names. */
export interface Placeable {
  readonly id: string;
  readonly size: { readonly w: number; readonly h: number };
  readonly home: Point | null;
  readonly rotation: number;
  readonly copies: number | 'endless';
  readonly family: string | null;
}
export interface Taking {
  readonly id: string;
  readonly shape: Shape;
  readonly rotation: number;
  readonly family: string | null;
  readonly reach: Reach;
  readonly welcome: 'anyone' | 'keyed';
  readonly capacity: number | null;
  readonly whenFull: 'refuse' | 'swap';
  readonly settle: Settle;
  readonly floor: boolean;
}
export interface Placing {
  readonly scene: { readonly width: number; readonly height: number };
  readonly items: readonly Placeable[];
  readonly zones: readonly Taking[];
  readonly tray: Tray | null;
}

/** One copy of an item, as a number: index of the item × 10,000 + copy. Endless copies run from 0 to 9,999. */
export type Copy = number & { readonly copy: unique symbol };
export const COPIES = 10_000;
export const copyOf = (item: number, copy: number) => (item * COPIES + copy) as Copy;
export const itemOf = (copy: Copy) => Math.floor(copy / COPIES);
export const numberOf = (copy: Copy) => copy % COPIES;

export interface ItemModel {
  readonly id: string;
  readonly w: number;
  readonly h: number;
  readonly rotation: number;
  readonly copies: number;
  readonly family: string | null;
}
export interface ZoneModel {
  readonly id: string;
  readonly outline: Outline | null;
  readonly family: string | null;
  readonly reach: Reach;
  readonly keyedOnly: boolean;
  readonly capacity: number;
  readonly swaps: boolean;
  readonly settle: Settle;
  readonly floor: boolean;
}

/** A question made ready for placing: looked up by index, shapes turned once. */
export interface SceneModel {
  readonly source: Placing;
  readonly items: readonly ItemModel[];
  readonly zones: readonly ZoneModel[];
  readonly itemAt: ReadonlyMap<string, number>;
  readonly zoneAt: ReadonlyMap<string, number>;
}

export function sceneModel(source: Placing): SceneModel {
  const items = source.items.map(({ id, size, rotation, copies, family }) => ({ id, w: size.w, h: size.h, rotation, family, copies: copies === 'endless' ? COPIES : copies }));
  const zones = source.zones.map((zone) => ({
    id: zone.id,
    outline: outlineOf(zone.shape, zone.rotation),
    family: zone.family,
    reach: zone.reach,
    keyedOnly: zone.welcome === 'keyed',
    capacity: zone.capacity ?? Infinity,
    swaps: zone.whenFull === 'swap',
    settle: zone.settle,
    floor: zone.floor,
  }));
  return { source, items, zones, itemAt: new Map(items.map((item, i) => [item.id, i])), zoneAt: new Map(zones.map((zone, i) => [zone.id, i])) };
}

/** One key entry made ready for judging. `lo` and `hi` bound the copies of `belongs` that the zone needs. */
export interface EntryModel {
  readonly zone: number;
  readonly order: readonly number[];
  readonly belongs: ReadonlySet<number>;
  readonly lo: number;
  readonly hi: number;
  readonly sum: KeyEntry['sum'];
  readonly sequence: boolean;
  readonly weight: number;
}

/** The whole question made ready: placing, and the key by zone index (null: a neutral zone). */
export interface QuestionModel extends SceneModel {
  readonly question: Question;
  readonly entries: readonly EntryModel[];
  readonly entryOf: readonly (EntryModel | null)[];
  readonly values: readonly number[];
}

export function questionModel(question: Question): QuestionModel {
  const scene = sceneModel(question);
  const entries = question.key.map((entry) => entryModel(question, scene, entry));
  const entryOf: (EntryModel | null)[] = scene.zones.map(() => null);
  for (const entry of entries) entryOf[entry.zone] = entry;
  return { ...scene, question, entries, entryOf, values: question.items.map((item) => item.value ?? 0) };
}

function entryModel(question: Question, scene: SceneModel, entry: KeyEntry): EntryModel {
  const ids = entry.belongs ?? question.items.filter((item) => item.value !== null).map((item) => item.id);
  const order = ids.map((id) => scene.itemAt.get(id) as number);
  const [lo, hi] = bounds(entry, () => order.reduce((sum, i) => sum + (scene.items[i]?.copies ?? 0), 0));
  return {
    zone: scene.zoneAt.get(entry.zone) as number,
    order,
    belongs: new Set(order),
    lo,
    hi,
    sum: entry.sum,
    sequence: entry.sequence,
    weight: entry.weight ?? (hi === 0 ? 0 : 1),
  };
}

function bounds(entry: KeyEntry, total: () => number): readonly [number, number] {
  const need = entry.need ?? (entry.sequence ? { rule: 'all' as const } : null);
  if (!need) return [0, Infinity];
  switch (need.rule) {
    case 'all': {
      const all = total();
      return [all, all];
    }
    case 'exactly':
      return [need.n, need.n];
    case 'atLeast':
      return [need.n, Infinity];
    case 'between':
      return [need.min, need.max];
  }
}
