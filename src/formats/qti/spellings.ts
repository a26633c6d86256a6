import type { Question } from '../../core';

type Rules = Pick<NonNullable<Question['zones'][number]['typed']>, 'case' | 'accents'>;

/** Combining marks, as far as they stand in blocks of their own. */
const MARKS = [
  '[\u0300-\u036f\u0483-\u0489\u0591-\u05bd\u064b-\u065f',
  '\u1ab0-\u1aff\u1dc0-\u1dff\u20d0-\u20ff\ufe20-\ufe2f]',
].join('');
const SPACE = '\\s*';
/** A text that is not only white space. */
export const anyWords = '\\s*\\S[\\s\\S]*';

const plainBy =
  ({ case: minds, accents }: Rules) =>
  (text: string) => {
    const bare = accents ? text.normalize('NFC') : text.normalize('NFD').replace(/\p{M}/gu, '').normalize('NFC');
    return minds ? bare : bare.toLowerCase();
  };

const LAST = 0xffff;
const isSurrogate = (code: number) => code >= 0xd800 && code <= 0xdfff;
const known = new Map<string, ReadonlyMap<string, readonly string[]>>();

/** The characters of the first plane that count as the same, by what they are read as. */
function alikeBy(rules: Rules): ReadonlyMap<string, readonly string[]> {
  const key = `${rules.case} ${rules.accents}`;
  const there = known.get(key);
  if (there) return there;
  const plain = plainBy(rules);
  const alike = new Map<string, string[]>();
  for (let code = 0x20; code <= LAST; code++) {
    if (isSurrogate(code)) continue;
    const character = String.fromCharCode(code);
    const read = plain(character);
    if (read === '') continue;
    const others = alike.get(read);
    if (others) others.push(character);
    else alike.set(read, [character]);
  }
  known.set(key, alike);
  return alike;
}

/** A character of a regular expression of XML Schema (part 2, appendix F); `$` has no escape there. */
const escaped = (character: string) =>
  /[\\|.?*+(){}[\]^-]/.test(character) ? `\\${character}` : character === '$' ? '[$]' : character;
const inClass = (character: string) => (/[\\[\]^-]/.test(character) ? `\\${character}` : character);

/**
 * A regular expression for the texts that a typed zone reads as a spelling: trimmed, and with letters of either case,
 * with and without accents as the zone's rules say. Slips are not in it.
 */
export function patternOf(spelling: string, rules: Rules): string {
  const alike = alikeBy(rules);
  const marks = rules.accents ? '' : `${MARKS}*`;
  const letters = [...plainBy(rules)(spelling.trim())].map((character) => {
    const same = alike.get(character) ?? [character];
    // A composed letter may be typed in parts.
    const inParts = rules.accents
      ? [...new Set(same.map((one) => one.normalize('NFD')).filter((one) => [...one].length > 1))]
      : [];
    const whole = same.length === 1 ? escaped(same[0] as string) : `[${same.map(inClass).join('')}]`;
    const either =
      inParts.length > 0 ? `(${[whole, ...inParts.map((one) => [...one].map(escaped).join(''))].join('|')})` : whole;
    return `${either}${marks}`;
  });
  return `${SPACE}${marks}${letters.join('')}${SPACE}`;
}
