import { closeSync, openSync, readSync } from 'node:fs';
import { type RosterPackage, readOneRoster } from '../../formats/oneroster/read';

const CHUNK = 64 * 1024;

/** Reads an uploaded package, in a worker thread. */
export function readOneRosterFile(file: string): RosterPackage {
  const handle = openSync(file, 'r');
  function* chunks(): Generator<Uint8Array> {
    for (;;) {
      const chunk = new Uint8Array(CHUNK);
      const read = readSync(handle, chunk);
      if (read === 0) return;
      yield chunk.subarray(0, read);
    }
  }
  try {
    return readOneRoster(chunks());
  } finally {
    closeSync(handle);
  }
}
