import { strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { FILES, type FileOut, OUT, VERSION } from './tables';

export type Cells = Readonly<Record<string, string | number | boolean | null>>;
/** The lines of the files that go out; a file that is left out is absent. */
export type RosterOut = Readonly<Partial<Record<FileOut, readonly Cells[]>>>;

/** A table as RFC 4180 has it. Values stand exactly: nothing is put before what a spreadsheet takes for a formula. */
const csv = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { newline: '\r\n' })}\r\n`;

/** The time that parts of a zip carry: the same content is the same file. */
const WRITTEN = new Date('2020-01-01T00:00:00Z');

/** A package of bulk files, as the bytes of a zip. `system`: who writes it. */
export function writeOneRoster(out: RosterOut, system: { readonly name: string; readonly code: string }): Uint8Array {
  const names = (Object.keys(OUT) as FileOut[]).filter((name) => out[name] !== undefined);
  const files = names.map((name): [string, Uint8Array] => {
    const columns = OUT[name].map((column) => column.name);
    const rows = (out[name] ?? []).map((cells) => columns.map((column) => cells[column] ?? ''));
    return [`${name}.csv`, strToU8(csv(columns, rows))];
  });
  const properties = [
    ['manifest.version', '1.0'],
    ['oneroster.version', VERSION],
    ...FILES.map((name) => [`file.${name}`, (names as string[]).includes(name) ? 'bulk' : 'absent']),
    ['source.systemName', system.name],
    ['source.systemCode', system.code],
  ];
  const manifest = csv(['propertyName', 'value'], properties);
  return zipSync(Object.fromEntries([['manifest.csv', strToU8(manifest)], ...files]), { mtime: WRITTEN });
}
