import type { Extent, SettleRule } from './index';

/** The cell of a grid: the widest by the tallest. */
export function cellOf(boxes: readonly Extent[]): Extent {
  return { w: Math.max(0, ...boxes.map((b) => b.w)), h: Math.max(0, ...boxes.map((b) => b.h)) };
}

/**
 * Cells from the top left, inset by the gap, max(1, ⌊(W − g)/(cell + g)⌋) columns; each box in the middle of its cell.
 */
export const grid: SettleRule<'grid'> = (zone, boxes, { gap }) => {
  const cell = cellOf(boxes);
  const columns = Math.max(1, Math.floor((zone.w - gap) / (cell.w + gap) + 1e-9));
  return boxes.map((box, i) => ({
    x: zone.x + gap + (i % columns) * (cell.w + gap) + (cell.w - box.w) / 2,
    y: zone.y + gap + Math.floor(i / columns) * (cell.h + gap) + (cell.h - box.h) / 2,
  }));
};
