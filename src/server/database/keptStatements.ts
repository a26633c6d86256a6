import Database from 'libsql';
import { LRUCache } from 'lru-cache';

/** Statements that one connection keeps: more than the application often asks. */
const MAX_STATEMENTS = 400;
/** Longer ones are made for one request: many rows, with a placeholder for each value. */
const MAX_CHARACTERS = 8_000;
/** What reads or writes rows. Anything else may change the tables, and with them what a statement answers. */
const OF_ROWS = /^\s*(?:select|insert|update|delete|with|begin|commit|rollback|savepoint|release)\b/i;

type Statement = ReturnType<Database.Database['prepare']>;

const RETURNS_NOTHING = new TypeError('This statement returns no rows');

/** Asks once what does not change, and takes itself off its list when it fails. */
function keptFrom(statement: Statement, drop: () => void): Statement {
  statement.safeIntegers(true);
  statement.safeIntegers = () => statement;
  if (statement.reader) {
    statement.raw(true);
    const columns = statement.columns();
    Object.assign(statement, { raw: () => statement, columns: () => columns });
  } else {
    // So the client finds out that there are no rows; an error that is made each time costs more than the statement.
    statement.raw = () => {
      throw RETURNS_NOTHING;
    };
  }
  const dropped =
    <Args extends unknown[], T>(work: (...args: Args) => T) =>
    (...args: Args): T => {
      try {
        return work(...args);
      } catch (error) {
        drop();
        throw error;
      }
    };
  const [run, all] = [statement.run.bind(statement), statement.all.bind(statement)];
  return Object.assign(statement, { run: dropped(run), all: dropped(all) });
}

let keeps = false;

/**
 * Makes each connection keep the statements that it has prepared. The libSQL client prepares every statement anew, which
 * takes longer than most of ours take to run. It runs one statement after another and reads all rows of each, so that a
 * kept one is never in the middle of something.
 */
export function keepStatements(): void {
  if (keeps) return;
  keeps = true;
  const prepare = Database.prototype.prepare as (sql: string) => Statement;
  const kept = new WeakMap<object, LRUCache<string, Statement>>();
  Database.prototype.prepare = function keeping(this: Database.Database, sql: string): Statement {
    if (!OF_ROWS.test(sql)) {
      kept.delete(this);
      return prepare.call(this, sql);
    }
    if (sql.length > MAX_CHARACTERS) return prepare.call(this, sql);
    const own = kept.get(this) ?? new LRUCache<string, Statement>({ max: MAX_STATEMENTS });
    kept.set(this, own);
    const known = own.get(sql);
    if (known) return known;
    const statement = keptFrom(prepare.call(this, sql), () => own.delete(sql));
    own.set(sql, statement);
    return statement;
  } as typeof Database.prototype.prepare;
}
