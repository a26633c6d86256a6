import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { copyFile, mkdir, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createClient } from '@libsql/client';
import { mediumAt } from '../media/files';

/** The content of `backup.json`. */
export interface Manifest {
  readonly format: 'vault-drop/backup';
  readonly version: 1;
  /** ISO 8601. */
  readonly madeAt: string;
  /** The version of the application that made it. */
  readonly application: string;
  readonly database: { readonly sha256: string; readonly bytes: number };
  /** The SHA-256 of each medium, which is also its file name. */
  readonly media: readonly string[];
  /**
   * The SHA-256 of the sign-in secret; left out if the secret is not in a file, and in backups from before this field.
   */
  readonly secret?: string | undefined;
  /** The SHA-256 of the keys by which platforms know us; left out if there are none. */
  readonly keys?: string | undefined;
}

/** The places of an application's data. */
export interface StoredData {
  readonly data: string;
  readonly databaseUrl: string;
}

export const DATABASE = 'vault-drop.db';
export const MANIFEST = 'backup.json';
export const MEDIA = 'media';
export const SECRET = 'secret';
export const KEYS = 'lti-keys.json';
const BUSY_TIMEOUT_MS = 30_000;

/** An expected error, as a sentence for the person who ran the command. */
export class BackupProblem extends Error {}

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

export const exists = (path: string): Promise<boolean> =>
  stat(path).then(
    () => true,
    () => false,
  );

/** The file of a database. A database on a server has its own backups. */
export function fileOf(databaseUrl: string): string {
  if (!databaseUrl.startsWith('file:'))
    throw new BackupProblem('The database is on a libSQL server: it is backed up there. Media are in the data folder.');
  return databaseUrl.slice('file:'.length);
}

/**
 * Copies database and media into a new folder while the application runs. The database is copied by `VACUUM INTO`, one
 * transaction's view (https://www.sqlite.org/lang_vacuum.html). Media never change and are written before a row names
 * them, so the media copied afterwards include all that the copy names.
 */
export async function backUp(
  { data, databaseUrl }: StoredData,
  to: string,
  application: string,
  now: Date,
): Promise<Manifest> {
  const source = fileOf(databaseUrl);
  if (!(await exists(source))) throw new BackupProblem(`There is no database at ${source}.`);
  if (await exists(to)) throw new BackupProblem(`${to} is there already.`);
  // Written under another name first, so that it is complete or absent.
  const part = `${to}.part`;
  await rm(part, { recursive: true, force: true });
  await mkdir(join(part, MEDIA), { recursive: true, mode: 0o700 });
  const copy = join(part, DATABASE);
  const client = createClient({ url: `file:${source}`, timeout: BUSY_TIMEOUT_MS });
  try {
    await client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
  } finally {
    client.close();
  }
  const media = await mediaIn(join(data, MEDIA));
  await copyMedia(data, part, media);
  for (const file of [SECRET, KEYS])
    if (await exists(join(data, file)))
      await writeFile(join(part, file), await readFile(join(data, file)), { mode: 0o600 });
  const manifest: Manifest = {
    format: 'vault-drop/backup',
    version: 1,
    madeAt: now.toISOString(),
    application,
    database: { sha256: await sha256Of(copy), bytes: (await stat(copy)).size },
    media,
    ...((await exists(join(part, SECRET))) ? { secret: await sha256Of(join(part, SECRET)) } : {}),
    ...((await exists(join(part, KEYS))) ? { keys: await sha256Of(join(part, KEYS)) } : {}),
  };
  await writeFile(join(part, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`);
  await rename(part, to);
  return manifest;
}

/** Copies media from one folder to another, by their hashes. */
export async function copyMedia(from: string, to: string, hashes: readonly string[]): Promise<void> {
  for (const hash of hashes) {
    const target = mediumAt(join(to, MEDIA), hash);
    await mkdir(dirname(target), { recursive: true });
    await copyFile(mediumAt(join(from, MEDIA), hash), target);
  }
}

/** The hashes of the media in a folder. A file that is still being written has another name. */
async function mediaIn(folder: string): Promise<string[]> {
  if (!(await exists(folder))) return [];
  const all = await readdir(folder, { recursive: true });
  return all
    .flatMap((path) => path.split('/').at(-1) ?? [])
    .filter((name) => /^[0-9a-f]{64}$/.test(name))
    .sort();
}
