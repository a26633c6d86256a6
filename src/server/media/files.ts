import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';

/** Where media are kept, by the SHA-256 of their bytes: once, however often they are used. A folder here; another place is another of these. */
export interface MediaFiles {
  has(hash: string): Promise<boolean>;
  put(hash: string, bytes: Uint8Array): Promise<void>;
  get(hash: string): Promise<Uint8Array | null>;
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
  return {
    has,
    put: async (hash, bytes) => {
      if (await has(hash)) return;
      const file = fileOf(hash);
      await mkdir(dirname(file), { recursive: true });
      // Whole or not at all: under another name first.
      const part = `${file}.${randomUUID()}`;
      await writeFile(part, bytes, { mode: 0o600 });
      await rename(part, file);
    },
    get: (hash) =>
      readFile(fileOf(hash)).catch((error: unknown) => {
        if (isMissing(error)) return null;
        throw error;
      }),
  };
}
