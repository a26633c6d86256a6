import type { Box, Point } from './space';

/** A line shown while something snaps to it: `axis` x is a vertical line at `at`, from `from` to `to` along the other axis. Scene units. */
export interface Guide {
  readonly axis: 'x' | 'y';
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

export interface Snapped {
  readonly box: Box;
  readonly guides: readonly Guide[];
}

/** Which sides of a box a handle moves: −1 left or top, 1 right or bottom, 0 neither. */
export interface Handle {
  readonly x: -1 | 0 | 1;
  readonly y: -1 | 0 | 1;
}

export const SMALLEST = 8;

/** The box after its handle was pulled by dx, dy; never smaller than {@link SMALLEST}, the far side staying where it is. */
export function resize(box: Box, handle: Handle, dx: number, dy: number): Box {
  const w = Math.max(SMALLEST, box.w + handle.x * dx);
  const h = Math.max(SMALLEST, box.h + handle.y * dy);
  return { x: handle.x < 0 ? box.x + box.w - w : box.x, y: handle.y < 0 ? box.y + box.h - h : box.y, w, h };
}

interface Span {
  readonly from: number;
  readonly to: number;
}
const span = (box: Box, axis: 'x' | 'y'): Span => (axis === 'x' ? { from: box.x, to: box.x + box.w } : { from: box.y, to: box.y + box.h });
const stops = ({ from, to }: Span) => [from, (from + to) / 2, to];

/** The smallest shift, at most `tolerance`, that brings one of `mine` onto a stop of another box. */
function shiftTo(mine: readonly number[], others: readonly Box[], axis: 'x' | 'y', tolerance: number): number {
  let best = Infinity;
  for (const other of others) for (const stop of stops(span(other, axis))) for (const edge of mine) if (Math.abs(stop - edge) < Math.abs(best)) best = stop - edge;
  return Math.abs(best) <= tolerance ? best : 0;
}

/** The lines on which the box now shares an edge or a centre with another. */
function guidesOf(box: Box, others: readonly Box[]): Guide[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const across = axis === 'x' ? 'y' : 'x';
    const lines = new Map<number, Span>();
    for (const other of others)
      for (const stop of stops(span(other, axis)))
        if (stops(span(box, axis)).some((mine) => Math.abs(mine - stop) < 0.01)) {
          const [a, b] = [span(box, across), span(other, across)];
          const before = lines.get(stop);
          lines.set(stop, { from: Math.min(a.from, b.from, before?.from ?? Infinity), to: Math.max(a.to, b.to, before?.to ?? -Infinity) });
        }
    return [...lines].map(([at, { from, to }]) => ({ axis, at, from, to }));
  });
}

/** A moved box brought onto the edges and centres of others (the scene among them) within `tolerance` scene units. */
export function snapMove(box: Box, others: readonly Box[], tolerance: number): Snapped {
  const moved = {
    ...box,
    x: box.x + shiftTo(stops(span(box, 'x')), others, 'x', tolerance),
    y: box.y + shiftTo(stops(span(box, 'y')), others, 'y', tolerance),
  };
  return { box: moved, guides: guidesOf(moved, others) };
}

/** A resized box whose moved sides are brought onto others' edges and centres. */
export function snapResize(box: Box, handle: Handle, others: readonly Box[], tolerance: number): Snapped {
  const side = (axis: 'x' | 'y') => {
    const { from, to } = span(box, axis);
    return handle[axis] === 0 ? 0 : shiftTo([handle[axis] < 0 ? from : to], others, axis, tolerance);
  };
  const snapped = resize(box, handle, side('x'), side('y'));
  return { box: snapped, guides: guidesOf(snapped, others) };
}

/** The shift nearest to the one wanted that leaves all boxes on the scene; a box larger than the scene keeps its top left on it. */
export function shiftWithin(boxes: readonly Box[], wanted: Point, scene: Box): Point {
  const along = (axis: 'x' | 'y', size: 'w' | 'h') => {
    const least = Math.max(...boxes.map((box) => scene[axis] - box[axis]));
    const most = Math.min(...boxes.map((box) => scene[axis] + scene[size] - box[axis] - box[size]));
    return Math.max(least, Math.min(wanted[axis], most));
  };
  return { x: along('x', 'w'), y: along('y', 'h') };
}

/** Whole scene units, as the Ledger shows them. */
export const rounded = (box: Box): Box => ({ x: Math.round(box.x), y: Math.round(box.y), w: Math.max(1, Math.round(box.w)), h: Math.max(1, Math.round(box.h)) });
