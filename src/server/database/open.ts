import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import type { Config } from '../config';
import { log } from '../log';
import * as accountTables from './accountTables';
import { openSqlite } from './sqlite';
import * as tables from './tables';

const schema = { ...accountTables, ...tables };
export type Database = LibSQLDatabase<typeof schema>;

/** Opens the database, a file or a libSQL server by the same code, and brings its tables up to date. */
export async function openDatabase(config: Pick<Config, 'databaseUrl' | 'databaseAuthToken' | 'root'>): Promise<Database> {
  const db = config.databaseUrl.startsWith('file:') ? await openFile(config.databaseUrl) : openServer(config.databaseUrl, config.databaseAuthToken);
  await migrate(db, { migrationsFolder: join(config.root, 'src/server/database/migrations') });
  return db;
}

async function openFile(url: string): Promise<Database> {
  const { client, within } = await openSqlite(url, (ms) => log.error({ ms }, 'a transaction was open too long and was rolled back'));
  const db = drizzle(client, { schema });
  const begin = db.transaction.bind(db);
  db.transaction = (body, options) => begin((tx) => within(() => body(tx)), options);
  return db;
}

/** A libSQL server keeps its own durability and its own lock; foreign keys are on by default there as in the file client. */
function openServer(url: string, authToken: string | undefined): Database {
  return drizzle(createClient(authToken === undefined ? { url } : { url, authToken }), { schema });
}

/** Can the database be written? A write that changes nothing takes the lock a real one takes. */
export async function canWrite(db: Database): Promise<boolean> {
  try {
    await db.run(sql`update rate_limit set count = count where id = ''`);
    return true;
  } catch (error) {
    log.error({ error }, 'the database cannot be written');
    return false;
  }
}
