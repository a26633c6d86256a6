import { type Outline, overlapShare, rectOutline } from './outline';
import { type Box, middleOf, type Point } from './space';

/** An item's measure for trying it out at places: size and turn. */
export interface Body {
  readonly w: number;
  readonly h: number;
  readonly rotation: number;
}

const bodyAt = ({ w, h, rotation }: Body, centre: Point) =>
  rectOutline({ x: centre.x - w / 2, y: centre.y - h / 2, w, h }, rotation) as Extract<Outline, { type: 'polygon' }>;

/** The share of the item over the zone with the item's centre at a point. */
export const shareAt = (body: Body, zone: Outline, centre: Point): number =>
  overlapShare(bodyAt(body, centre), body.w * body.h, zone);

const GRID = 12;
const HALVINGS = 26;
const BEST_KEPT = 4;

const within = (scene: Box, p: Point) => ({
  x: Math.max(scene.x, Math.min(scene.x + scene.w, p.x)),
  y: Math.max(scene.y, Math.min(scene.y + scene.h, p.y)),
});

/**
 * Places for an item's centre, on the scene, at which it might reach a zone, the likeliest first: the zone's middle,
 * its corners moved in, and a lattice over all from which the item touches the zone's box.
 */
export function spots(body: Body, zone: Outline, scene: Box): Point[] {
  const { w, h } = bodyAt(body, { x: 0, y: 0 }).box;
  const { box } = zone;
  const found: Point[] = [middleOf(box)];
  if (zone.type === 'polygon') {
    const bounds = zone.corners.map(([x, y]) => ({ x, y }));
    for (const [i, corner] of bounds.entries()) {
      const other = bounds[(i + 1) % bounds.length] as Point;
      found.push({ x: (corner.x + other.x) / 2, y: (corner.y + other.y) / 2 });
      for (const sx of [-1, 1])
        for (const sy of [-1, 1]) found.push({ x: corner.x + (sx * w) / 2, y: corner.y + (sy * h) / 2 });
    }
  }
  for (let i = 0; i <= GRID; i++)
    for (let j = 0; j <= GRID; j++)
      found.push({ x: box.x - w / 2 + ((box.w + w) * i) / GRID, y: box.y - h / 2 + ((box.h + h) * j) / GRID });
  return found.map((p) => within(scene, p));
}

/** Climbs from a place to one with more of a measure, by ever smaller steps. */
export function climb(
  from: Point,
  measure: (p: Point) => number,
  step: number,
  scene: Box,
): { at: Point; value: number } {
  let best = { at: from, value: measure(from) };
  for (let size = step, halvings = 0; halvings < HALVINGS; ) {
    let better = best;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
      [1, 1],
      [-1, -1],
      [1, -1],
      [-1, 1],
    ] as const) {
      const at = within(scene, { x: best.at.x + dx * size, y: best.at.y + dy * size });
      const value = measure(at);
      if (value > better.value) better = { at, value };
    }
    if (better === best) {
      size /= 2;
      halvings++;
    } else best = better;
  }
  return best;
}

/**
 * The largest share of an item that can be over a zone, wherever its centre is put on the scene, and where. A rectangle
 * over a rectangle or an ellipse is most over it where the middles meet (both are convex and symmetric about them:
 * Anderson, 1955); over a polygon the best of several climbs.
 */
export function largestShare(body: Body, zone: Outline, scene: Box, symmetric: boolean): { share: number; at: Point } {
  const centre = middleOf(zone.box);
  const onScene = within(scene, centre);
  if (symmetric && onScene.x === centre.x && onScene.y === centre.y)
    return { share: shareAt(body, zone, centre), at: centre };
  const measure = (p: Point) => shareAt(body, zone, p);
  const starts = spots(body, zone, scene)
    .map((at) => ({ at, value: measure(at) }))
    .sort((a, b) => b.value - a.value)
    .slice(0, BEST_KEPT);
  const step = Math.max(zone.box.w, zone.box.h) / GRID;
  const best = starts.map(({ at }) => climb(at, measure, step, scene)).reduce((a, b) => (b.value > a.value ? b : a));
  return { share: best.value, at: best.at };
}
