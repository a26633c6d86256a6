import { type Board, type Copy, copyOf, emptyBoard, type Point, restIn, type SceneModel, settle } from '../../core';
import type { BoardView, NamedCopy } from './types';

/** The board as the server describes it, in this page's model. */
export function boardFrom(model: SceneModel, view: BoardView): Board {
  const board = emptyBoard(model);
  const copy = (named: NamedCopy) => copyOf(model.itemAt.get(named.item) as number, named.copy);
  const held = view.zones.flatMap(({ zone, held: all }) => all.map((named, at) => ({ named, at, zone: model.zoneAt.get(zone) as number })));
  for (const { named, zone, at } of held) {
    settle(board, copy(named), zone, at);
    if (named.x !== undefined && named.y !== undefined) board.letGo.set(copy(named), { x: named.x, y: named.y });
  }
  for (const { named } of held) board.settledAt.set(copy(named), named.settled);
  board.clock = Math.max(-1, ...board.settledAt.values()) + 1;
  for (const named of view.loose) board.letGo.set(copy(named), { x: named.x, y: named.y });
  return board;
}

/** A copy to draw: where its unrotated top left is, and in which zone it rests. */
export interface Shown {
  readonly copy: Copy;
  readonly item: number;
  readonly number: number;
  readonly at: Point;
  readonly zone: number | null;
  /** Others of the same item lie beneath it at home. */
  readonly heap: boolean;
}

/** Every copy the page shows: all of a counted item, and of an endless one those in use and the next. */
export function shownCopies(model: SceneModel, board: Board, homes: readonly Point[]): Shown[] {
  const rest = new Map<Copy, Point>();
  model.zones.forEach((_, zone) => {
    for (const [copy, at] of restIn(model, board, zone)) rest.set(copy, at);
  });
  return model.items.flatMap((item, index) => {
    const endless = model.source.items[index]?.copies === 'endless';
    const shown: Shown[] = [];
    let atHome = 0;
    for (let number = 0; number < item.copies; number++) {
      const copy = copyOf(index, number);
      const zone = board.zoneOf.get(copy) ?? null;
      const loose = zone === null ? board.letGo.get(copy) : undefined;
      const home = homes[index] as Point;
      const out = zone !== null || loose !== undefined;
      if (!out) atHome++;
      shown.push({ copy, item: index, number, zone, at: (zone === null ? loose : rest.get(copy)) ?? home, heap: !out && item.copies > 1 });
      if (endless && atHome === 1) break;
    }
    return shown;
  });
}
