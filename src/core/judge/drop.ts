import { type Outline, overlapShare, rectOutline } from '../geometry/outline';
import { reaches } from '../geometry/reach';
import { type Point, SLACK } from '../geometry/space';
import type { Board } from './board';
import { type Copy, copyOf, itemOf, type SceneModel } from './model';
import { outlineNow } from './rest';

/** A zone whose family fits and whose reach holds, with the share of the item over it. */
export interface Candidate {
  readonly zone: number;
  readonly overlap: number;
}

/**
 * The zones that would compete for a copy let go with its (unrotated) top left at `at`, the pointer at `pointer` (null:
 * the item's centre), in the order of `zones`. A floor zone is among them only when no other is; a zone never takes its
 * own carrier, nor what its carrier rests in.
 */
export function candidates(model: SceneModel, board: Board, copy: Copy, at: Point, pointer: Point | null): Candidate[] {
  const { w, h, rotation, family } = model.items[itemOf(copy)] as SceneModel['items'][number];
  const body = rectOutline({ x: at.x, y: at.y, w, h }, rotation) as Extract<Outline, { type: 'polygon' }>;
  const centre = { x: at.x + w / 2, y: at.y + h / 2 };
  const found: Candidate[] = [];
  for (let index = 0; index < model.zones.length; index++) {
    const zone = model.zones[index] as SceneModel['zones'][number];
    if (!zone.outline || (zone.family !== null && zone.family !== family) || carriesItself(model, board, copy, index))
      continue;
    const outline = zone.ridesOn < 0 ? zone.outline : (outlineNow(model, board, index) as Outline);
    const overlap = overlapShare(body, w * h, outline);
    if (reaches(zone.reach, { zone: outline, corners: body.corners, overlap, centre, pointer: pointer ?? centre }))
      found.push({ zone: index, overlap });
  }
  const raised = found.filter(({ zone }) => !model.zones[zone]?.floor);
  return raised.length > 0 ? raised : found;
}

/** Would the copy, put into the zone, rest in something that rests in it? */
export function carriesItself(model: SceneModel, board: Board, copy: Copy, zone: number): boolean {
  for (let carrier = model.zones[zone]?.ridesOn ?? -1; carrier >= 0; ) {
    const beneath = copyOf(carrier, 0);
    if (beneath === copy) return true;
    const below = board.zoneOf.get(beneath);
    carrier = below === undefined ? -1 : (model.zones[below]?.ridesOn ?? -1);
  }
  return false;
}

/**
 * The candidate with the largest overlap; of those within 1e-9 of it the last in `zones`, which lies on top. Null:
 * none.
 */
export function winner(among: readonly Candidate[]): number | null {
  let largest = -Infinity;
  for (const { overlap } of among) largest = Math.max(largest, overlap);
  return among.findLast(({ overlap }) => overlap >= largest - SLACK)?.zone ?? null;
}
