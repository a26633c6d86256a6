import type { Corners } from './polygon';
import { type Box, cosSin, type Point } from './space';

/**
 * A thin rectangle from one point to another, about the line between them: its unrotated box and its turn, in degrees
 * clockwise.
 */
export function barBetween(from: Point, to: Point, thick: number): Box & { readonly rotation: number } {
  const length = Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  const rotation = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  return {
    x: (from.x + to.x - length) / 2,
    y: (from.y + to.y - thick) / 2,
    w: length,
    h: thick,
    rotation: Math.round(rotation * 1000) / 1000,
  };
}

/** The two ends of a bar: the middles of its short sides. */
export function endsOf({ x, y, w, h, rotation }: Box & { readonly rotation: number }): readonly [Point, Point] {
  const [cos, sin] = cosSin(rotation);
  const middle = { x: x + w / 2, y: y + h / 2 };
  const [dx, dy] = w >= h ? [(w / 2) * cos, (w / 2) * sin] : [(-h / 2) * sin, (h / 2) * cos];
  return [
    { x: middle.x - dx, y: middle.y - dy },
    { x: middle.x + dx, y: middle.y + dy },
  ];
}

/**
 * What of a segment lies outside a box, seen from its far end: the place where it leaves the box. From outside: its own
 * beginning.
 */
export function leaving(box: Box, from: Point, to: Point): Point {
  if (from.x < box.x || from.x > box.x + box.w || from.y < box.y || from.y > box.y + box.h) return from;
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const along = (d: number, low: number, high: number) => (d > 0 ? high / d : d < 0 ? low / d : Infinity);
  const t = Math.min(
    1,
    along(dx, box.x - from.x, box.x + box.w - from.x),
    along(dy, box.y - from.y, box.y + box.h - from.y),
  );
  return { x: from.x + t * dx, y: from.y + t * dy };
}

/**
 * A convex outline cut in two along the line through two points; one part where the line passes it by, or takes no more
 * than a sliver off.
 */
export function cutAlong(corners: Corners, [a, b]: readonly [Point, Point], sliver: number): Corners[] {
  const sideOf = ([x, y]: readonly [number, number]) => (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length === 0) return [corners];
  const half = (sign: 1 | -1): Corners => {
    const kept: [number, number][] = [];
    corners.forEach((corner, i) => {
      const next = corners[(i + 1) % corners.length] as readonly [number, number];
      const [here, there] = [sign * sideOf(corner), sign * sideOf(next)];
      if (here >= 0) kept.push([corner[0], corner[1]]);
      if (here * there < 0) {
        const t = here / (here - there);
        kept.push([corner[0] + t * (next[0] - corner[0]), corner[1] + t * (next[1] - corner[1])]);
      }
    });
    return kept;
  };
  // How far the outline reaches on either side of the line.
  const reach = corners.map((corner) => sideOf(corner) / length);
  if (Math.max(...reach) <= sliver || Math.min(...reach) >= -sliver) return [corners];
  return [half(1), half(-1)];
}
