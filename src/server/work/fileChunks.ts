import { closeSync, openSync, readSync } from 'node:fs';

const CHUNK = 64 * 1024;

/** The bytes of a file, a piece at a time; the file is closed when they are read, or no more are asked for. */
export function* fileChunks(file: string): Generator<Uint8Array> {
  const handle = openSync(file, 'r');
  try {
    for (;;) {
      const chunk = new Uint8Array(CHUNK);
      const read = readSync(handle, chunk);
      if (read === 0) return;
      yield chunk.subarray(0, read);
    }
  } finally {
    closeSync(handle);
  }
}
