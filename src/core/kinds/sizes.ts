import type { Item, Question } from '../document/schema';
import { boxForWords } from '../proof/text/labels';
import { textWidth } from '../proof/text/measure';

const LEAST = { w: 96, h: 44 };
const WIDEST = 230;
const ITEM_FONT = 15;
const PADDING = 26;

/** Gives all items the one size that the longest words among them need, so that no size tells which belongs where. Items that show a picture keep theirs. */
export function alike(question: Question, widest = WIDEST): Question {
  const worded = question.items.filter(({ content }) => !content?.picture);
  const w = Math.ceil(Math.max(LEAST.w, ...worded.map(({ label }) => Math.min(widest, textWidth(label, ITEM_FONT) + PADDING))));
  const needed = worded.map((item) => boxForWords(question, { ...item, size: { w, h: LEAST.h } }) ?? { w, h: LEAST.h });
  const size = { w: Math.max(w, ...needed.map((box) => box.w)), h: Math.max(LEAST.h, ...needed.map((box) => box.h)) };
  return { ...question, items: question.items.map((item): Item => (item.content?.picture ? item : { ...item, size })) };
}
