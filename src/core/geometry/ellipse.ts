import type { Corners } from './polygon';

/**
 * Area of a polygon inside the unit circle about the origin, positive when its corners run clockwise on the screen. In
 * closed form: the sum, over the edges, of the signed area of the triangle (origin, a, b) that lies in the circle: a
 * triangle where the edge is inside, a sector where it is outside.
 */
export function areaInUnitCircle(corners: Corners): number {
  let area = 0;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const [ax, ay] = corners[j] as readonly [number, number];
    const [bx, by] = corners[i] as readonly [number, number];
    area += edgeArea(ax, ay, bx, by);
  }
  return area;
}

const sector = (ax: number, ay: number, bx: number, by: number) => Math.atan2(ax * by - ay * bx, ax * bx + ay * by) / 2;
const triangle = (ax: number, ay: number, bx: number, by: number) => (ax * by - ay * bx) / 2;

function edgeArea(ax: number, ay: number, bx: number, by: number): number {
  const dx = bx - ax;
  const dy = by - ay;
  const dd = dx * dx + dy * dy;
  if (dd === 0) return 0;
  // Where the edge's line meets the circle: |a + t d|² = 1.
  const half = (ax * dx + ay * dy) / dd;
  const root = half * half - (ax * ax + ay * ay - 1) / dd;
  if (root <= 0) return sector(ax, ay, bx, by);
  const spread = Math.sqrt(root);
  const from = Math.max(0, -half - spread);
  const to = Math.min(1, -half + spread);
  if (from >= to) return sector(ax, ay, bx, by);
  const px = ax + from * dx;
  const py = ay + from * dy;
  const qx = ax + to * dx;
  const qy = ay + to * dy;
  return sector(ax, ay, px, py) + triangle(px, py, qx, qy) + sector(qx, qy, bx, by);
}
