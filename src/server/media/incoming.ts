import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Config } from '../config';
import { fail, type Result } from '../errors';
import { chunksOf } from '../http/gate';

/** The folder of uploads that are not stored yet. */
export const incomingFolder = ({ data }: Pick<Config, 'data'>): string => join(data, 'incoming');

async function ready(config: Pick<Config, 'data'>): Promise<string> {
  const folder = incomingFolder(config);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  return folder;
}

class TooLarge extends Error {}

/** Writes a request's body to a temporary file as it arrives and calls `use` with it. Reading stops at `maxBytes`. */
export async function withUpload<T>(
  config: Pick<Config, 'data'>,
  request: Request,
  maxBytes: number,
  use: (file: string) => Promise<Result<T>>,
): Promise<Result<T>> {
  if (Number(request.headers.get('content-length') ?? 0) > maxBytes) return fail('tooLarge');
  async function* counted() {
    let size = 0;
    for await (const chunk of chunksOf(request)) {
      size += chunk.length;
      if (size > maxBytes) throw new TooLarge();
      yield chunk;
    }
  }
  return withFile(config, Readable.from(counted()), use).catch((error: unknown) => {
    if (error instanceof TooLarge) return fail('tooLarge');
    throw error;
  });
}

/** The same for bytes in memory. */
export const withBytes = <T>(
  config: Pick<Config, 'data'>,
  bytes: Uint8Array,
  use: (file: string) => Promise<T>,
): Promise<T> => withFile(config, Readable.from([bytes]), use);

async function withFile<T>(
  config: Pick<Config, 'data'>,
  content: Readable,
  use: (file: string) => Promise<T>,
): Promise<T> {
  const file = join(await ready(config), randomUUID());
  try {
    await pipeline(content, createWriteStream(file, { mode: 0o600 }));
    return await use(file);
  } finally {
    await rm(file, { force: true });
  }
}

/** A new path among the incoming files. Whoever writes it removes it. */
export const temporaryFile = async (config: Pick<Config, 'data'>): Promise<string> =>
  join(await ready(config), randomUUID());

/** A temporary folder among the incoming files, removed afterwards. */
export async function withFolder<T>(config: Pick<Config, 'data'>, use: (folder: string) => Promise<T>): Promise<T> {
  const folder = join(await ready(config), randomUUID());
  await mkdir(folder, { mode: 0o700 });
  try {
    return await use(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

const DAY_MS = 24 * 3600 * 1000;

/** Deletes the leftovers of processes that ended too soon. */
export async function clearIncoming(config: Pick<Config, 'data'>, now: Date): Promise<void> {
  const folder = await ready(config);
  for (const name of await readdir(folder)) {
    const path = join(folder, name);
    const { mtimeMs } = await stat(path).catch(() => ({ mtimeMs: now.getTime() }));
    if (mtimeMs < now.getTime() - DAY_MS) await rm(path, { recursive: true, force: true });
  }
}
