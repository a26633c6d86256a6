import { isUsername, normalUsername, USERNAME_RULE } from '../core';
import { parse } from './csv';

/** A learner as a line of a pasted or imported roster names them. */
export interface RosterLine {
  /** From 1, as an editor counts lines. */
  readonly line: number;
  readonly name: string;
  readonly username: string;
  /** Empty: a password is made. */
  readonly password: string;
  readonly groups: readonly string[];
}
export interface LineProblem {
  readonly line: number;
  readonly message: string;
}

const COLUMNS = {
  name: ['name', 'learner', 'full name'],
  username: ['user name', 'username', 'user'],
  password: ['password', 'first password'],
  groups: ['group', 'groups'],
} as const;
type Column = keyof typeof COLUMNS;
const ORDER: readonly Column[] = ['name', 'username', 'password', 'groups'];
const SHORTEST = 8;
const MAX_LINES = 5000;

/**
 * Reads a roster: comma, semicolon or tab between the columns, a first line of headings where there is one, else name,
 * user name, password, groups (several of them with `|` between). A line that cannot be taken is a problem with its
 * number; the others are.
 */
export function readRoster(text: string): {
  readonly lines: readonly RosterLine[];
  readonly problems: readonly LineProblem[];
} {
  const rows = parse(text);
  const [first] = rows;
  const headings = first && headingsOf(first.cells);
  const order = headings ?? ORDER;
  const lines: RosterLine[] = [];
  const problems: LineProblem[] = [];
  const seen = new Map<string, number>();
  for (const { line, cells } of headings ? rows.slice(1) : rows) {
    if (cells.every((cell) => cell.trim() === '')) continue;
    if (lines.length + problems.length >= MAX_LINES) {
      problems.push({ line, message: `At most ${MAX_LINES} lines are taken at once.` });
      break;
    }
    const of = (column: Column) => cells[order.indexOf(column)]?.trim() ?? '';
    const read = {
      line,
      // A cell may have line breaks in it; a name has none.
      name: of('name').replace(/\p{Cc}+/gu, ' '),
      username: of('username'),
      password: of('password'),
      groups: of('groups')
        .split('|')
        .flatMap((group) => group.trim() || []),
    };
    const before = seen.get(normalUsername(read.username));
    const wrong =
      whatIsWrong(read) ??
      (before === undefined ? null : `The user name “${read.username}” stands in line ${before} too.`);
    if (wrong) problems.push({ line, message: wrong });
    else {
      lines.push(read);
      seen.set(normalUsername(read.username), line);
    }
  }
  return { lines, problems };
}

function headingsOf(cells: readonly string[]): (Column | null)[] | null {
  const named = cells.map(
    (cell) =>
      ORDER.find((column) => (COLUMNS[column] as readonly string[]).includes(cell.trim().toLowerCase())) ?? null,
  );
  return named.includes('username') ? named : null;
}

function whatIsWrong({ name, username, password, groups }: RosterLine): string | null {
  if (username === '') return 'There is no user name.';
  if (!isUsername(username)) return `The user name “${username.slice(0, 60)}” cannot be taken: ${USERNAME_RULE}.`;
  if (name.length > 100) return 'The name is longer than 100 characters.';
  if (password !== '' && password.length < SHORTEST) return `The password has fewer than ${SHORTEST} characters.`;
  if (password.length > 200) return 'The password is longer than 200 characters.';
  if (groups.some((group) => group.length > 100)) return 'The name of a group is longer than 100 characters.';
  return null;
}
