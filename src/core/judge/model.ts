import type { KeyEntry, Question, Reach, Settle, Shape, Tray } from '../document/schema';
import { type Outline, outlineOf } from '../geometry/outline';
import type { Point } from '../geometry/space';
import { type Board, emptyBoard, lowestFree, settle } from './board';
import { COPIES, type Copy, copyOf, itemOf, UNREAD } from './copy';
import { homes } from './homes';
import { type Reader, readerOf } from './typed';

/** What of an item and a zone placing needs to know. A question has it all, and so has a learner edition, under drawn names. */
export interface Placeable {
  readonly id: string;
  readonly size: { readonly w: number; readonly h: number };
  readonly home: Point | null;
  readonly rotation: number;
  readonly copies: number | 'endless';
  readonly family: string | null;
  readonly goesHome: boolean;
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
  readonly ridesOn: string | null;
}
export interface Placing {
  readonly scene: { readonly width: number; readonly height: number };
  readonly items: readonly Placeable[];
  readonly zones: readonly Taking[];
  readonly tray: Tray | null;
}

export { COPIES, type Copy, copyOf, itemOf, numberOf, UNREAD } from './copy';

export interface ItemModel {
  readonly id: string;
  readonly w: number;
  readonly h: number;
  readonly rotation: number;
  readonly copies: number;
  readonly family: string | null;
  readonly goesHome: boolean;
  /** The zones that ride on it. */
  readonly carries: readonly number[];
}
export interface ZoneModel {
  readonly id: string;
  /** Where it stands on the scene; of a zone that rides, where it stands on its carrier, from the carrier's unrotated top left. Null: a slot. */
  readonly outline: Outline | null;
  /** The carrier, an index of an item; −1: it does not ride. */
  readonly ridesOn: number;
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
  /** Each item's own place at the start: its unrotated top left. */
  readonly homes: readonly Point[];
}

/** `at`: the items' own places where a sitting has others than the document (a shuffled tray). */
export function sceneModel(source: Placing, at: readonly Point[] = homes(source)): SceneModel {
  const itemAt = new Map(source.items.map(({ id }, i) => [id, i]));
  const carries: number[][] = source.items.map(() => []);
  const zones = source.zones.map((zone, i) => {
    const ridesOn = zone.ridesOn === null ? -1 : (itemAt.get(zone.ridesOn) ?? -1);
    carries[ridesOn]?.push(i);
    return {
      id: zone.id,
      outline: outlineOf(zone.shape, zone.rotation),
      ridesOn,
      family: zone.family,
      reach: zone.reach,
      keyedOnly: zone.welcome === 'keyed',
      capacity: zone.capacity ?? Infinity,
      swaps: zone.whenFull === 'swap',
      settle: zone.settle,
      floor: zone.floor,
    };
  });
  const items = source.items.map(({ id, size, rotation, copies, family, goesHome }, i) => ({
    id,
    w: size.w,
    h: size.h,
    rotation,
    family,
    copies: copies === 'endless' ? COPIES : copies,
    goesHome,
    carries: carries[i] as number[],
  }));
  return { source, items, zones, itemAt, zoneAt: new Map(zones.map((zone, i) => [zone.id, i])), homes: at };
}

/** The id of a copy's item, {@link UNREAD} for a text that is none of those accepted. */
export const idOf = (model: SceneModel, copy: Copy): string => model.items[itemOf(copy)]?.id ?? UNREAD;

/** One key entry made ready for judging. `lo` and `hi` bound the copies of `belongs` that the zone needs. */
export interface EntryModel {
  readonly zone: number;
  readonly order: readonly number[];
  readonly belongs: ReadonlySet<number>;
  readonly lo: number;
  readonly hi: number;
  readonly sum: KeyEntry['sum'];
  /** The document gives no need: with a sum alone, any number will do. */
  readonly needless: boolean;
  readonly sequence: boolean;
  readonly weight: number;
}

/** The whole question made ready: placing, and the key by zone index (null: a neutral zone). */
export interface QuestionModel extends SceneModel {
  readonly question: Question;
  readonly entries: readonly EntryModel[];
  readonly entryOf: readonly (EntryModel | null)[];
  /** By item index; 0 for none, and for {@link UNREAD}. */
  readonly values: readonly number[];
  /** How typed texts are read, by zone index; null: not a typed zone. */
  readonly readers: readonly (Reader | null)[];
  /** The starting arrangement: never changed, only copied. */
  readonly start: Board;
}

/** Makes a valid question ready. `at` as in {@link sceneModel}. */
export function questionModel(question: Question, at?: readonly Point[]): QuestionModel {
  const scene = sceneModel(question, at);
  const entries = question.key.map((entry) => entryModel(question, scene, entry));
  const entryOf: (EntryModel | null)[] = scene.zones.map(() => null);
  for (const entry of entries) entryOf[entry.zone] = entry;
  const readers = question.zones.map(({ typed }) => typed && readerOf(typed, scene.itemAt));
  const model = { ...scene, question, entries, entryOf, values: [...question.items.map((item) => item.value ?? 0), 0], readers, start: emptyBoard(scene) };
  for (const { item, copy, zone } of question.start?.placements ?? []) {
    const index = scene.itemAt.get(item) as number;
    const into = scene.zoneAt.get(zone) as number;
    settle(model.start, copy === undefined ? lowestFree(model.start, index) : copyOf(index, copy), into, (model.start.zones[into] as Copy[]).length);
  }
  return model;
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
    needless: entry.need === null,
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
