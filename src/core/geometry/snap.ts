import type { Box, Point } from './space';

/**
 * A line shown while something snaps to it: `axis` x is a vertical line at `at`, from `from` to `to` along the other
 * axis. Scene units.
 */
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

/**
 * The box after its handle was pulled by dx, dy; never smaller than {@link SMALLEST}, the far side staying where it is.
 */
export function resize(box: Box, handle: Handle, dx: number, dy: number): Box {
  const w = Math.max(SMALLEST, box.w + handle.x * dx);
  const h = Math.max(SMALLEST, box.h + handle.y * dy);
  return { x: handle.x < 0 ? box.x + box.w - w : box.x, y: handle.y < 0 ? box.y + box.h - h : box.y, w, h };
}

interface Span {
  readonly from: number;
  readonly to: number;
}
const span = (box: Box, axis: 'x' | 'y'): Span =>
  axis === 'x' ? { from: box.x, to: box.x + box.w } : { from: box.y, to: box.y + box.h };

/** The smallest shift, at most `tolerance`, that brings one of `mine` onto a stop of another box. */
function shiftTo(
  mine: readonly number[],
  others: readonly Box[],
  axis: 'x' | 'y',
  tolerance: number,
  to: Snapping,
): number {
  let best = Infinity;
  for (const other of others)
    for (const stop of chosen(span(other, axis), to))
      for (const edge of mine) if (Math.abs(stop - edge) < Math.abs(best)) best = stop - edge;
  return Math.abs(best) <= tolerance ? best : 0;
}

/** The lines on which the box now shares an edge or a centre with another. */
function guidesOf(box: Box, others: readonly Box[], to: Snapping): Guide[] {
  return (['x', 'y'] as const).flatMap((axis) => {
    const across = axis === 'x' ? 'y' : 'x';
    const lines = new Map<number, Span>();
    for (const other of others)
      for (const stop of chosen(span(other, axis), to))
        if (chosen(span(box, axis), to).some((mine) => Math.abs(mine - stop) < 0.01)) {
          const [a, b] = [span(box, across), span(other, across)];
          const before = lines.get(stop);
          lines.set(stop, {
            from: Math.min(a.from, b.from, before?.from ?? Infinity),
            to: Math.max(a.to, b.to, before?.to ?? -Infinity),
          });
        }
    return [...lines].map(([at, { from, to }]) => ({ axis, at, from, to }));
  });
}

/** What things snap to; the lattice by its step in scene units, null for none. */
export interface Snapping {
  readonly edges: boolean;
  readonly centres: boolean;
  readonly gaps: boolean;
  readonly grid: number | null;
}
export const ALL_SNAPPING: Snapping = { edges: true, centres: true, gaps: true, grid: null };

const chosen = ({ from, to }: Span, { edges, centres }: Snapping) => [
  ...(edges ? [from] : []),
  ...(centres ? [(from + to) / 2] : []),
  ...(edges ? [to] : []),
];

/**
 * The places along an axis at which the box would have equal gaps: between two neighbours, or as far from the next as
 * that is from the one after.
 */
function equalGaps(box: Box, others: readonly Box[], axis: 'x' | 'y'): number[] {
  const across = span(box, axis === 'x' ? 'y' : 'x');
  const row = others
    .filter((other) => {
      const { from, to } = span(other, axis === 'x' ? 'y' : 'x');
      return from < across.to && across.from < to;
    })
    .map((other) => span(other, axis))
    .sort((a, b) => a.from - b.from);
  const mine = span(box, axis);
  const length = mine.to - mine.from;
  return row.slice(1).flatMap((b, i) => {
    const a = row[i] as Span;
    const gap = b.from - a.to;
    const places = gap >= length ? [a.to + (gap - length) / 2] : [];
    return gap > 0 ? [...places, b.to + gap, a.from - gap - length] : places;
  });
}

const nearest = (shifts: readonly number[], tolerance: number): number => {
  let best = Infinity;
  for (const shift of shifts) if (Math.abs(shift) < Math.abs(best)) best = shift;
  return Math.abs(best) <= tolerance ? best : 0;
};

/**
 * A moved box brought onto the edges and centres of others (the scene among them), into equal gaps or onto the lattice,
 * within `tolerance` scene units.
 */
export function snapMove(box: Box, others: readonly Box[], tolerance: number, to: Snapping = ALL_SNAPPING): Snapped {
  const shift = (axis: 'x' | 'y') => {
    const mine = span(box, axis);
    const onto = shiftTo(chosen(mine, to), others, axis, tolerance, to);
    if (onto !== 0) return onto;
    const gap = to.gaps
      ? nearest(
          equalGaps(box, others, axis).map((at) => at - mine.from),
          tolerance,
        )
      : 0;
    if (gap !== 0) return gap;
    return to.grid === null ? 0 : Math.round(mine.from / to.grid) * to.grid - mine.from;
  };
  const moved = { ...box, x: box.x + shift('x'), y: box.y + shift('y') };
  return { box: moved, guides: to.edges || to.centres ? guidesOf(moved, others, to) : [] };
}

/** A resized box whose moved sides are brought onto others' edges and centres, or onto the lattice. */
export function snapResize(
  box: Box,
  handle: Handle,
  others: readonly Box[],
  tolerance: number,
  to: Snapping = ALL_SNAPPING,
): Snapped {
  const side = (axis: 'x' | 'y') => {
    const { from, to: end } = span(box, axis);
    if (handle[axis] === 0) return 0;
    const mine = handle[axis] < 0 ? from : end;
    const onto = to.edges || to.centres ? shiftTo([mine], others, axis, tolerance, to) : 0;
    return onto !== 0 || to.grid === null ? onto : Math.round(mine / to.grid) * to.grid - mine;
  };
  const snapped = resize(box, handle, side('x'), side('y'));
  return { box: snapped, guides: to.edges || to.centres ? guidesOf(snapped, others, to) : [] };
}

/**
 * The shift nearest to the one wanted that leaves all boxes on the scene; a box larger than the scene keeps its top
 * left on it.
 */
export function shiftWithin(boxes: readonly Box[], wanted: Point, scene: Box): Point {
  const along = (axis: 'x' | 'y', size: 'w' | 'h') => {
    const least = Math.max(...boxes.map((box) => scene[axis] - box[axis]));
    const most = Math.min(...boxes.map((box) => scene[axis] + scene[size] - box[axis] - box[size]));
    return Math.max(least, Math.min(wanted[axis], most));
  };
  return { x: along('x', 'w'), y: along('y', 'h') };
}

/** Whole scene units, as the Ledger shows them. */
export const rounded = (box: Box): Box => ({
  x: Math.round(box.x),
  y: Math.round(box.y),
  w: Math.max(1, Math.round(box.w)),
  h: Math.max(1, Math.round(box.h)),
});
