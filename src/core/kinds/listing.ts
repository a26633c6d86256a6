/** What was pasted, as far as its form tells: lines under headings, and the cells of each line. */
export interface Listing {
  /** Lines in their order, each with its cells (one where the text is no table). */
  readonly rows: readonly (readonly string[])[];
  /** Lines under headings; null: there are none. A line stands under the last heading before it. */
  readonly groups: readonly Group[] | null;
  /** The whole of it, as it was, without white space around it. */
  readonly text: string;
  /** A table of two columns: is its first line a heading, and no entry? Null: no such table. */
  readonly headed: boolean | null;
  /** Lines that begin with a star, where others do not: by their place among the lines. */
  readonly starred: ReadonlySet<number>;
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
export function readListing(pasted: string, headed: boolean | null = null): Listing {
  const text = pasted.replace(/\r\n?/g, '\n').trim();
  const lines = text.split('\n');
  const filled = lines.filter((line) => line.trim() !== '');
  const table = (rows: readonly (readonly string[])[]): Listing => tableOf(rows, text, headed);
  if (filled.some((line) => line.includes('\t'))) return table(filled.map((line) => line.split('\t').map(tidy)));
  const byComma = filled.map((line) => commaCells(line).map(tidy));
  const width = byComma[0]?.length ?? 0;
  if (
    filled.length > 1 &&
    width > 1 &&
    byComma.every((cells) => cells.length === width && cells.every((cell) => cell.length <= MAX_IN_CELL))
  )
    return table(byComma);
  const entries = filled.map((line) => tidy(withoutBullet(line)));
  const starred = filled.flatMap((line, i) => (/^\s*\*/.test(line) ? [i] : []));
  return {
    rows: entries.map((entry) => [entry]),
    groups: underHeadings(lines),
    text,
    headed: null,
    starred: new Set(starred.length < filled.length ? starred : []),
  };
}

/** What stands over a second column to say what it is. */
const HEADING =
  /^(groups?|categor(y|ies)|zones?|places?|types?|kinds?|class(es)?|answers?|names?|words?|terms?|where|belongs?( (to|in))?)$/i;

/** A longer cell is a sentence, and its commas are its own. */
const MAX_IN_CELL = 60;

function underHeadings(lines: readonly string[]): Group[] | null {
  const isHeading = (line: string) => /:\s*$/.test(line);
  const starts = lines.some(isHeading) ? isHeading : blockStarts(lines);
  if (!starts) return null;
  const groups: { heading: string; entries: string[] }[] = [];
  lines.forEach((line, i) => {
    if (line.trim() === '') return;
    if (starts(line, i)) groups.push({ heading: withoutColon(tidy(line)), entries: [] });
    else groups.at(-1)?.entries.push(tidy(withoutBullet(line)));
  });
  return groups.length > 0 ? groups : null;
}

const withoutColon = (heading: string) => (heading.endsWith(':') ? heading.slice(0, -1).trimEnd() : heading);

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
 * under their first line. `headed` null: what its first line looks like.
 */
function tableOf(all: readonly (readonly string[])[], text: string, headed: boolean | null): Listing {
  const two = all.length > 1 && all.every((cells) => cells.length === 2 && cells.every((cell) => cell !== ''));
  const second = all[0]?.[1] ?? '';
  const looksHeaded = HEADING.test(second) && !all.slice(1).some((cells) => cells[1] === second);
  const isHeaded = two && (headed ?? looksHeaded);
  const rows = isHeaded ? all.slice(1) : all;
  const listing = { rows, text, headed: two ? isHeaded : null, starred: new Set<number>() };
  const pairs = rows.filter((cells) => (cells[0] ?? '') !== '' && (cells[1] ?? '') !== '');
  const names = [...new Set(pairs.map((cells) => cells[1] as string))];
  if (pairs.length === rows.length && rows.every((cells) => cells.length === 2) && names.length < pairs.length)
    return {
      ...listing,
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
  const isGrouped = !isHeaded && groups.every(({ heading, entries }) => heading !== '' && entries.length > 0);
  return { ...listing, groups: isGrouped ? groups : null };
}
