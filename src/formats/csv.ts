import Papa from 'papaparse';

export type Cell = string | number | null;

/** The characters that start a formula in a spreadsheet, the full-width ones too. */
const FORMULA = /^[=+\-@\t\r\n\uFF1D\uFF0B\uFF0D\uFF20]/;

/**
 * A table as CSV (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it, so that a
 * learner's name cannot run in a teacher's spreadsheet (OWASP, CSV injection).
 */
export function stringify(head: readonly string[], rows: readonly (readonly Cell[])[]): string {
  return `${Papa.unparse({ fields: [...head], data: rows.map((row) => [...row]) }, { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}

/** One line of a table that is written line by line. */
export const csvLine = (cells: readonly Cell[]): string =>
  `${Papa.unparse([[...cells]], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;

export interface Row {
  /** The number of its first line, from 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** Reads a table: comma, tab or semicolon between the cells, whichever it is, and quotes as RFC 4180 has them. */
export function parse(text: string): Row[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimitersToGuess: [',', '\t', ';'] });
  let line = 1;
  return data.map((cells) => {
    const row = { line, cells };
    line += 1 + cells.reduce((all, cell) => all + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
    return row;
  });
}
