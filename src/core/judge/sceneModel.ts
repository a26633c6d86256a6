import type { Reach, Settle, Shape, Tray } from '../document/schema';
import { type Outline, outlineOf } from '../geometry/outline';
import type { Point } from '../geometry/space';
import { type Board, emptyBoard, lowestFree, settle } from './board';
import { COPIES, type Copy, copyOf, itemOf, UNREAD } from './copy';
import { homes } from './homes';

// The part of a question that placing needs: all that a learner's page has of the model.

/** What placing needs to know of items and zones. A learner edition has it too, under drawn names. */
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
  /** Learners do not know of it. */
  readonly hidden?: boolean;
  readonly ridesOn: string | null;
  /** Answered by typing: how, or (to a learner) that it is. */
  readonly typed: object | boolean | null;
}
export interface Placing {
  readonly scene: { readonly width: number; readonly height: number };
  readonly items: readonly Placeable[];
  readonly zones: readonly Taking[];
  readonly tray: Tray | null;
  /** Some zones are not known here, so the outcome of a drop is not known either. */
  readonly hides?: boolean;
}

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
  /**
   * Where it stands on the scene; of a zone that rides, where it stands on its carrier, from the carrier's unrotated
   * top left. Null: a slot.
   */
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
  readonly hidden: boolean;
  readonly isSlot: boolean;
  readonly isTyped: boolean;
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
  /** Zones are hidden, here or from here. */
  readonly hides: boolean;
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
      // Turning an item away, or moving it, would show where a hidden zone is: it accepts everything, leaves it where
      // it is, and a check judges it.
      keyedOnly: !zone.hidden && zone.welcome === 'keyed',
      capacity: zone.hidden ? Infinity : (zone.capacity ?? Infinity),
      swaps: !zone.hidden && zone.whenFull === 'swap',
      settle: zone.hidden ? ({ rule: 'asDropped' } as const) : zone.settle,
      floor: zone.floor,
      hidden: zone.hidden === true,
      isSlot: zone.shape.type === 'slot',
      isTyped: Boolean(zone.typed),
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
  const hides = source.hides === true || zones.some(({ hidden }) => hidden);
  return { source, hides, items, zones, itemAt, zoneAt: new Map(zones.map((zone, i) => [zone.id, i])), homes: at };
}

/** The id of a copy's item, {@link UNREAD} for a text that is none of those accepted. */
export const idOf = (model: SceneModel, copy: Copy): string => model.items[itemOf(copy)]?.id ?? UNREAD;

/** The starting arrangement; `copy` left out: the lowest not yet placed. */
export function startBoard(
  scene: SceneModel,
  placements: readonly { readonly item: string; readonly copy?: number | undefined; readonly zone: string }[],
): Board {
  const board = emptyBoard(scene);
  for (const { item, copy, zone } of placements) {
    const index = scene.itemAt.get(item) as number;
    const into = scene.zoneAt.get(zone) as number;
    settle(
      board,
      copy === undefined ? lowestFree(board, index) : copyOf(index, copy),
      into,
      (board.zones[into] as Copy[]).length,
    );
  }
  return board;
}
