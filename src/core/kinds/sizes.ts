import { ITEM_SIZE } from '../document/appearance';
import { plainText } from '../document/plain';
import type { Item, Question } from '../document/schema';
import { fontOf } from '../proof/text/fonts';
import { boxForWords } from '../proof/text/labels';
import { textWidth } from '../proof/text/measure';

/** Marks after places were added or taken away: where each was worth a mark, it still is. */
export const stillWorth = (marks: Question['marks'], before: number, after: number): Question['marks'] =>
  marks.max === Math.max(1, before) ? { ...marks, max: after } : marks;

const LEAST = { w: 96, h: 44 };
const WIDEST = 230;
const PADDING = 26;

/** The width of every character of the font for code, in thousandths of its size (Atkinson Hyperlegible Mono). */
const MONO = 632;

/** Is an item shown as a line of code? */
export const isCode = ({ content }: Pick<Item, 'content'>): boolean =>
  content?.text?.blocks.some((block) => block.type === 'paragraph' && block.runs.some(({ mono }) => mono)) === true;

/** The width a line of code takes at a size of its font. */
export const codeWidth = (line: string, fontSize: number): number => (line.length * MONO * fontSize) / 1000;

/** The width at which an item's words stand on one line. */
const wordsWidth = (question: Question, item: Item, widest: number): number =>
  isCode(item)
    ? codeWidth(plainText(item.content?.text ?? null), ITEM_SIZE) + PADDING
    : Math.min(widest, textWidth(item.label, fontOf(question, ITEM_SIZE)) + PADDING);

/**
 * Gives all items the one size that the longest words among them need, so that no size tells which belongs where. Items
 * that show a picture keep theirs.
 */
export function alike(question: Question, widest = WIDEST): Question {
  const worded = question.items.filter(({ content }) => !content?.picture);
  const w = Math.ceil(Math.max(LEAST.w, ...worded.map((item) => wordsWidth(question, item, widest))));
  const needed = worded.map((item) => boxForWords(question, { ...item, size: { w, h: LEAST.h } }) ?? { w, h: LEAST.h });
  const size = { w: Math.max(w, ...needed.map((box) => box.w)), h: Math.max(LEAST.h, ...needed.map((box) => box.h)) };
  return { ...question, items: question.items.map((item): Item => (item.content?.picture ? item : { ...item, size })) };
}
