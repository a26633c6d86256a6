import Papa from 'papaparse';
import { readZip } from '../zip';
import { type Column, type FileIn, IN, VERSION } from './tables';

export type { FileIn } from './tables';

/** A fault in a package: the file, its line (the header is line 1), and the column; null: of the whole line or file. */
export interface RosterProblem {
  readonly file: string;
  readonly line: number | null;
  readonly column: string | null;
  readonly message: string;
}

/** A line of a file: what stands in its columns, trimmed of nothing. */
export interface RosterRow {
  readonly line: number;
  readonly values: Readonly<Record<string, string>>;
  /** Delta files alone: it is taken away. */
  readonly goes: boolean;
}

export interface RosterFile {
  readonly mode: 'bulk' | 'delta';
  /** Without those at fault. */
  readonly rows: readonly RosterRow[];
}

export interface RosterPackage {
  /** Who wrote it; null: the manifest does not say. */
  readonly source: string | null;
  readonly files: Readonly<Partial<Record<FileIn, RosterFile>>>;
  readonly problems: readonly RosterProblem[];
}

const LIMITS = { bytes: 200 * 1024 * 1024, files: 60 };
const MAX_ROWS = 200_000;
const MANIFEST = 'manifest.csv';
const NAMES = Object.keys(IN) as FileIn[];

/** Reads an untrusted package from the bytes of its zip. Problems are said; what has none is read all the same. */
export function readOneRoster(chunks: Iterable<Uint8Array>): RosterPackage {
  const texts = new Map<string, string>();
  const fault = readZip(chunks, LIMITS, (name) => {
    if (name !== MANIFEST && !NAMES.some((file) => name === `${file}.csv`)) return null;
    // A character of several bytes may be cut by a chunk.
    const decoder = new TextDecoder('utf-8', { fatal: false });
    texts.set(name, '');
    return (bytes) => void texts.set(name, (texts.get(name) ?? '') + decoder.decode(bytes, { stream: true }));
  });
  const whole = (file: string, message: string): RosterPackage => ({
    ...{ source: null, files: {} },
    problems: [{ file, line: null, column: null, message }],
  });
  if (fault !== null) return whole('', fault);
  const manifest = texts.get(MANIFEST);
  if (manifest === undefined) return whole(MANIFEST, 'It is missing: this is no package of OneRoster.');
  return readTexts(propertiesIn(manifest), texts);
}

/** A manifest: a property and its value on each line, under a header. */
function propertiesIn(text: string): ReadonlyMap<string, string> {
  const [, ...rows] = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' }).data;
  return new Map(rows.map(([name = '', value = '']) => [name.trim(), value.trim()]));
}

function readTexts(properties: ReadonlyMap<string, string>, texts: ReadonlyMap<string, string>): RosterPackage {
  const problems: RosterProblem[] = [];
  const version = properties.get('oneroster.version') ?? '';
  if (version !== VERSION)
    problems.push({
      ...{ file: MANIFEST, line: null, column: 'oneroster.version' },
      message: version === '' ? 'It is missing.' : `Version ${version} is not read here, but ${VERSION}.`,
    });
  const files: Partial<Record<FileIn, RosterFile>> = {};
  for (const name of NAMES) {
    const mode = properties.get(`file.${name}`) ?? 'absent';
    const text = texts.get(`${name}.csv`);
    if (mode === 'bulk' || mode === 'delta') {
      if (text === undefined)
        problems.push({
          ...{ file: `${name}.csv`, line: null, column: null },
          message: `The manifest says that it is there (${mode}), and it is not.`,
        });
      else files[name] = { mode, rows: rowsIn(name, mode, text, problems) };
    } else if (mode !== 'absent')
      problems.push({
        ...{ file: MANIFEST, line: null, column: `file.${name}` },
        message: `“${mode}” is neither bulk, delta nor absent.`,
      });
    else if (text !== undefined)
      problems.push({
        ...{ file: `${name}.csv`, line: null, column: null },
        message: 'It is there, and the manifest says that it is absent.',
      });
  }
  const source = properties.get('source.systemCode') ?? '';
  return { source: source === '' ? null : source, files, problems };
}

function rowsIn(name: FileIn, mode: 'bulk' | 'delta', text: string, problems: RosterProblem[]): RosterRow[] {
  const file = `${name}.csv`;
  const say = (line: number | null, column: string | null, message: string) =>
    problems.push({ file, line, column, message });
  const columns: readonly Column[] = IN[name];
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter: ',' });
  const [header = [], ...body] = data;
  const names = header.map((cell) => cell.trim());
  const lacking = columns.filter((column) => column.needed && !names.includes(column.name));
  for (const column of lacking) say(1, column.name, 'This column is missing.');
  for (const [i, twice] of names.entries()) if (names.indexOf(twice) < i) say(1, twice, 'This column stands twice.');
  if (lacking.length > 0) return [];
  const rows: RosterRow[] = [];
  const seen = new Map<string, number>();
  let line = 1 + newlinesIn(header);
  for (const cells of body) {
    line++;
    const at = line;
    line += newlinesIn(cells);
    if (cells.every((cell) => cell.trim() === '')) continue;
    if (rows.length >= MAX_ROWS) {
      say(at, null, `A file may have ${MAX_ROWS} lines at most.`);
      break;
    }
    if (cells.length !== names.length) {
      say(at, null, `This line has ${cells.length} cells, and the header ${names.length}.`);
      continue;
    }
    const values = Object.fromEntries(names.map((column, i) => [column, cells[i] ?? '']));
    const faults = columns.flatMap((column) => {
      const message = faultIn(column, values[column.name] ?? '');
      return message === null ? [] : [{ column: column.name, message }];
    });
    const { sourcedId = '', status = '' } = values;
    if (mode === 'delta' && status === '') faults.push({ column: 'status', message: 'A delta file needs it.' });
    if (mode === 'bulk' && status === 'tobedeleted')
      faults.push({ column: 'status', message: 'It has no place in a bulk file.' });
    const before = seen.get(sourcedId);
    if (before !== undefined) faults.push({ column: 'sourcedId', message: `It stands on line ${before} too.` });
    seen.set(sourcedId, before ?? at);
    for (const { column, message } of faults) say(at, column, message);
    if (faults.length === 0) rows.push({ line: at, values, goes: status === 'tobedeleted' || status === 'inactive' });
  }
  return rows;
}

const newlinesIn = (cells: readonly string[]): number =>
  cells.reduce((all, cell) => all + (cell.match(/\r\n|\r|\n/g)?.length ?? 0), 0);

/** What is wrong with a value; null: nothing. */
function faultIn({ values, needed }: Column, text: string): string | null {
  if (text === '') return needed ? 'It may not be empty.' : null;
  switch (values) {
    case 'text':
      return text.length > 1000 ? 'It is longer than 1000 characters.' : null;
    case 'id':
      return idFault(text);
    case 'ids':
      return text.split(',').reduce<string | null>((found, id) => found ?? idFault(id.trim()), null);
    case 'date':
      return isDate(text) ? null : 'It is no date as in 2026-09-01.';
    case 'boolean':
      return text === 'true' || text === 'false' ? null : 'It is neither true nor false.';
    case 'number':
      return Number.isFinite(Number(text)) ? null : 'It is no number.';
    default:
      return values.includes(text) ? null : `It is none of ${values.join(', ')}.`;
  }
}

const idFault = (text: string): string | null =>
  /^[A-Za-z0-9._/@-]{1,255}$/.test(text)
    ? null
    : 'An id has up to 255 letters, digits and the signs . - _ / @ and nothing else.';

function isDate(text: string): boolean {
  if (!/^\d{4}-\d\d-\d\d$/.test(text)) return false;
  const at = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(at.getTime()) && at.toISOString().slice(0, 10) === text;
}
