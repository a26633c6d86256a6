import type { Box, Point } from './space';

/** Lining things up, as an author means it: boxes in, boxes out, in the same order. Scene units. */
export type Edge = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom';
export type Axis = 'x' | 'y';

const size = (axis: Axis) => (axis === 'x' ? 'w' : 'h') as 'w' | 'h';

/** The smallest box round all; of none, an empty one. */
export function around(boxes: readonly Box[]): Box {
  if (boxes.length === 0) return { x: 0, y: 0, w: 0, h: 0 };
  const x = Math.min(...boxes.map((b) => b.x));
  const y = Math.min(...boxes.map((b) => b.y));
  return { x, y, w: Math.max(...boxes.map((b) => b.x + b.w)) - x, h: Math.max(...boxes.map((b) => b.y + b.h)) - y };
}

/**
 * Brings an edge or the middle of each box to that of `to`: the box round all of them, or of the scene where there is
 * only one.
 */
export function align(boxes: readonly Box[], edge: Edge, to: Box = around(boxes)): Box[] {
  const axis: Axis = edge === 'left' || edge === 'centre' || edge === 'right' ? 'x' : 'y';
  const along = size(axis);
  const share = edge === 'left' || edge === 'top' ? 0 : edge === 'centre' || edge === 'middle' ? 0.5 : 1;
  return boxes.map((box) => ({ ...box, [axis]: to[axis] + share * (to[along] - box[along]) }));
}

/**
 * Makes the gaps between boxes equal along an axis. Without `gap` the outermost stay; with it the first stays and the
 * others follow.
 */
export function space(boxes: readonly Box[], axis: Axis, gap?: number): Box[] {
  const along = size(axis);
  const order = boxes.map((_, i) => i).sort((a, b) => (boxes[a] as Box)[axis] - (boxes[b] as Box)[axis] || a - b);
  const total = boxes.reduce((sum, box) => sum + box[along], 0);
  const all = around(boxes);
  const between = gap ?? (boxes.length < 2 ? 0 : (all[along] - total) / (boxes.length - 1));
  const next = [...boxes];
  let at = all[axis];
  for (const i of order) {
    const box = boxes[i] as Box;
    next[i] = { ...box, [axis]: at };
    at += box[along] + between;
  }
  return next;
}

/** The gaps between neighbours along an axis, in their order; negative where they lie over one another. */
export function gapsOf(boxes: readonly Box[], axis: Axis): number[] {
  const along = size(axis);
  const order = [...boxes].sort((a, b) => a[axis] - b[axis]);
  return order.slice(1).map((box, i) => box[axis] - (order[i] as Box)[axis] - (order[i] as Box)[along]);
}

/** Gives each box the size of another along the axes named, about its middle. */
export function sized(
  boxes: readonly Box[],
  like: { readonly w: number; readonly h: number },
  what: 'width' | 'height' | 'both',
): Box[] {
  return boxes.map((box) => {
    const w = what === 'height' ? box.w : like.w;
    const h = what === 'width' ? box.h : like.h;
    return { x: box.x + (box.w - w) / 2, y: box.y + (box.h - h) / 2, w, h };
  });
}

/** Boxes scaled with the box round them, each keeping its share of it; never smaller than `least`. */
export function scaled(boxes: readonly Box[], from: Box, to: Box, least: number): Box[] {
  const [sx, sy] = [from.w === 0 ? 1 : to.w / from.w, from.h === 0 ? 1 : to.h / from.h];
  return boxes.map((box) => ({
    x: to.x + (box.x - from.x) * sx,
    y: to.y + (box.y - from.y) * sy,
    w: Math.max(least, box.w * sx),
    h: Math.max(least, box.h * sy),
  }));
}

/** Where a box comes to stand when its middle is turned about a point. */
export function turnedAbout<B extends Box>(box: B, centre: Point, degrees: number): B {
  const radians = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const [dx, dy] = [box.x + box.w / 2 - centre.x, box.y + box.h / 2 - centre.y];
  return { ...box, x: centre.x + dx * cos - dy * sin - box.w / 2, y: centre.y + dx * sin + dy * cos - box.h / 2 };
}

/**
 * How far a box keeps from the edges of the one it stands in: the smallest of the four distances; negative where it
 * passes one.
 */
export const edgeDistance = (box: Box, within: Box): number =>
  Math.min(
    box.x - within.x,
    box.y - within.y,
    within.x + within.w - box.x - box.w,
    within.y + within.h - box.y - box.h,
  );
