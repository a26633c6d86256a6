import { carried, type Outline } from '../geometry/outline';
import { settleBoxes } from '../geometry/settle';
import type { Box, Point } from '../geometry/space';
import type { Board } from './board';
import { boundsAtOrigin } from './homes';
import { type Copy, copyOf, itemOf, type SceneModel } from './model';

/** Where a copy stands: at rest in its zone, loose where it was let go, or at home. Its unrotated top left. */
export function standsAt(model: SceneModel, board: Board, copy: Copy): Point {
  const zone = board.zoneOf.get(copy);
  const rest = zone === undefined ? board.letGo.get(copy) : restIn(model, board, zone).get(copy);
  return rest ?? (model.homes[itemOf(copy)] as Point);
}

/** Where a zone stands on the scene now: one that rides, with its carrier. Null: a slot. */
export function outlineNow(model: SceneModel, board: Board, zone: number): Outline | null {
  const { outline, ridesOn } = model.zones[zone] as SceneModel['zones'][number];
  const carrier = model.items[ridesOn];
  if (!outline || !carrier) return outline;
  return carried(outline, standsAt(model, board, copyOf(ridesOn, 0)), carrier);
}

/** Where the copies a zone holds come to rest, in the zone's order: unrotated top lefts. */
export function restIn(model: SceneModel, board: Board, zone: number): Map<Copy, Point> {
  const { settle } = model.zones[zone] as SceneModel['zones'][number];
  const outline = outlineNow(model, board, zone);
  const held = board.zones[zone] as Copy[];
  const rest = new Map<Copy, Point>();
  if (!outline) return rest;
  const bounds = held.map((copy) => boundsAtOrigin(model.items[itemOf(copy)] as SceneModel['items'][number]));
  const letGo = held.map((copy, i) => {
    const at = board.letGo.get(copy);
    return at ? { x: at.x + (bounds[i] as Box).x, y: at.y + (bounds[i] as Box).y } : null;
  });
  settleBoxes(settle, outline.box, bounds, letGo).forEach((place, i) => {
    const box = bounds[i] as Box;
    rest.set(held[i] as Copy, { x: place.x - box.x, y: place.y - box.y });
  });
  return rest;
}
