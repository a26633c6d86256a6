import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** What a stand-in keeps in a file of the data folder, and how it is kept after a change. */
export function keptIn<Kept>(data: string, name: string, nothing: () => Kept): { kept: Kept; keep: () => void } {
  const file = join(data, name);
  const kept = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Kept) : nothing();
  return {
    kept,
    keep: () => {
      writeFileSync(`${file}.part`, JSON.stringify(kept), { mode: 0o600 });
      renameSync(`${file}.part`, file);
    },
  };
}
