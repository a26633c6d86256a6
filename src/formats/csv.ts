import Papa from 'papaparse';

export type Cell = string | number | null;

/**
 * A table as CSV (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe before it, so that a learner's name cannot
 * run in a teacher's spreadsheet (OWASP, CSV injection).
 */
export function stringify(head: readonly string[], rows: readonly (readonly Cell[])[]): string {
  return `${Papa.unparse({ fields: [...head], data: rows.map((row) => [...row]) }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
