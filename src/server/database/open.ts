import { chmod, open } from 'node:fs/promises';
import { join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import type { Config } from '../config';
import { log } from '../log';
import * as accountTables from './accountTables';
import { copyBeforeMigrating } from './beforeMigrating';
import { openSqlite } from './sqlite';
import * as tables from './tables';

const schema = { ...accountTables, ...tables };
export type Database = LibSQLDatabase<typeof schema> & { readonly $client: Client };
/** What the database and a transaction of it can both do. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'query' | 'transaction' | 'run'>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Opens the database (a file, or a libSQL server) and migrates its tables. */
export async function openDatabase(
  config: Pick<Config, 'databaseUrl' | 'databaseAuthToken' | 'root'>,
): Promise<Database> {
  const migrationsFolder = join(config.root, 'src/server/database/migrations');
  const isFile = config.databaseUrl.startsWith('file:');
  const db = isFile ? await openFile(config.databaseUrl) : openServer(config.databaseUrl, config.databaseAuthToken);
  if (isFile && pathIn(config.databaseUrl) !== ':memory:')
    await copyBeforeMigrating(db, pathIn(config.databaseUrl), migrationsFolder, makePrivate);
  await migrate(db, { migrationsFolder });
  return db;
}

const pathIn = (url: string): string => url.slice('file:'.length);

/**
 * Creates the file before SQLite does, readable by its owner only; SQLite gives the same rights to the files beside it.
 */
async function makePrivate(file: string): Promise<void> {
  const handle = await open(file, 'a', 0o600);
  await handle.close();
  await chmod(file, 0o600);
}

async function openFile(url: string): Promise<Database> {
  const path = pathIn(url);
  if (path !== ':memory:') await makePrivate(path);
  const { client, within } = await openSqlite(url, (ms) =>
    log.error({ ms }, 'a transaction was open too long and was rolled back'),
  );
  const db = drizzle(client, { schema });
  const begin = db.transaction.bind(db);
  db.transaction = (body, options) => begin((tx) => within(() => body(tx)), options);
  return db;
}

/** A libSQL server has its own durability and locking; foreign keys are on by default, as in the file client. */
function openServer(url: string, authToken: string | undefined): Database {
  return drizzle(createClient(authToken === undefined ? { url } : { url, authToken }), { schema });
}

/**
 * True if the database can be written. A row is changed, because a write that changes nothing succeeds even if the disk
 * is full.
 */
export async function canWrite(db: Database): Promise<boolean> {
  try {
    await db.run(
      sql`insert into request_count (key, count, since) values ('health', 1, ${Date.now()}) on conflict (key) do update set count = count + 1, since = excluded.since`,
    );
    return true;
  } catch (error) {
    log.error({ err: error }, 'the database cannot be written');
    return false;
  }
}
