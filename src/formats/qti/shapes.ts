import type { Question } from '../../core';

type Zone = Question['zones'][number];
export interface QtiShape {
  readonly shape: 'rect' | 'circle' | 'ellipse' | 'poly';
  readonly coords: string;
}

/** To a thousandth of a scene unit. */
const number = (n: number) => String(Math.round(n * 1000) / 1000);
const coords = (...numbers: readonly number[]) => numbers.map(number).join(',');

/** A turned ellipse has so many corners. */
const CORNERS = 72;

/** Clockwise about a centre, by degrees: y grows downward. */
function turned([x, y]: readonly [number, number], [cx, cy]: readonly [number, number], degrees: number) {
  const angle = (degrees * Math.PI) / 180;
  const [dx, dy] = [x - cx, y - cy];
  return [cx + dx * Math.cos(angle) - dy * Math.sin(angle), cy + dx * Math.sin(angle) + dy * Math.cos(angle)] as const;
}

/** A zone as a shape of QTI, in scene units; null: a slot, which has no place. */
export function shapeOf({ shape, rotation }: Pick<Zone, 'shape' | 'rotation'>): QtiShape | null {
  switch (shape.type) {
    case 'slot':
      return null;
    case 'polygon':
      return { shape: 'poly', coords: coords(...shape.points.flat()) };
    case 'rect': {
      const { x, y, w, h } = shape;
      if (rotation % 360 === 0) return { shape: 'rect', coords: coords(x, y, x + w, y + h) };
      const corners = [
        [x, y],
        [x + w, y],
        [x + w, y + h],
        [x, y + h],
      ] as const;
      const middle = [x + w / 2, y + h / 2] as const;
      return { shape: 'poly', coords: coords(...corners.flatMap((corner) => turned(corner, middle, rotation))) };
    }
    case 'ellipse': {
      const { cx, cy, rx, ry } = shape;
      if (rx === ry) return { shape: 'circle', coords: coords(cx, cy, rx) };
      if (rotation % 180 === 0) return { shape: 'ellipse', coords: coords(cx, cy, rx, ry) };
      const corners = Array.from({ length: CORNERS }, (_, i) => {
        const angle = (2 * Math.PI * i) / CORNERS;
        return turned([cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)], [cx, cy], rotation);
      });
      return { shape: 'poly', coords: coords(...corners.flat()) };
    }
  }
}

/** Is a point in a shape, its edge included? (QTI 3.0: the expression `inside`.) */
export function isInside(
  { shape, coords: text }: { readonly shape: string; readonly coords: string },
  x: number,
  y: number,
): boolean {
  const at = text.split(',').map(Number);
  const [a = 0, b = 0, c = 0, d = 0] = at;
  switch (shape) {
    case 'rect':
      return x >= a && x <= c && y >= b && y <= d;
    case 'circle':
      return Math.hypot(x - a, y - b) <= c;
    case 'ellipse':
      return ((x - a) / c) ** 2 + ((y - b) / d) ** 2 <= 1;
    case 'poly':
      return isInPolygon(at, x, y);
    default:
      return shape === 'default';
  }
}

/** By the number of edges crossed to the left (even-odd), or on an edge. */
function isInPolygon(at: readonly number[], x: number, y: number): boolean {
  let isIn = false;
  for (let i = 0, j = at.length - 2; i < at.length; j = i, i += 2) {
    const [ax, ay, bx, by] = [at[i] as number, at[i + 1] as number, at[j] as number, at[j + 1] as number];
    const across = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
    const between = Math.min(ax, bx) <= x && x <= Math.max(ax, bx) && Math.min(ay, by) <= y && y <= Math.max(ay, by);
    if (Math.abs(across) < 1e-9 && between) return true;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) isIn = !isIn;
  }
  return isIn;
}

/** A shape of QTI as a zone's; percentages are of the picture. */
export function zoneShape(
  { shape = 'default', coords: text = '' }: Readonly<Record<string, string>>,
  { width, height }: { readonly width: number; readonly height: number },
): Zone['shape'] {
  const at = text.split(',').map((part, i) => {
    const n = Number.parseFloat(part);
    return part.includes('%') ? (n / 100) * (i % 2 === 0 ? width : height) : n;
  });
  const [a = 0, b = 0, c = 0, d = 0] = at;
  if (at.every(Number.isFinite)) {
    if (shape === 'rect' && c > a && d > b) return { type: 'rect', x: a, y: b, w: c - a, h: d - b };
    if (shape === 'circle' && c > 0) return { type: 'ellipse', cx: a, cy: b, rx: c, ry: c };
    if (shape === 'ellipse' && c > 0 && d > 0) return { type: 'ellipse', cx: a, cy: b, rx: c, ry: d };
    if (shape === 'poly' && at.length >= 6) {
      const points = at.flatMap((x, i): [number, number][] => (i % 2 === 0 ? [[x, at[i + 1] ?? 0]] : []));
      const [first] = points;
      const last = points.at(-1);
      // An outline that says its first corner again at its end.
      const closed = points.length > 3 && first && last && first[0] === last[0] && first[1] === last[1];
      return { type: 'polygon', points: closed ? points.slice(0, -1) : points };
    }
  }
  return { type: 'rect', x: 0, y: 0, w: width, h: height };
}
