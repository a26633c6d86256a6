import type { Question } from '../document/schema';
import { difference } from './difference';
import type { Step } from './edit';

export interface Replacing {
  readonly find: string;
  readonly to: string;
  readonly wholeWords: boolean;
  readonly matchCase: boolean;
}

/** A place where the words stand: what they stood in, and what it comes to. */
export interface Replaced {
  readonly before: string;
  readonly after: string;
}

/** Fields that hold words for people; everything else (ids, families, sources) is left alone. */
const WORDS: ReadonlySet<string> = new Set(['title', 'label', 'text', 'description', 'check', 'reset', 'hint', 'next']);
/** A letter or digit of any script at the end, and at the start. */
const ENDS_IN_WORD = /[\p{L}\p{N}]$/u;
const BEGINS_WORD = /^[\p{L}\p{N}]/u;
/** Of UTF-16 units: as many as the longest character has. */
const LONGEST = 2;

/** The text with what is sought replaced. It is sought as it stands: no pattern is made of it. */
function replacedIn(text: string, { find, to, wholeWords, matchCase }: Replacing): string {
  const same = matchCase
    ? (part: string) => part === find
    : (part: string) => part.toLowerCase() === find.toLowerCase();
  let after = '';
  let at = 0;
  while (at < text.length) {
    const end = at + find.length;
    const stands =
      same(text.slice(at, end)) &&
      !(
        wholeWords &&
        (ENDS_IN_WORD.test(text.slice(Math.max(0, at - LONGEST), at)) ||
          BEGINS_WORD.test(text.slice(end, end + LONGEST)))
      );
    after += stands ? to : text.charAt(at);
    at = stands ? end : at + 1;
  }
  return after;
}

/** The words of a question replaced wherever they stand, spellings of typed answers too: the step, and each place. */
export function replaceWords(question: Question, replacing: Replacing): { step: Step; places: Replaced[] } {
  if (replacing.find === '') return { step: [], places: [] };
  const places: Replaced[] = [];
  const replaced = (before: string): string => {
    const after = replacedIn(before, replacing);
    if (after !== before) places.push({ before, after });
    return after;
  };
  const through = (value: unknown, name: string, inWords: boolean): unknown => {
    if (typeof value === 'string') return inWords ? replaced(value) : value;
    if (Array.isArray(value)) return value.map((entry) => through(entry, name, inWords));
    // The words of a formula are what it is spoken as.
    if (value === null || typeof value !== 'object' || 'formula' in value) return value;
    return Object.fromEntries(
      Object.entries(value).map(([field, inner]) => [
        field,
        through(inner, field, WORDS.has(field) || (name === 'accept' && Array.isArray(inner))),
      ]),
    );
  };
  const changed = through(question, '', false) as Question;
  return { step: places.length > 0 ? difference(question, changed) : [], places };
}
