import { type Outline, overlapShare, rectOutline } from '../geometry/outline';
import { reaches } from '../geometry/reach';
import { type Point, SLACK } from '../geometry/space';
import type { SceneModel } from './model';

/** A zone whose family fits and whose reach holds, with the share of the item over it. */
export interface Candidate {
  readonly zone: number;
  readonly overlap: number;
}

/**
 * The zones that would compete for an item let go with its (unrotated) top left at `at`, the pointer at `pointer` (null: the item's centre),
 * in the order of `zones`. A floor zone is among them only when no other is.
 */
export function candidates(model: SceneModel, item: number, at: Point, pointer: Point | null): Candidate[] {
  const { w, h, rotation, family } = model.items[item] as SceneModel['items'][number];
  const body = rectOutline({ x: at.x, y: at.y, w, h }, rotation) as Extract<Outline, { type: 'polygon' }>;
  const centre = { x: at.x + w / 2, y: at.y + h / 2 };
  const found: Candidate[] = [];
  model.zones.forEach((zone, index) => {
    if (!zone.outline || (zone.family !== null && zone.family !== family)) return;
    const overlap = overlapShare(body, w * h, zone.outline);
    if (reaches(zone.reach, { zone: zone.outline, corners: body.corners, overlap, centre, pointer: pointer ?? centre })) found.push({ zone: index, overlap });
  });
  const raised = found.filter(({ zone }) => !model.zones[zone]?.floor);
  return raised.length > 0 ? raised : found;
}

/** The candidate with the largest overlap; of those within 1e-9 of it the last in `zones`, which lies on top. Null: none. */
export function winner(among: readonly Candidate[]): number | null {
  let largest = -Infinity;
  for (const { overlap } of among) largest = Math.max(largest, overlap);
  return among.findLast(({ overlap }) => overlap >= largest - SLACK)?.zone ?? null;
}
