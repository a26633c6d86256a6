import { type Corners, signedArea } from './polygon';

/** Does the outline neither cross nor touch itself, and enclose an area? */
export function isSimplePolygon(corners: Corners): boolean {
  const n = corners.length;
  if (n < 3 || signedArea(corners) === 0) return false;
  const edge = (i: number) =>
    [corners[i], corners[(i + 1) % n]] as unknown as [readonly [number, number], readonly [number, number]];
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
    const turned = turnOf(
      corners[i] as Corner,
      corners[(i + 1) % corners.length] as Corner,
      corners[(i + 2) % corners.length] as Corner,
    );
    if (turned === 0) continue;
    if (way !== 0 && turned !== way) return false;
    way = turned;
  }
  return true;
}

type Corner = readonly [number, number];
const turnOf = (a: Corner, b: Corner, c: Corner) =>
  Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
const within = (a: Corner, b: Corner, p: Corner) =>
  Math.min(a[0], b[0]) <= p[0] &&
  p[0] <= Math.max(a[0], b[0]) &&
  Math.min(a[1], b[1]) <= p[1] &&
  p[1] <= Math.max(a[1], b[1]);

function segmentsMeet(a: Corner, b: Corner, p: Corner, q: Corner): boolean {
  const d1 = turnOf(p, q, a);
  const d2 = turnOf(p, q, b);
  const d3 = turnOf(a, b, p);
  const d4 = turnOf(a, b, q);
  if (d1 !== d2 && d3 !== d4) return true;
  return (
    (d1 === 0 && within(p, q, a)) ||
    (d2 === 0 && within(p, q, b)) ||
    (d3 === 0 && within(a, b, p)) ||
    (d4 === 0 && within(a, b, q))
  );
}
