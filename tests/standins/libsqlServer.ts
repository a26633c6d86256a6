import { randomUUID } from 'node:crypto';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import Database from 'libsql';

/**
 * A stand-in for a libSQL server: its HTTP protocol (Hrana 2, JSON) over one SQLite file, one connection and one
 * transaction at a time. Enough to hold the application's path to a server; no replication, no cursors, no describe.
 */
type Value =
  | { type: 'null' }
  | { type: 'integer'; value: string }
  | { type: 'float'; value: number }
  | { type: 'text'; value: string }
  | { type: 'blob'; base64: string };
interface Stmt {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  named_args?: { name: string; value: Value }[];
}
type Cond =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Cond }
  | { type: 'and' | 'or'; conds: Cond[] }
  | { type: 'is_autocommit' };
type Asked =
  | { type: 'execute'; stmt: Stmt }
  | { type: 'batch'; batch: { steps: { stmt: Stmt; condition?: Cond }[] } }
  | { type: 'sequence'; sql?: string; sql_id?: number }
  | { type: 'store_sql'; sql_id: number; sql: string }
  | { type: 'close_sql'; sql_id: number }
  | { type: 'get_autocommit' }
  | { type: 'close' };

interface Stream {
  readonly texts: Map<number, string>;
}

const toSql = (value: Value): unknown => {
  switch (value.type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(value.value);
    case 'blob':
      return Buffer.from(value.base64, 'base64');
    default:
      return value.value;
  }
};
const fromSql = (value: unknown): Value => {
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'bigint') return { type: 'integer', value: String(value) };
  if (typeof value === 'number') return { type: 'float', value };
  if (typeof value === 'string') return { type: 'text', value };
  return { type: 'blob', base64: Buffer.from(value as Uint8Array).toString('base64') };
};

export interface LibsqlServer {
  readonly url: string;
  readonly requests: () => number;
  close(): Promise<void>;
}

export async function libsqlServer(file: string, authToken: string): Promise<LibsqlServer> {
  const db = new Database(file);
  db.exec('PRAGMA journal_mode=WAL; PRAGMA foreign_keys=ON');
  const streams = new Map<string, Stream>();
  /** The stream whose transaction is open; others wait for it to end. */
  let holder: Stream | null = null;
  let freed: (() => void)[] = [];
  let count = 0;

  const execute = (stream: Stream, stmt: Stmt) => {
    const statement = db.prepare(stmt.sql ?? stream.texts.get(stmt.sql_id ?? -1) ?? '');
    statement.safeIntegers(true);
    const named = Object.fromEntries(
      (stmt.named_args ?? []).map(({ name, value }) => [name.replace(/^[:@$]/, ''), toSql(value)]),
    );
    const args = stmt.named_args?.length ? [named] : (stmt.args ?? []).map(toSql);
    if (!statement.reader) {
      const { changes, lastInsertRowid } = statement.run(...args);
      return { cols: [], rows: [], affected_row_count: Number(changes), last_insert_rowid: String(lastInsertRowid) };
    }
    const cols = statement.columns().map(({ name, type }) => ({ name, decltype: type }));
    const rows = statement.raw(true).all(...args) as unknown[][];
    return { cols, rows: rows.map((row) => row.map(fromSql)), affected_row_count: 0, last_insert_rowid: null };
  };

  const errorOf = (error: unknown) => ({
    message: (error as Error).message,
    code: (error as { code?: string }).code ?? 'SQLITE_ERROR',
  });

  const batch = (stream: Stream, steps: { stmt: Stmt; condition?: Cond }[]) => {
    const results: unknown[] = [];
    const errors: unknown[] = [];
    const holds = (cond: Cond): boolean => {
      switch (cond.type) {
        case 'ok':
          return results[cond.step] != null;
        case 'error':
          return errors[cond.step] != null;
        case 'not':
          return !holds(cond.cond);
        case 'and':
          return cond.conds.every(holds);
        case 'or':
          return cond.conds.some(holds);
        case 'is_autocommit':
          return !db.inTransaction;
      }
    };
    for (const { stmt, condition } of steps) {
      let result: unknown = null;
      let error: unknown = null;
      if (!condition || holds(condition))
        try {
          result = execute(stream, stmt);
        } catch (thrown) {
          error = errorOf(thrown);
        }
      results.push(result);
      errors.push(error);
    }
    return { step_results: results, step_errors: errors };
  };

  const answer = (stream: Stream, asked: Asked): unknown => {
    switch (asked.type) {
      case 'execute':
        return { type: 'execute', result: execute(stream, asked.stmt) };
      case 'batch':
        return { type: 'batch', result: batch(stream, asked.batch.steps) };
      case 'sequence':
        db.exec(asked.sql ?? stream.texts.get(asked.sql_id ?? -1) ?? '');
        return { type: 'sequence' };
      case 'store_sql':
        stream.texts.set(asked.sql_id, asked.sql);
        return { type: 'store_sql' };
      case 'close_sql':
        stream.texts.delete(asked.sql_id);
        return { type: 'close_sql' };
      case 'get_autocommit':
        return { type: 'get_autocommit', is_autocommit: holder !== stream };
      case 'close':
        if (holder === stream && db.inTransaction) db.exec('ROLLBACK');
        return { type: 'close' };
    }
  };

  const pipeline = async (body: { baton?: string; requests: Asked[] }) => {
    const stream = (body.baton && streams.get(body.baton)) || { texts: new Map() };
    if (body.baton) streams.delete(body.baton);
    while (holder && holder !== stream) await new Promise<void>((resolve) => freed.push(resolve));
    const results = body.requests.map((asked) => {
      try {
        return { type: 'ok', response: answer(stream, asked) };
      } catch (error) {
        return { type: 'error', error: errorOf(error) };
      }
    });
    holder = db.inTransaction ? stream : null;
    if (!holder) {
      const waiting = freed;
      freed = [];
      for (const go of waiting) go();
    }
    const closed = body.requests.some(({ type }) => type === 'close');
    const baton = closed ? null : randomUUID();
    if (baton) streams.set(baton, stream);
    return { baton, base_url: null, results };
  };

  const server = http.createServer(async (request, response) => {
    count++;
    if (request.headers.authorization !== `Bearer ${authToken}`) {
      response.writeHead(401).end('{"message":"unauthorized"}');
      return;
    }
    if (request.method !== 'POST' || request.url !== '/v2/pipeline') {
      response.writeHead(404).end();
      return;
    }
    const parts: Buffer[] = [];
    for await (const part of request) parts.push(part as Buffer);
    response
      .writeHead(200, { 'content-type': 'application/json' })
      .end(JSON.stringify(await pipeline(JSON.parse(Buffer.concat(parts).toString()))));
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    requests: () => count,
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      db.close();
    },
  };
}
