import { linesIn } from './lines';
import { ASCII, LATIN, OTHERS } from './widths';

/** What a character of another script is taken to need: a full width, as in Chinese. */
const UNKNOWN = 1000;

/** In which letters a text stands: their size, and how wide a face's characters from U+0020 on are (0: not drawn). */
export interface Font {
  readonly size: number;
  /** Thousandths of the size; absent: the page's own letters. */
  readonly advances?: readonly number[] | undefined;
}

const FIRST = 0x20;

/**
 * The width of a text in a font, in the unit of its size; a size alone: in the item font. Kerning is left out, which
 * makes texts wider rather than narrower.
 */
export function textWidth(text: string, font: Font | number): number {
  const { size, advances }: Font = typeof font === 'number' ? { size: font } : font;
  let thousandths = 0;
  for (const character of text) {
    const code = character.codePointAt(0) as number;
    if (/\p{M}/u.test(character)) continue;
    thousandths += advances?.[code - FIRST] || (ASCII[code - FIRST] ?? LATIN[code - 0xa0] ?? OTHERS[code] ?? UNKNOWN);
  }
  return (thousandths * size) / 1000;
}

/**
 * How many lines a text takes in a width: broken between words, and inside a word only where it is wider than a line.
 */
export const linesNeeded = (text: string, font: Font | number, width: number): number =>
  linesIn(text, (words) => textWidth(words, font), width);
