import { ITEM_SIZE } from '../../document/appearance';
import type { Item, Question } from '../../document/schema';
import { fontsIn } from './fonts';
import { type Font, linesNeeded, textWidth } from './measure';

/** As the page draws tags and titles (scene.css), in scene units. */
const TITLE_FONT = 16;
const ITEM_LINE = 1.15;
const ITEM_PADDING = { x: 11, y: 5.5 };
const TITLE_MARGIN = 44;

/**
 * The smallest box, no smaller than the item's own, that its words fit in every state; null: they fit already, or it
 * shows something else.
 */
export function boxForWords(question: Question, { label, content, size, look }: Item): { w: number; h: number } | null {
  if (content || label === '') return null;
  const fonts = fontsIn(question, look, ITEM_SIZE);
  const longest = Math.max(...fonts.flatMap((font) => label.split(/\s+/).map((word) => textWidth(word, font))));
  const highest = (width: number) => Math.max(...fonts.map((font) => heightOf(label, font, width)));
  const w = Math.max(size.w, Math.ceil(longest + ITEM_PADDING.x));
  const h = Math.max(size.h, Math.ceil(highest(w) + ITEM_PADDING.y));
  const fits = longest <= size.w - ITEM_PADDING.x && highest(size.w) <= size.h - ITEM_PADDING.y;
  return fits ? null : { w, h };
}

const heightOf = (words: string, font: Font, width: number) =>
  linesNeeded(words, font, Math.max(1, width - ITEM_PADDING.x)) * font.size * ITEM_LINE;

/** The width of the box at whose upper edge a zone's title is not cut. */
export const widthForTitle = (question: Question, label: string, look: string | null): number =>
  label === ''
    ? 0
    : Math.max(...fontsIn(question, look, TITLE_FONT).map((font) => textWidth(label, font))) + TITLE_MARGIN;
