import { randomUUID } from 'node:crypto';
import { copyFile, mkdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/**
 * The store of media, by the SHA-256 of their bytes: each is stored once, however often it is used. Here it is a
 * folder; another store can implement this interface.
 */
export interface MediaFiles {
  has(hash: string): Promise<boolean>;
  put(hash: string, bytes: Uint8Array): Promise<void>;
  /** The same from a file, which stays where it is. */
  putFile(hash: string, file: string): Promise<void>;
  get(hash: string): Promise<Uint8Array | null>;
  /** The path of its bytes on this machine. */
  fileOf(hash: string): string;
  remove(hash: string): Promise<void>;
}

/** Where a medium lies in a folder of media. */
export const mediumAt = (root: string, hash: string): string => join(root, hash.slice(0, 2), hash);

const isMissing = (error: unknown) => (error as NodeJS.ErrnoException).code === 'ENOENT';

export function mediaFolder(root: string): MediaFiles {
  const fileOf = (hash: string) => mediumAt(root, hash);
  const has = (hash: string) =>
    stat(fileOf(hash)).then(
      () => true,
      (error: unknown) => {
        if (isMissing(error)) return false;
        throw error;
      },
    );
  /** Written under another name first, so that it is complete or absent. */
  const place = async (hash: string, write: (part: string) => Promise<void>) => {
    if (await has(hash)) return;
    const file = fileOf(hash);
    await mkdir(dirname(file), { recursive: true, mode: 0o700 });
    const part = `${file}.${randomUUID()}`;
    try {
      await write(part);
      await rename(part, file);
    } catch (error) {
      await rm(part, { force: true });
      throw error;
    }
  };
  return {
    has,
    fileOf,
    put: (hash, bytes) => place(hash, (part) => writeFile(part, bytes, { mode: 0o600 })),
    putFile: (hash, file) => place(hash, (part) => copyFile(file, part)),
    get: (hash) =>
      readFile(fileOf(hash)).catch((error: unknown) => {
        if (isMissing(error)) return null;
        throw error;
      }),
    remove: (hash) => rm(fileOf(hash), { force: true }),
  };
}
