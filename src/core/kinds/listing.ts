/** What was pasted, as far as its form tells: lines under headings, and the cells of each line. */
export interface Listing {
  /** Lines in their order, each with its cells (one where the text is no table). */
  readonly rows: readonly (readonly string[])[];
  /** Lines under headings; null: there are none. A line stands under the last heading before it. */
  readonly groups: readonly Group[] | null;
  /** The whole of it, as it was, without white space around it. */
  readonly text: string;
}
export interface Group {
  readonly heading: string;
  readonly entries: readonly string[];
}

const tidy = (cell: string) => cell.trim().replace(/\s+/g, ' ');
/** A number, a letter or a dash before an entry of a list says only that it is one. */
const withoutBullet = (line: string) => line.replace(/^\s*(?:[-–•·*]|\d{1,3}[.)]|[a-zA-Z][.)])\s+/, '');

/** Cells of a line of comma-separated values, as RFC 4180 has them: quoted where they hold a comma, a quote doubled. */
function commaCells(line: string): string[] {
  const cells: string[] = [];
  for (const [, quoted, plain] of line.matchAll(/(?:^|,)(?:\s*"((?:[^"]|"")*)"\s*|([^,]*))/g))
    cells.push(quoted === undefined ? (plain ?? '') : quoted.replaceAll('""', '"'));
  return cells;
}

/**
 * Reads a list or a table: cells parted by tabs (as a spreadsheet copies them) or, where every line has as many, by
 * commas; headings are lines that end with a colon, or the first lines of blocks that empty lines part.
 */
export function readListing(pasted: string): Listing {
  const text = pasted.replace(/\r\n?/g, '\n').trim();
  const lines = text.split('\n');
  const filled = lines.filter((line) => line.trim() !== '');
  if (filled.some((line) => line.includes('\t')))
    return table(
      filled.map((line) => line.split('\t').map(tidy)),
      text,
    );
  const byComma = filled.map((line) => commaCells(line).map(tidy));
  const width = byComma[0]?.length ?? 0;
  if (
    filled.length > 1 &&
    width > 1 &&
    byComma.every((cells) => cells.length === width && cells.every((cell) => cell.length <= MAX_IN_CELL))
  )
    return table(byComma, text);
  const entries = filled.map((line) => tidy(withoutBullet(line)));
  return { rows: entries.map((entry) => [entry]), groups: headed(lines), text };
}

/** A longer cell is a sentence, and its commas are its own. */
const MAX_IN_CELL = 60;

function headed(lines: readonly string[]): Group[] | null {
  const isHeading = (line: string) => /:\s*$/.test(line);
  const starts = lines.some(isHeading) ? isHeading : blockStarts(lines);
  if (!starts) return null;
  const groups: { heading: string; entries: string[] }[] = [];
  lines.forEach((line, i) => {
    if (line.trim() === '') return;
    if (starts(line, i)) groups.push({ heading: tidy(line).replace(/(?<!\s)\s*:$/, ''), entries: [] });
    else groups.at(-1)?.entries.push(tidy(withoutBullet(line)));
  });
  return groups.length > 0 ? groups : null;
}

/** Is a line the first of its block, where there are two blocks or more, each of two lines or more? */
function blockStarts(lines: readonly string[]): ((line: string, i: number) => boolean) | null {
  const starts = new Set(
    lines.flatMap((line, i) => (line.trim() !== '' && (lines[i - 1] ?? '').trim() === '' ? [i] : [])),
  );
  const alone = [...starts].some((i) => (lines[i + 1] ?? '').trim() === '');
  return starts.size < 2 || alone ? null : (_, i) => starts.has(i);
}

/**
 * A table whose second column is few names for many lines says to which each line belongs; else its columns are groups
 * under their first line.
 */
function table(rows: readonly (readonly string[])[], text: string): Listing {
  const pairs = rows.filter((cells) => (cells[0] ?? '') !== '' && (cells[1] ?? '') !== '');
  const names = [...new Set(pairs.map((cells) => cells[1] as string))];
  if (pairs.length === rows.length && rows.every((cells) => cells.length === 2) && names.length < pairs.length)
    return {
      rows,
      text,
      groups: names.map((heading) => ({
        heading,
        entries: pairs.filter((cells) => cells[1] === heading).map((cells) => cells[0] as string),
      })),
    };
  const [head = [], ...body] = rows;
  const groups = head.map((heading, column) => ({
    heading,
    entries: body.map((cells) => cells[column] ?? '').filter((cell) => cell !== ''),
  }));
  return {
    rows,
    text,
    groups: groups.some(({ heading, entries }) => heading === '' || entries.length === 0) ? null : groups,
  };
}
