import { randomUUID } from 'node:crypto';
import { rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Context } from './context';
import { canWrite } from './database/open';
import { log } from './log';
import { incomingFolder } from './media/incoming';

/** True if the application can write: a row to the database and a file to the media. */
export async function canStore({ db, config }: Pick<Context, 'db' | 'config'>): Promise<boolean> {
  return (await canWrite(db)) && canWriteFile(incomingFolder(config));
}

/** Retention, in days; null: until somebody deletes them. */
export const retention = ({ config }: Pick<Context, 'config'>): Context['config']['keep'] => config.keep;

async function canWriteFile(folder: string): Promise<boolean> {
  const file = join(folder, `health-${randomUUID()}`);
  try {
    await writeFile(file, 'ok', { mode: 0o600 });
    return true;
  } catch (error) {
    log.error({ err: error }, 'media cannot be written');
    return false;
  } finally {
    await rm(file, { force: true }).catch(() => undefined);
  }
}

/**
 * True if an error comes from the storage: a full disk, a locked or unreadable database, a folder without write
 * permission.
 */
export function isOfStorage(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code = '', cause } = error as { code?: unknown; cause?: unknown };
  return (
    /^(?:SQLITE_(?:BUSY|LOCKED|FULL|IOERR|READONLY|CANTOPEN|CORRUPT|NOTADB)|ENOSPC|EROFS|EDQUOT|EACCES|EMFILE)/.test(
      String(code),
    ) || isOfStorage(cause)
  );
}
