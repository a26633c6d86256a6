import { copyFile, mkdir, open, readFile, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { array, number, object, string } from 'yup';
import { RESTORING } from '../config';
import { mediumAt } from '../media/files';
import {
  BackupProblem,
  copyMedia,
  DATABASE,
  exists,
  fileOf,
  KEYS,
  MANIFEST,
  type Manifest,
  MEDIA,
  SECRET,
  type StoredData,
  sha256Of,
} from './backup';

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
  secret: string()
    .matches(/^[0-9a-f]{64}$/)
    .optional(),
  keys: string()
    .matches(/^[0-9a-f]{64}$/)
    .optional(),
});

/** Reads a backup's `backup.json` and checks every file of the backup against it. */
export async function checked(from: string): Promise<Manifest> {
  let manifest: Manifest;
  try {
    manifest = manifestSchema.validateSync(JSON.parse(await readFile(join(from, MANIFEST), 'utf8')), {
      strict: true,
    }) as Manifest;
  } catch {
    throw new BackupProblem(`${from} is no backup, or not a whole one: its ${MANIFEST} cannot be read.`);
  }
  const wrong = async (file: string, hash: string) => !(await exists(file)) || (await sha256Of(file)) !== hash;
  if (await wrong(join(from, DATABASE), manifest.database.sha256))
    throw new BackupProblem(`The database in ${from} is not what was backed up.`);
  const secret = join(from, SECRET);
  if (manifest.secret && (await wrong(secret, manifest.secret)))
    throw new BackupProblem(`The secret in ${from} is not what was backed up.`);
  if ((await exists(secret)) && (await readFile(secret, 'utf8')).trim() === '')
    throw new BackupProblem(`The secret in ${from} is empty.`);
  if (manifest.keys && (await wrong(join(from, KEYS), manifest.keys)))
    throw new BackupProblem(`The keys in ${from} are not what was backed up.`);
  for (const hash of manifest.media)
    if (await wrong(mediumAt(join(from, MEDIA), hash), hash))
      throw new BackupProblem(`The medium ${hash} in ${from} is not what was backed up.`);
  return manifest;
}

/**
 * The plan in `restoring`, written once everything is copied and before anything is moved: from then on a restore can
 * be finished or undone.
 */
interface Swap {
  /** The folder to which the old data was moved; null: there was none. */
  readonly setAside: string | null;
  readonly hasSecret: boolean;
  /** Left out by a restore that began before there were keys. */
  readonly hasKeys?: boolean;
}
const SWAP = 'swap.json';

/**
 * Puts a backup in place of an application's data, while the application is stopped. The old data is moved aside;
 * returns where to (null: there was none). The backup itself stays as it is.
 */
export async function restore(
  from: string,
  storedData: StoredData,
  now: Date,
  move: typeof rename = rename,
): Promise<{ manifest: Manifest; setAside: string | null }> {
  const { data, databaseUrl } = storedData;
  const database = fileOf(databaseUrl);
  const manifest = await checked(from);
  const part = join(data, RESTORING);
  if (await exists(part))
    throw new BackupProblem(
      `${part} is there: a restore was interrupted. Finish it with --finish, or take it back with --take-back.`,
    );
  const there = await exists(database);
  if (there) await refuseIfRunning(database);
  await mkdir(data, { recursive: true, mode: 0o700 });
  // Everything is copied before anything is moved away.
  await mkdir(join(part, MEDIA), { recursive: true, mode: 0o700 });
  await copyFile(join(from, DATABASE), join(part, DATABASE));
  await copyMedia(from, part, manifest.media);
  const hasSecret = await exists(join(from, SECRET));
  if (hasSecret) await copyFile(join(from, SECRET), join(part, SECRET));
  const hasKeys = manifest.keys !== undefined;
  if (hasKeys) await copyFile(join(from, KEYS), join(part, KEYS));
  const setAside = there ? join(data, `before-${now.toISOString().replace(/[:.]/g, '-')}`) : null;
  const how: Swap = { setAside, hasSecret, hasKeys };
  await writeWhole(join(part, SWAP), JSON.stringify(how), move);
  await swap(storedData, how, move);
  return { manifest, setAside };
}

async function writeWhole(file: string, text: string, move: typeof rename): Promise<void> {
  const handle = await open(`${file}.part`, 'w', 0o600);
  await handle.writeFile(text);
  await handle.sync();
  await handle.close();
  await move(`${file}.part`, file);
}

/** What is moved: its name in `restoring` and among the old data, and its proper path. */
const movedBy = (
  { data, databaseUrl }: StoredData,
  { hasSecret, hasKeys = false }: Swap,
): readonly (readonly [name: string, place: string])[] => [
  [MEDIA, join(data, MEDIA)],
  ...(hasSecret ? [[SECRET, join(data, SECRET)] as const] : []),
  ...(hasKeys ? [[KEYS, join(data, KEYS)] as const] : []),
  [DATABASE, fileOf(databaseUrl)],
];
/** A database has its log beside it. */
const filesOf = (name: string): readonly string[] => (name === DATABASE ? ['', '-wal', '-shm'] : ['']);

/**
 * Moves the old data aside and the new data into place. Steps done before are skipped, so that an interrupted run can
 * be continued.
 */
async function swap(storedData: StoredData, how: Swap, move: typeof rename = rename): Promise<void> {
  const part = join(storedData.data, RESTORING);
  const { setAside } = how;
  if (setAside) await mkdir(setAside, { recursive: true, mode: 0o700 });
  for (const [name, place] of movedBy(storedData, how)) {
    // While the new file is still here, the file in place is the old one.
    if (!(await exists(join(part, name)))) continue;
    for (const end of filesOf(name)) {
      if (!(await exists(`${place}${end}`))) continue;
      if (setAside) await move(`${place}${end}`, join(setAside, `${name}${end}`));
      else await rm(`${place}${end}`, { recursive: true });
    }
    await move(join(part, name), place);
  }
  await rm(part, { recursive: true });
}

async function interrupted({ data }: StoredData): Promise<{ part: string; how: Swap | null }> {
  const part = join(data, RESTORING);
  if (!(await exists(part))) throw new BackupProblem('No restore was interrupted.');
  const file = join(part, SWAP);
  return { part, how: (await exists(file)) ? (JSON.parse(await readFile(file, 'utf8')) as Swap) : null };
}

/** Finishes an interrupted restore. */
export async function finishRestore(storedData: StoredData): Promise<void> {
  const { how } = await interrupted(storedData);
  if (!how)
    throw new BackupProblem(
      'It was interrupted before all of the backup was copied: take it back with --take-back, then restore again.',
    );
  await swap(storedData, how);
}

/** Undoes an interrupted restore: everything is as before. */
export async function takeBackRestore(storedData: StoredData): Promise<void> {
  const { part, how } = await interrupted(storedData);
  for (const [name, place] of how ? movedBy(storedData, how) : []) {
    const isMoved = !(await exists(join(part, name)));
    if (isMoved && (await exists(place))) await rename(place, join(part, name));
    if (!how?.setAside) continue;
    for (const end of filesOf(name)) {
      const old = join(how.setAside, `${name}${end}`);
      if (await exists(old)) await rename(old, `${place}${end}`);
    }
  }
  if (how?.setAside && (await exists(how.setAside))) await rm(how.setAside, { recursive: true });
  await rm(part, { recursive: true });
}

/**
 * Leaving WAL mode needs exclusive access, so it fails while another process has the database open
 * (https://www.sqlite.org/wal.html). It also merges the log into the file.
 */
async function refuseIfRunning(database: string): Promise<void> {
  const client = createClient({ url: `file:${database}`, timeout: 1000 });
  try {
    await client.execute('PRAGMA journal_mode=DELETE');
  } catch (error) {
    if (/SQLITE_(BUSY|LOCKED)/.test((error as { code?: string }).code ?? ''))
      throw new BackupProblem('The application is running. Stop it first.');
    throw error;
  } finally {
    client.close();
  }
}
