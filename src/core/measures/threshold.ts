import type { Reach } from '../document/schema';
import { contains, type Outline, overlapShare, rectOutline } from '../geometry/outline';
import { reaches } from '../geometry/reach';
import type { Box, Point } from '../geometry/space';
import type { Body } from '../geometry/spots';

/** How an item that is let go somewhere stands to a zone: the share of it over the zone, and whether that is enough. */
export interface Standing {
  readonly overlap: number;
  readonly reached: boolean;
}

/** The item's unrotated top left at `at`; the pointer at its centre. */
export function standingAt(body: Body, at: Point, zone: Outline, reach: Reach): Standing {
  const { corners, ...outline } = rectOutline({ x: at.x, y: at.y, w: body.w, h: body.h }, body.rotation) as Extract<
    Outline,
    { type: 'polygon' }
  >;
  const centre = { x: at.x + body.w / 2, y: at.y + body.h / 2 };
  const overlap = overlapShare({ ...outline, corners }, body.w * body.h, zone);
  return { overlap, reached: reaches(reach, { zone, corners, overlap, centre, pointer: centre }) };
}

const HALVINGS = 40;

/**
 * Where an item that comes from the left (and where the scene has no room there, from another side) at the height of
 * the zone's middle first reaches it: its unrotated top left. Null: it never does on that way.
 */
export function thresholdOf(body: Body, zone: Outline, reach: Reach, scene: Box): Point | null {
  const { box } = zone;
  const middle = inside(zone);
  const home = { x: middle.x - body.w / 2, y: middle.y - body.h / 2 };
  if (!standingAt(body, home, zone, reach).reached) return null;
  const ways: Point[] = [
    { x: box.x - body.w * 1.5, y: home.y },
    { x: home.x, y: box.y - body.h * 1.5 },
    { x: box.x + box.w + body.w * 0.5, y: home.y },
    { x: home.x, y: box.y + box.h + body.h * 0.5 },
  ];
  const from =
    ways.find(
      (p) => p.x + body.w > scene.x && p.y + body.h > scene.y && p.x < scene.x + scene.w && p.y < scene.y + scene.h,
    ) ?? (ways[0] as Point);
  if (standingAt(body, from, zone, reach).reached) return from;
  let [out, within] = [0, 1];
  const along = (share: number) => ({ x: from.x + (home.x - from.x) * share, y: from.y + (home.y - from.y) * share });
  for (let i = 0; i < HALVINGS; i++) {
    const half = (out + within) / 2;
    if (standingAt(body, along(half), zone, reach).reached) within = half;
    else out = half;
  }
  return along(within);
}

/**
 * A point well inside the outline: its middle, or where that is outside (a polygon may bend) the mean of a corner and
 * the two beside it that is inside.
 */
function inside(zone: Outline): Point {
  const middle = { x: zone.box.x + zone.box.w / 2, y: zone.box.y + zone.box.h / 2 };
  if (zone.type === 'ellipse' || contains(zone, middle)) return middle;
  for (const [i, b] of zone.corners.entries()) {
    const [a, c] = [zone.corners.at(i - 1), zone.corners[(i + 1) % zone.corners.length]] as [
      readonly [number, number],
      readonly [number, number],
    ];
    const p = { x: (a[0] + b[0] + c[0]) / 3, y: (a[1] + b[1] + c[1]) / 3 };
    if (contains(zone, p)) return p;
  }
  return middle;
}
