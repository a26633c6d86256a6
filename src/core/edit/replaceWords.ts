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
const ESCAPED = /[.*+?^${}()|[\]\\]/g;

function patternOf({ find, wholeWords, matchCase }: Replacing): RegExp {
  const plain = find.replace(ESCAPED, '\\$&');
  // By letters of any script: \b knows those of English alone.
  const whole = wholeWords ? `(?<![\\p{L}\\p{N}])${plain}(?![\\p{L}\\p{N}])` : plain;
  return new RegExp(whole, matchCase ? 'gu' : 'giu');
}

/** The words of a question replaced wherever they stand, spellings of typed answers too: the step, and each place. */
export function replaceWords(question: Question, replacing: Replacing): { step: Step; places: Replaced[] } {
  if (replacing.find === '') return { step: [], places: [] };
  const pattern = patternOf(replacing);
  const places: Replaced[] = [];
  const replaced = (before: string): string => {
    const after = before.replace(pattern, () => replacing.to);
    if (after !== before) places.push({ before, after });
    return after;
  };
  const through = (value: unknown, name: string, inWords: boolean): unknown => {
    if (typeof value === 'string') return inWords ? replaced(value) : value;
    if (Array.isArray(value)) return value.map((entry) => through(entry, name, inWords));
    if (value === null || typeof value !== 'object') return value;
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
