import { ASCII, LATIN, OTHERS } from './widths';

/** What a character of another script is taken to need: a full width, as in Chinese. */
const UNKNOWN = 1000;

/**
 * The width of a text in the item font at a size, in the unit of the size. Kerning is left out, which makes texts wider
 * rather than narrower.
 */
export function textWidth(text: string, fontSize: number): number {
  let thousandths = 0;
  for (const character of text) {
    const code = character.codePointAt(0) as number;
    if (/\p{M}/u.test(character)) continue;
    thousandths += ASCII[code - 0x20] ?? LATIN[code - 0xa0] ?? OTHERS[code] ?? UNKNOWN;
  }
  return (thousandths * fontSize) / 1000;
}

/**
 * How many lines a text takes in a width: broken between words, and inside a word only where it is wider than a line.
 */
export function linesNeeded(text: string, fontSize: number, width: number): number {
  return text.split('\n').reduce((lines, paragraph) => lines + paragraphLines(paragraph, fontSize, width), 0);
}

function paragraphLines(text: string, fontSize: number, width: number): number {
  const space = textWidth(' ', fontSize);
  let lines = 1;
  let used = 0;
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const wide = textWidth(word, fontSize);
    if (used > 0 && used + space + wide > width) {
      lines++;
      used = 0;
    }
    used += (used > 0 ? space : 0) + wide;
    if (used > width) {
      lines += Math.ceil(used / width) - 1;
      used %= width;
    }
  }
  return lines;
}
