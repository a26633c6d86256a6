import type { Settle } from '../document/schema';
import { type Extent, settleBoxes } from './settle';
import { type Box, SLACK } from './space';

/** What of a box may stick out before it counts as overflowing, in scene units. */
const SPILL = 1e-6;

/** Along a line, inset at both ends, but never fewer than one where one fits at all. */
const alongLine = (room: number, size: number, gap: number) =>
  size + gap > room + SPILL ? 0 : Math.max(1, Math.floor((room - gap) / (size + gap) + SLACK));
/** Line after line, inset at the first. */
const linesIn = (room: number, size: number, gap: number) => Math.floor(room / (size + gap) + SLACK);

/**
 * How many items of a size (bounding box) a zone (bounding box) holds by its settle rule without one sticking out:
 * those of a row, column or grid lie beside one another; an anchor and a pile put them over one another, so that where
 * one fits any number does; as dropped, as many as can lie side by side.
 */
export function fitCount(settle: Settle, zone: Box, item: Extent): number {
  switch (settle.rule) {
    case 'row':
    case 'grid':
      return alongLine(zone.w, item.w, settle.gap) * linesIn(zone.h, item.h, settle.gap);
    case 'column':
      return alongLine(zone.h, item.h, settle.gap) * linesIn(zone.w, item.w, settle.gap);
    case 'anchor':
      return item.w + settle.gap <= zone.w + SPILL && item.h + settle.gap <= zone.h + SPILL ? Infinity : 0;
    case 'pile':
      return item.w <= zone.w + SPILL && item.h <= zone.h + SPILL ? Infinity : 0;
    case 'asDropped':
      return Math.floor(zone.w / item.w + SLACK) * Math.floor(zone.h / item.h + SLACK);
  }
}

/**
 * Do boxes that settle in a zone by its rule all lie inside it? As dropped: could they, beside one another, as far as
 * their areas tell?
 */
export function fitsAll(settle: Settle, zone: Box, items: readonly Extent[]): boolean {
  if (settle.rule === 'asDropped') {
    const area = items.reduce((sum, { w, h }) => sum + w * h, 0);
    return area <= zone.w * zone.h + SPILL && items.every(({ w, h }) => w <= zone.w + SPILL && h <= zone.h + SPILL);
  }
  const places = settleBoxes(
    settle,
    zone,
    items,
    items.map(() => null),
  );
  return places.every(({ x, y }, i) => {
    const { w, h } = items[i] as Extent;
    return (
      x >= zone.x - SPILL && y >= zone.y - SPILL && x + w <= zone.x + zone.w + SPILL && y + h <= zone.y + zone.h + SPILL
    );
  });
}
