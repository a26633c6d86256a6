import { rectOutline } from '../../geometry/outline';
import type { FindingRule } from './finding';
import { itemId, itemNamed, zoneId, zoneNamed } from './named';

/** WCAG 2.2, 2.5.8: a target has 24 CSS px either way. */
const LEAST = 24;
const NARROW = 320;

/**
 * Under 24 CSS px at 320 px of width. The page scales the scene to the room, but not below the size at which the
 * smallest item is 24 px: so it is zones that can be too small, and items only where they are thinner than the smallest
 * is wide.
 */
export const targetSmall: FindingRule = ({ model }) => {
  const sides = model.items.map(({ w, h }) => Math.min(w, h));
  const scale = Math.max(NARROW / model.source.scene.width, sides.length > 0 ? LEAST / Math.min(...sides) : 0);
  const small = (w: number, h: number) => Math.min(w, h) * scale < LEAST - 1e-9;
  const mend = 'Make it larger, or the scene smaller.';
  const items = model.items.flatMap(({ w, h }, i) =>
    small(w, h)
      ? [{ where: [itemId(model, i)], message: `${itemNamed(model, i)} is under ${LEAST} px on a narrow phone.`, mend }]
      : [],
  );
  const zones = model.question.zones.flatMap(({ shape, hidden }, z) => {
    if (shape.type === 'slot' || hidden) return [];
    const box = shape.type === 'rect' ? rectOutline(shape, 0).box : model.zones[z]?.outline?.box;
    return box && small(box.w, box.h)
      ? [{ where: [zoneId(model, z)], message: `${zoneNamed(model, z)} is under ${LEAST} px on a narrow phone.`, mend }]
      : [];
  });
  return [...items, ...zones];
};
