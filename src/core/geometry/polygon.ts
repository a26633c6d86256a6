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

/** Is the point in the polygon, its edge (with `slack`) included? Even–odd crossing, with the distance to each edge for the slack. */
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
 * The part of `subject` (any simple polygon) inside the convex `clip` (clockwise on the screen), by Sutherland and Hodgman,
 * "Reentrant Polygon Clipping", CACM 17 (1974). A concave subject can leave edges that run to and fro: they have no area, so the
 * shoelace area of the result is exact.
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

/** Does the outline neither cross nor touch itself, and enclose an area? */
export function isSimplePolygon(corners: Corners): boolean {
  const n = corners.length;
  if (n < 3 || signedArea(corners) === 0) return false;
  const edge = (i: number) => [corners[i], corners[(i + 1) % n]] as unknown as [readonly [number, number], readonly [number, number]];
  for (let i = 0; i < n; i++) {
    const [a, b] = edge(i);
    if (a[0] === b[0] && a[1] === b[1]) return false;
    const [, c] = edge((i + 1) % n);
    if (turnOf(a, b, c) === 0 && (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) < 0) return false;
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [p, q] = edge(j);
      if (segmentsMeet(a, b, p, q)) return false;
    }
  }
  return true;
}

/** Does the outline turn one way all round? */
export function isConvex(corners: Corners): boolean {
  let way = 0;
  for (let i = 0; i < corners.length; i++) {
    const turned = turnOf(corners[i] as Corner, corners[(i + 1) % corners.length] as Corner, corners[(i + 2) % corners.length] as Corner);
    if (turned === 0) continue;
    if (way !== 0 && turned !== way) return false;
    way = turned;
  }
  return true;
}

type Corner = readonly [number, number];
const turnOf = (a: Corner, b: Corner, c: Corner) => Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
const within = (a: Corner, b: Corner, p: Corner) => Math.min(a[0], b[0]) <= p[0] && p[0] <= Math.max(a[0], b[0]) && Math.min(a[1], b[1]) <= p[1] && p[1] <= Math.max(a[1], b[1]);

function segmentsMeet(a: Corner, b: Corner, p: Corner, q: Corner): boolean {
  const d1 = turnOf(p, q, a);
  const d2 = turnOf(p, q, b);
  const d3 = turnOf(a, b, p);
  const d4 = turnOf(a, b, q);
  if (d1 !== d2 && d3 !== d4) return true;
  return (d1 === 0 && within(p, q, a)) || (d2 === 0 && within(p, q, b)) || (d3 === 0 && within(a, b, p)) || (d4 === 0 && within(a, b, q));
}
