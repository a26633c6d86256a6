import type { SettleRule } from './index';

const GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5));

/**
 * About the middle, spread along a sunflower spiral (Vogel, 1979): fixed by the index, so a pile looks the same to
 * everybody.
 */
export const pile: SettleRule<'pile'> = (zone, boxes) =>
  boxes.map((box, i) => {
    const radius = 7 * Math.sqrt(i);
    return {
      x: zone.x + (zone.w - box.w) / 2 + radius * Math.cos(i * GOLDEN_ANGLE),
      y: zone.y + (zone.h - box.h) / 2 + radius * Math.sin(i * GOLDEN_ANGLE),
    };
  });
