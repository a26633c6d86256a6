import { join } from 'node:path';
import { type Auth, makeAuth } from './accounts/auth';
import { type Config, readConfig } from './config';
import type { Context } from './context';
import { openDatabase } from './database/open';
import { mediaFolder } from './media/files';
import { clearIncoming } from './media/incoming';
import { workPool } from './work/pool';

export interface App extends Context {
  readonly auth: Auth;
}

export async function makeApp(config: Config): Promise<App> {
  const db = await openDatabase(config);
  await clearIncoming(config, new Date());
  return { db, files: mediaFolder(join(config.data, 'media')), work: workPool(config.root), config, auth: makeAuth(db, config), now: () => new Date() };
}

// Kept on globalThis: the development server loads this module again after each edit, and each time would open another connection.
const shared = globalThis as unknown as { vaultDrop?: Promise<App> };

/** This process's one application. A failed start is tried again by whoever asks next. */
export function theApp(): Promise<App> {
  shared.vaultDrop ??= makeApp(readConfig(process.env)).catch((error: unknown) => {
    delete shared.vaultDrop;
    throw error;
  });
  return shared.vaultDrop;
}
