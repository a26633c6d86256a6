import { existsSync } from 'node:fs';
import { readFile, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { StartProblem } from '../config';
import type { Database } from './open';

interface Journal {
  readonly entries: readonly { readonly tag: string; readonly when: number }[];
}

/** The tag of the first migration this database still needs; null: it is up to date, or new. */
async function firstPending(db: Database, migrationsFolder: string): Promise<string | null> {
  const known = await db.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' and name = '__drizzle_migrations'`,
  );
  if (known.length === 0) return null;
  const [last] = await db.all<{ at: number | null }>(sql`select max(created_at) as at from __drizzle_migrations`);
  const { entries } = JSON.parse(await readFile(join(migrationsFolder, 'meta/_journal.json'), 'utf8')) as Journal;
  return entries.find(({ when }) => when > (last?.at ?? 0))?.tag ?? null;
}

/**
 * Copies a database file before migrations change its tables, to `FILE.before-TAG` beside it; `TAG` is the first
 * migration to come. An existing copy is of the same state, and stays. `makePrivate` makes the copy readable by its
 * owner only.
 */
export async function copyBeforeMigrating(
  db: Database,
  file: string,
  migrationsFolder: string,
  makePrivate: (file: string) => Promise<void>,
): Promise<void> {
  const tag = await firstPending(db, migrationsFolder);
  if (tag === null) return;
  const copy = `${file}.before-${tag}`;
  if (existsSync(copy)) return;
  // Written under a name of its own first: complete or absent, also when two processes start at once.
  const part = `${copy}.${process.pid}.part`;
  try {
    await makePrivate(part);
    await db.run(sql`vacuum into ${part}`);
    await rename(part, copy);
  } catch (error) {
    await rm(part, { force: true });
    throw new StartProblem(
      `The database could not be copied to ${copy} before its tables are changed: ${(error as Error).message}`,
    );
  }
}
