import { AsyncLocalStorage } from 'node:async_hooks';
import { type Client, createClient, type Transaction, type TransactionMode } from '@libsql/client';
import { keepStatements } from './keptStatements';

/**
 * One connection to a SQLite file, with one queue in front of it. It works around four properties of the libSQL client:
 * it opens up to twenty connections, so that a PRAGMA holds for one of them only; its busy wait blocks the event loop,
 * so that a lock held in this process is never released meanwhile; after one SQLITE_BUSY a connection keeps an
 * unfinished statement and fails until it is opened again. So while another process holds the lock, a waiting statement
 * is retried, each time for a moment only.
 */
const PRAGMAS = ['journal_mode=WAL', 'synchronous=FULL', 'foreign_keys=ON', 'cache_size=-16000', 'temp_store=MEMORY'];
/** Milliseconds for which one try blocks the event loop, between two tries, and of all tries together. */
const BUSY_TIMEOUT_MS = 100;
const PAUSE_MS = 50;
const BUSY_LIMIT_MS = 5000;
const LONGEST_TRANSACTION_MS = 10_000;

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
const isBusy = (error: unknown) => /^SQLITE_(BUSY|LOCKED)/.test((error as { code?: string } | null)?.code ?? '');

/** Waits for its turn; the returned function lets the next one run. */
function turnstile() {
  let last: Promise<unknown> = Promise.resolve();
  return (): Promise<() => void> => {
    let free: () => void = () => {};
    const held = new Promise<void>((resolve) => {
      free = resolve;
    });
    const mine = last;
    last = last.then(() => held);
    return mine.then(() => free);
  };
}

export interface SqliteClient {
  readonly client: Client;
  /**
   * Runs the body of a transaction. A call on the client itself inside it throws, because it would wait for its own
   * turn for ever.
   */
  readonly within: <T>(body: () => Promise<T>) => Promise<T>;
}

export async function openSqlite(url: string, onLongTransaction: (ms: number) => void): Promise<SqliteClient> {
  keepStatements();
  const raw = createClient({ url, timeout: BUSY_TIMEOUT_MS, concurrency: 1 });
  const setUp = async () => {
    for (const pragma of PRAGMAS) await raw.execute(`PRAGMA ${pragma}`);
  };
  for (const until = performance.now() + BUSY_LIMIT_MS; ; await pause()) {
    try {
      await setUp();
      break;
    } catch (error) {
      if (!isBusy(error) || performance.now() > until) throw error;
      raw.reconnect();
    }
  }

  const turn = turnstile();
  const inTransaction = new AsyncLocalStorage<{ open: boolean }>();
  const refuseInside = (what: string) => {
    if (inTransaction.getStore()?.open) throw new Error(`${what} inside a transaction: use the transaction`);
  };
  const healAfter = async (error: unknown) => {
    if (!isBusy(error)) return;
    raw.reconnect();
    await setUp();
  };
  /**
   * Retries until the lock is free. A try that met a lock has changed nothing: it was one statement, one batch, or the
   * beginning of a transaction.
   */
  const patiently = async <T>(work: () => Promise<T>): Promise<T> => {
    const until = performance.now() + BUSY_LIMIT_MS;
    for (;;) {
      try {
        return await work();
      } catch (error) {
        await healAfter(error).catch((again: unknown) => {
          if (!isBusy(again)) throw again;
        });
        if (!isBusy(error) || performance.now() > until) throw error;
        await pause();
      }
    }
  };

  const queued = <Name extends 'execute' | 'batch' | 'migrate' | 'executeMultiple' | 'sync'>(name: Name) =>
    (async (...args: unknown[]) => {
      refuseInside(name);
      const free = await turn();
      try {
        return await patiently(() => (raw[name] as (...all: unknown[]) => Promise<unknown>)(...args));
      } finally {
        free();
      }
    }) as unknown as Client[Name];

  const transaction = async (mode: TransactionMode = 'write'): Promise<Transaction> => {
    refuseInside('transaction');
    const free = await turn();
    let open: Transaction;
    try {
      open = await patiently(() => raw.transaction(mode));
    } catch (error) {
      free();
      throw error;
    }
    let busy: unknown = null;
    let ended = false;
    const end = async () => {
      if (ended) return;
      ended = true;
      clearTimeout(timer);
      try {
        if (busy) await healAfter(busy);
      } finally {
        free();
      }
    };
    const timer = setTimeout(() => {
      onLongTransaction(LONGEST_TRANSACTION_MS);
      open.close();
      void end();
    }, LONGEST_TRANSACTION_MS);
    const noting = async <T>(work: Promise<T>) => {
      try {
        return await work;
      } catch (error) {
        if (isBusy(error)) busy = error;
        throw error;
      }
    };
    return {
      execute: (...args: [never]) => noting(open.execute(...args)),
      batch: (statements) => noting(open.batch(statements)),
      executeMultiple: (sql) => noting(open.executeMultiple(sql)),
      commit: () => noting(open.commit()).finally(end),
      rollback: () => noting(open.rollback()).finally(end),
      close: () => {
        open.close();
        void end();
      },
      get closed() {
        return open.closed;
      },
    } as Transaction;
  };

  const client = {
    execute: queued('execute'),
    batch: queued('batch'),
    migrate: queued('migrate'),
    executeMultiple: queued('executeMultiple'),
    sync: queued('sync'),
    transaction,
    close: () => raw.close(),
    reconnect: () => raw.reconnect(),
    get closed() {
      return raw.closed;
    },
    protocol: 'file',
  } as Client;

  const within = <T>(body: () => Promise<T>) => {
    const state = { open: true };
    return inTransaction.run(state, async () => {
      try {
        return await body();
      } finally {
        state.open = false;
      }
    });
  };
  return { client, within };
}
