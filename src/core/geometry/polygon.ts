/** A polygon's corners in order, either winding. */
export type Corners = readonly (readonly [number, number])[];

/** Area by the shoelace formula; positive when the corners run clockwise on the screen (y down). */
export function signedArea(corners: Corners): number {
  let twice = 0;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const [ax, ay] = corners[j] as readonly [number, number];
    const [bx, by] = corners[i] as readonly [number, number];
    twice += ax * by - bx * ay;
  }
  return twice / 2;
}

/**
 * Is the point in the polygon, its edge (with `slack`) included? Even–odd crossing, with the distance to each edge for
 * the slack.
 */
export function inPolygon(corners: Corners, x: number, y: number, slack: number): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const [ax, ay] = corners[j] as readonly [number, number];
    const [bx, by] = corners[i] as readonly [number, number];
    if (distanceToSegment(x, y, ax, ay, bx, by) <= slack) return true;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

export function distanceToSegment(x: number, y: number, ax: number, ay: number, bx: number, by: number): number {
  const dx = bx - ax;
  const dy = by - ay;
  const length = dx * dx + dy * dy;
  const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / length));
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
}

/**
 * The part of `subject` (any simple polygon) inside the convex `clip` (clockwise on the screen), by Sutherland and
 * Hodgman, "Reentrant Polygon Clipping", CACM 17 (1974). A concave subject can leave edges that run to and fro: they
 * have no area, so the shoelace area of the result is exact.
 */
export function clipToConvex(subject: Corners, clip: Corners): Corners {
  let part: Corners = subject;
  for (let i = 0, j = clip.length - 1; i < clip.length && part.length > 0; j = i++) {
    const [ax, ay] = clip[j] as readonly [number, number];
    const [bx, by] = clip[i] as readonly [number, number];
    const ex = bx - ax;
    const ey = by - ay;
    const next: (readonly [number, number])[] = [];
    let previous = part[part.length - 1] as readonly [number, number];
    let previousSide = ex * (previous[1] - ay) - ey * (previous[0] - ax);
    for (const corner of part) {
      const side = ex * (corner[1] - ay) - ey * (corner[0] - ax);
      if (side >= 0 !== previousSide >= 0) {
        const t = previousSide / (previousSide - side);
        next.push([previous[0] + t * (corner[0] - previous[0]), previous[1] + t * (corner[1] - previous[1])]);
      }
      if (side >= 0) next.push(corner);
      previous = corner;
      previousSide = side;
    }
    part = next;
  }
  return part;
}
