import type { SettleRule } from './index';

/** Each box against the same side or corner of the zone, inset by the gap; later ones lie on top of earlier ones. */
export const anchor: SettleRule<'anchor'> = (zone, boxes, { at, gap }) => {
  const name = at.toLowerCase();
  return boxes.map((box) => ({
    x: name.includes('left')
      ? zone.x + gap
      : name.includes('right')
        ? zone.x + zone.w - gap - box.w
        : zone.x + (zone.w - box.w) / 2,
    y: name.includes('top')
      ? zone.y + gap
      : name.includes('bottom')
        ? zone.y + zone.h - gap - box.h
        : zone.y + (zone.h - box.h) / 2,
  }));
};
