import type { Box, Point } from '../space';
import type { Extent, SettleRule } from './index';

/**
 * Boxes one after another along a line of the given length, `gap` apart; a new line when the next would pass the end,
 * each line as deep as its deepest box. Along and across are measured from the start of the first line.
 */
function lines(
  boxes: readonly { along: number; across: number }[],
  length: number,
  gap: number,
): { along: number; across: number }[] {
  let along = 0;
  let across = 0;
  let deepest = 0;
  return boxes.map((box, i) => {
    if (i > 0 && along + box.along > length + 1e-9) {
      across += deepest + gap;
      along = 0;
      deepest = 0;
    }
    const place = { along, across };
    along += box.along + gap;
    deepest = Math.max(deepest, box.across);
    return place;
  });
}

const inset = (zone: Box, gap: number): Point => ({ x: zone.x + gap, y: zone.y + gap });

/** Left to right from the top left, then the next line down. */
export const row: SettleRule<'row'> = (zone, boxes, { gap }) => {
  const from = inset(zone, gap);
  const flow = boxes.map((b: Extent) => ({ along: b.w, across: b.h }));
  return lines(flow, zone.w - 2 * gap, gap).map((p) => ({ x: from.x + p.along, y: from.y + p.across }));
};

/** Top to bottom from the top left, then the next line to the right. */
export const column: SettleRule<'column'> = (zone, boxes, { gap }) => {
  const from = inset(zone, gap);
  const flow = boxes.map((b: Extent) => ({ along: b.h, across: b.w }));
  return lines(flow, zone.h - 2 * gap, gap).map((p) => ({ x: from.x + p.across, y: from.y + p.along }));
};
