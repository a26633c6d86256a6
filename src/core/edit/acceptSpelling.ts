import type { ItemId, ZoneId } from '../document/ids';
import type { Question } from '../document/schema';
import type { Step } from './edit';
import { setZone } from './steps';

/** A spelling that is read as an item in a zone that is typed into. */
export interface Spelling {
  readonly zone: ZoneId;
  readonly item: ItemId;
  readonly text: string;
}

/**
 * Accepts one more spelling. What was read as an item by its very spelling is read so still: another that has it
 * already keeps it. Null: the zone is not typed into, there is no such item, the text is empty, or some item has that
 * spelling there.
 */
export function acceptSpelling(question: Question, { zone, item, text }: Spelling): Step | null {
  const typed = question.zones.find(({ id }) => id === zone)?.typed;
  const spelling = text.trim();
  if (!typed || spelling === '' || !question.items.some(({ id }) => id === item)) return null;
  if (Object.values(typed.accept).some((spellings) => spellings?.includes(spelling))) return null;
  const own = Object.hasOwn(typed.accept, item) ? (typed.accept[item] ?? []) : [];
  return setZone(question, zone, 'typed', { ...typed, accept: { ...typed.accept, [item]: [...own, spelling] } });
}
