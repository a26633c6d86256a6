import { randomUUID } from 'node:crypto';
import { linkSync, renameSync, rmSync, writeFileSync } from 'node:fs';

/** Writes a text beside a file, readable by its owner alone. */
function writeBeside(file: string, text: string): string {
  const part = `${file}.${process.pid}.${randomUUID()}`;
  writeFileSync(part, text, { mode: 0o600 });
  return part;
}

/** Makes a file of secrets: of two processes that make it at once, the second leaves what the first has written. */
export function writeOnce(file: string, text: string): void {
  const part = writeBeside(file, text);
  try {
    linkSync(part, file);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
  } finally {
    rmSync(part, { force: true });
  }
}

/** Puts another text in the place of a file of secrets, whole. */
export const writeAnew = (file: string, text: string): void => renameSync(writeBeside(file, text), file);
