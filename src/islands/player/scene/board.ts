import {
  type Board,
  type Copy,
  copyNamed,
  copyOf,
  emptyBoard,
  itemOf,
  type Point,
  restIn,
  type SceneModel,
  settle,
} from '../../../core';
import type { BoardView } from '../types';

/** The board as the server describes it, in this page's model. */
export function boardFrom(model: SceneModel, view: BoardView): Board {
  const board = emptyBoard(model);
  const held = view.zones.flatMap(({ zone, held: all }) =>
    all.map((named, at) => ({ copy: copyNamed(model, named), named, at, zone: model.zoneAt.get(zone) as number })),
  );
  for (const { copy, named, zone, at } of held) {
    settle(board, copy, zone, at);
    if (named.x !== undefined && named.y !== undefined) board.letGo.set(copy, { x: named.x, y: named.y });
  }
  for (const { copy, named } of held) board.settledAt.set(copy, named.settled);
  board.clock = Math.max(-1, ...board.settledAt.values()) + 1;
  for (const { zone, text } of view.zones)
    if (text !== undefined) board.texts.set(model.zoneAt.get(zone) as number, text);
  for (const named of view.loose) board.letGo.set(copyNamed(model, named), { x: named.x, y: named.y });
  return board;
}

/** Where a copy waits for its verdict: at a place of the scene, in the middle of a zone, or where it has settled. */
export type WaitsAt = Point | { readonly in: number } | 'settled';

/** The place where a copy waits, its unrotated top left on a scene; null: where it stands. */
export function waitsAt(model: SceneModel, copy: Copy, waits: WaitsAt | undefined): Point | null {
  if (!waits || waits === 'settled') return null;
  if ('x' in waits) return waits;
  const box = model.zones[waits.in]?.outline?.box;
  const { w, h } = model.items[itemOf(copy)] as SceneModel['items'][number];
  return box ? { x: box.x + (box.w - w) / 2, y: box.y + (box.h - h) / 2 } : null;
}

/** A copy to draw. */
export interface Shown {
  readonly copy: Copy;
  readonly item: number;
  /** Its unrotated top left. */
  readonly at: Point;
  /** In which zone it rests; null: at home, or loose. */
  readonly zone: number | null;
  readonly home: boolean;
  /** The number of copies in its pile at home; 1 elsewhere; null: endless. */
  readonly heap: number | null;
  /** True for the copy under the top one, visible as soon as that is taken. */
  readonly beneath: boolean;
}

/** Every copy the page shows: those not at home, and of each pile the top one and the one beneath it. */
export function shownCopies(model: SceneModel, board: Board, waiting: ReadonlyMap<Copy, WaitsAt>): Shown[] {
  const rest = new Map<Copy, Point>();
  model.zones.forEach((_, zone) => {
    for (const [copy, at] of restIn(model, board, zone)) rest.set(copy, at);
  });
  const copies = copiesOut(board, waiting);
  return model.items.flatMap((item, index) => {
    const home = model.homes[index] as Point;
    const shown: Shown[] = [];
    const atHome: Copy[] = [];
    const out = (copies.get(index) ?? []).sort((a, b) => a - b);
    const isOut = new Set(out);
    for (let number = 0; number < item.copies && atHome.length < 2; number++)
      if (!isOut.has(copyOf(index, number))) atHome.push(copyOf(index, number));
    for (const copy of out) {
      const zone = board.zoneOf.get(copy) ?? null;
      const at =
        waitsAt(model, copy, waiting.get(copy)) ?? (zone === null ? board.letGo.get(copy) : rest.get(copy)) ?? home;
      shown.push({ copy, item: index, at, zone, home: false, heap: 1, beneath: false });
    }
    const endless = model.source.items[index]?.copies === 'endless';
    const [top, next] = atHome;
    if (next !== undefined)
      shown.unshift({ copy: next, item: index, at: home, zone: null, home: true, heap: 1, beneath: true });
    if (top !== undefined)
      shown.push({
        copy: top,
        item: index,
        at: home,
        zone: null,
        home: true,
        heap: endless ? null : item.copies - out.length,
        beneath: false,
      });
    return shown;
  });
}

/** The copies that are not at home, by the index of their item. */
function copiesOut(board: Board, waiting: ReadonlyMap<Copy, WaitsAt>): Map<number, Copy[]> {
  const out = new Map<number, Copy[]>();
  const add = (copy: Copy) => out.set(itemOf(copy), [...(out.get(itemOf(copy)) ?? []), copy]);
  for (const copy of new Set([...board.zoneOf.keys(), ...board.letGo.keys(), ...waiting.keys()])) add(copy);
  return out;
}
