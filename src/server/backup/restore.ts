import { copyFile, mkdir, readFile, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { array, number, object, string } from 'yup';
import { mediumAt } from '../media/files';
import { BackupProblem, copyMedia, DATABASE, exists, fileOf, type Kept, MANIFEST, type Manifest, MEDIA, SECRET, sha256Of } from './backup';

const sha256 = () =>
  string()
    .matches(/^[0-9a-f]{64}$/)
    .required();
const manifestSchema = object({
  format: string().oneOf(['vault-drop/backup']).required(),
  version: number().oneOf([1]).required(),
  madeAt: string().required(),
  application: string().required(),
  database: object({ sha256: sha256(), bytes: number().integer().min(0).required() }).required(),
  media: array(sha256()).required(),
});

/** Reads a backup's `backup.json` and holds every file of it against what that says. */
export async function checked(from: string): Promise<Manifest> {
  let manifest: Manifest;
  try {
    manifest = manifestSchema.validateSync(JSON.parse(await readFile(join(from, MANIFEST), 'utf8')), { strict: true }) as Manifest;
  } catch {
    throw new BackupProblem(`${from} is no backup, or not a whole one: its ${MANIFEST} cannot be read.`);
  }
  const wrong = async (file: string, hash: string) => !(await exists(file)) || (await sha256Of(file)) !== hash;
  if (await wrong(join(from, DATABASE), manifest.database.sha256)) throw new BackupProblem(`The database in ${from} is not what was backed up.`);
  for (const hash of manifest.media) if (await wrong(mediumAt(join(from, MEDIA), hash), hash)) throw new BackupProblem(`The medium ${hash} in ${from} is not what was backed up.`);
  return manifest;
}

/**
 * Puts a backup in the place of what an application keeps, which must not run meanwhile. What was there is set aside beside it, and its place is returned; null: there was
 * nothing. The backup itself is left as it is.
 */
export async function restore(from: string, { data, databaseUrl }: Kept, now: Date): Promise<{ manifest: Manifest; setAside: string | null }> {
  const database = fileOf(databaseUrl);
  const manifest = await checked(from);
  const there = await exists(database);
  if (there) await refuseIfRunning(database);
  await mkdir(data, { recursive: true });
  // Everything is copied before anything is moved away.
  const part = join(data, 'restoring');
  await rm(part, { recursive: true, force: true });
  await mkdir(join(part, MEDIA), { recursive: true, mode: 0o700 });
  await copyFile(join(from, DATABASE), join(part, DATABASE));
  await copyMedia(from, part, manifest.media);
  const hasSecret = await exists(join(from, SECRET));
  if (hasSecret) await copyFile(join(from, SECRET), join(part, SECRET));

  const setAside = there ? join(data, `before-${now.toISOString().replace(/[:.]/g, '-')}`) : null;
  const aside = async (path: string, name: string) => {
    if (!(await exists(path))) return;
    if (setAside) {
      await mkdir(setAside, { recursive: true, mode: 0o700 });
      await rename(path, join(setAside, name));
    } else await rm(path, { recursive: true });
  };
  for (const end of ['', '-wal', '-shm']) await aside(`${database}${end}`, `${DATABASE}${end}`);
  await aside(join(data, MEDIA), MEDIA);
  if (hasSecret) await aside(join(data, SECRET), SECRET);
  await rename(join(part, MEDIA), join(data, MEDIA));
  if (hasSecret) await rename(join(part, SECRET), join(data, SECRET));
  await rename(join(part, DATABASE), database);
  await rm(part, { recursive: true });
  return { manifest, setAside };
}

/** Leaving WAL wants the database for itself: it is refused while another process has it open (https://www.sqlite.org/wal.html). It also folds the log into the file. */
async function refuseIfRunning(database: string): Promise<void> {
  const client = createClient({ url: `file:${database}`, timeout: 1000 });
  try {
    await client.execute('PRAGMA journal_mode=DELETE');
  } catch (error) {
    if (/SQLITE_(BUSY|LOCKED)/.test((error as { code?: string }).code ?? '')) throw new BackupProblem('The application is running. Stop it first.');
    throw error;
  } finally {
    client.close();
  }
}
