import type { Item, Question } from '../../document/schema';
import { linesNeeded, textWidth } from './measure';

/** As the page draws tags and titles (scene.css), in scene units. */
const ITEM_FONT = 15;
const TITLE_FONT = 16;
const ITEM_LINE = 1.15;
const ITEM_PADDING = { x: 11, y: 5.5 };
const TITLE_MARGIN = 44;

/** The largest font a look shows words in, in any state. */
function largestFont({ looks }: Question, look: string | null, otherwise: number): number {
  const states = look !== null && Object.hasOwn(looks, look) ? Object.values(looks[look]?.states ?? {}) : [];
  return Math.max(otherwise, ...states.map((style) => (style as { fontSize?: number } | undefined)?.fontSize ?? 0));
}

/**
 * The smallest box, no smaller than the item's own, that its words fit; null: they fit already, or it shows something
 * else.
 */
export function boxForWords(question: Question, { label, content, size, look }: Item): { w: number; h: number } | null {
  if (content || label === '') return null;
  const font = largestFont(question, look, ITEM_FONT);
  const longest = Math.max(...label.split(/\s+/).map((word) => textWidth(word, font)));
  const w = Math.max(size.w, Math.ceil(longest + ITEM_PADDING.x));
  const lines = linesNeeded(label, font, Math.max(1, w - ITEM_PADDING.x));
  const h = Math.max(size.h, Math.ceil(lines * font * ITEM_LINE + ITEM_PADDING.y));
  const before = linesNeeded(label, font, Math.max(1, size.w - ITEM_PADDING.x)) * font * ITEM_LINE;
  const fits = longest <= size.w - ITEM_PADDING.x && before <= size.h - ITEM_PADDING.y;
  return fits ? null : { w, h };
}

/** The width of the box at whose upper edge a zone's title is not cut. */
export const widthForTitle = (question: Question, label: string, look: string | null): number =>
  label === '' ? 0 : textWidth(label, largestFont(question, look, TITLE_FONT)) + TITLE_MARGIN;
