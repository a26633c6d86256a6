/** How wide a text is in one line. */
export type WidthOf = (text: string) => number;

/**
 * How many lines a text takes in a width, in the unit of its widths: broken between words, and inside a word only where
 * it is wider than a line.
 */
export function linesIn(text: string, widthOf: WidthOf, width: number): number {
  return text.split('\n').reduce((lines, paragraph) => lines + paragraphLines(paragraph, widthOf, width), 0);
}

function paragraphLines(text: string, widthOf: WidthOf, width: number): number {
  const space = widthOf(' ');
  let lines = 1;
  let used = 0;
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const wide = widthOf(word);
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
