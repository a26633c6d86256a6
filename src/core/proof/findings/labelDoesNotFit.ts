import { linesNeeded, textWidth } from '../text/measure';
import type { FindingRule } from './finding';
import { itemId, itemNamed, zoneId, zoneNamed } from './named';

/** As the page draws tags and titles (scene.css), in scene units. */
const ITEM_FONT = 15;
const ITEM_LINE = 1.15;
const ITEM_PADDING = { x: 11, y: 5.5 };
const TITLE_FONT = 16;
const TITLE_MARGIN = 44;

/** A text needs more than its box at the font it is shown in. */
export const labelDoesNotFit: FindingRule = ({ model }) => {
  const { items, zones, looks } = model.question;
  const fontOf = (look: string | null, otherwise: number) => {
    const states = look !== null && Object.hasOwn(looks, look) ? Object.values(looks[look]?.states ?? {}) : [];
    return Math.max(otherwise, ...states.map((style) => (style as { fontSize?: number } | undefined)?.fontSize ?? 0));
  };
  const mend = 'Make it larger, or the words fewer.';
  const tooLong = items.flatMap(({ label, size, content, look }, i) => {
    if (content?.picture || content?.sound || label === '') return [];
    const font = fontOf(look, ITEM_FONT);
    const width = size.w - ITEM_PADDING.x;
    const broken = label.split(/\s+/).some((word) => textWidth(word, font) > width);
    const height = linesNeeded(label, font, Math.max(1, width)) * font * ITEM_LINE;
    if (!broken && height <= size.h - ITEM_PADDING.y) return [];
    return [{ where: [itemId(model, i)], message: `The words of ${itemNamed(model, i)} do not fit its box.`, mend }];
  });
  const titles = zones.flatMap(({ label, look }, z) => {
    const box = model.zones[z]?.outline?.box;
    if (!box || label === '' || textWidth(label, fontOf(look, TITLE_FONT)) <= box.w - TITLE_MARGIN) return [];
    return [{ where: [zoneId(model, z)], message: `The title of ${zoneNamed(model, z)} does not fit its upper edge.`, mend }];
  });
  return [...tooLong, ...titles];
};
