import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { type Auth, makeAuth } from './accounts/auth';
import { type Config, readConfig } from './config';
import type { Context } from './context';
import { openDatabase } from './database/open';
import { type JobRunner, startJobs } from './jobRunner';
import { mediaFolder } from './media/files';
import { clearIncoming } from './media/incoming';
import { startOutbox } from './outboxRunner';
import { steadyClock } from './releases/time';
import { workPool } from './work/pool';
import { keepHomePage } from './xapi/identity';

const DEFAULT_PORT = 4321;

export interface App extends Context {
  readonly auth: Auth;
  /** Who works on jobs, in a process that serves. */
  readonly jobs?: JobRunner;
}

export async function makeApp(config: Config): Promise<App> {
  const db = await openDatabase(config);
  await clearIncoming(config, new Date());
  return {
    db,
    files: mediaFolder(join(config.data, 'media')),
    work: workPool(config.root),
    config,
    auth: makeAuth(db, config),
    now: () => new Date(),
  };
}

// Held on globalThis: the development server reloads this module after each edit, and each reload would open another
// connection.
const shared = globalThis as unknown as { vaultDrop?: Promise<App> };

/** Where this installation is reached, as far as it is told. */
const homePageOf = ({ publicUrl }: Config): string =>
  publicUrl?.origin ?? `http://127.0.0.1:${process.env.PORT ?? DEFAULT_PORT}`;

async function startApp(): Promise<App> {
  const app = await makeApp(readConfig(process.env));
  const [row] = await app.db.all<{ at: number | null }>(sql`select max(at) as at from move`);
  const steady = steadyClock(row?.at ?? 0);
  await keepHomePage(app, homePageOf(app.config));
  const serving = { ...app, steady };
  const [jobs, outbox] = [startJobs(serving), startOutbox(serving)];
  const wake = () => {
    jobs.wake();
    outbox.wake();
  };
  return { ...serving, jobs: { wake, stop: async () => void (await Promise.all([jobs.stop(), outbox.stop()])) } };
}

/** The application of this process. After a failed start, the next request tries again. */
export function theApp(): Promise<App> {
  shared.vaultDrop ??= startApp().catch((error: unknown) => {
    delete shared.vaultDrop;
    throw error;
  });
  return shared.vaultDrop;
}
