import type { Point } from '../geometry/space';
import { type Copy, copyOf } from './copy';
import type { SceneModel } from './model';

/**
 * An arrangement while moves are applied: the copies in each zone, in the zone's order. `settledAt` numbers the
 * settlings, for rules about who came first; `letGo` is where a copy was last let go, for zones that leave it there and
 * for loose copies.
 */
export interface Board {
  readonly zones: Copy[][];
  readonly zoneOf: Map<Copy, number>;
  readonly settledAt: Map<Copy, number>;
  readonly letGo: Map<Copy, Point>;
  /** The texts typed into zones, exactly as typed; removed with the zone's content. */
  readonly texts: Map<number, string>;
  clock: number;
}

export function emptyBoard(model: SceneModel): Board {
  return {
    zones: model.zones.map(() => []),
    zoneOf: new Map(),
    settledAt: new Map(),
    letGo: new Map(),
    texts: new Map(),
    clock: 0,
  };
}

export function cloneBoard(board: Board): Board {
  return {
    zones: board.zones.map((held) => [...held]),
    zoneOf: new Map(board.zoneOf),
    settledAt: new Map(board.settledAt),
    letGo: new Map(board.letGo),
    texts: new Map(board.texts),
    clock: board.clock,
  };
}

/** The copy leaves its zone, or where it lay loose. */
export function lift(board: Board, copy: Copy): void {
  const zone = board.zoneOf.get(copy);
  board.letGo.delete(copy);
  if (zone === undefined) return;
  const held = board.zones[zone] as Copy[];
  held.splice(held.indexOf(copy), 1);
  board.zoneOf.delete(copy);
  board.settledAt.delete(copy);
  board.texts.delete(zone);
}

/** The copy, in no zone now, settles in a zone at an index of its order. */
export function settle(board: Board, copy: Copy, zone: number, at: number): void {
  const held = board.zones[zone] as Copy[];
  if (at >= held.length) held.push(copy);
  else held.splice(at, 0, copy);
  board.zoneOf.set(copy, zone);
  board.settledAt.set(copy, board.clock++);
}

/** The copies a zone holds, earliest settled first. */
export function bySettling(board: Board, zone: number): Copy[] {
  const when = (copy: Copy) => board.settledAt.get(copy) ?? 0;
  return [...(board.zones[zone] ?? [])].sort((a, b) => when(a) - when(b));
}

/** The item's lowest copy that is in no zone. */
export function lowestFree(board: Board, item: number): Copy {
  let copy = 0;
  while (board.zoneOf.has(copyOf(item, copy))) copy++;
  return copyOf(item, copy);
}
