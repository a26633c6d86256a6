import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import type { Readable } from 'node:stream';

/** The command cannot be carried out: a file that cannot be read, or an unknown word. */
export class Usage extends Error {}

export const MAX_BYTES = 32 * 1024 * 1024;
const NEWLINE = 10;

async function open(path: string): Promise<Readable> {
  if (path === '-') return process.stdin;
  const found = await stat(path).catch((error: NodeJS.ErrnoException) => {
    throw new Usage(`${path} cannot be read: ${error.code === 'ENOENT' ? 'there is no such file' : error.message}.`);
  });
  if (found.isDirectory()) throw new Usage(`${path} cannot be read: it is a folder.`);
  return createReadStream(path, { highWaterMark: 256 * 1024 });
}

async function* chunks(path: string): AsyncGenerator<Buffer> {
  const stream = await open(path);
  try {
    for await (const chunk of stream) yield chunk as Buffer;
  } catch (error) {
    throw new Usage(`${path} cannot be read: ${(error as Error).message}.`);
  }
}

const withoutMark = (text: string) => (text.charCodeAt(0) === 0xfeff ? text.slice(1) : text);

/** The whole of a file or of standard input (`-`); null if it is longer than any question. */
export async function readAll(path: string): Promise<string | null> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of chunks(path)) {
    bytes += chunk.length;
    if (bytes > MAX_BYTES) return null;
    parts.push(chunk);
  }
  return withoutMark(Buffer.concat(parts).toString());
}

/** The lines of a file in blocks; a line longer than `MAX_BYTES` comes as null and is not stored. */
export async function* readLines(path: string): AsyncGenerator<(string | null)[]> {
  let rest: Buffer[] = [];
  let held = 0;
  let skipping = false;
  let first = true;
  for await (const chunk of chunks(path)) {
    const lines: (string | null)[] = [];
    let from = 0;
    for (let at = chunk.indexOf(NEWLINE); at >= 0; at = chunk.indexOf(NEWLINE, from)) {
      const end = chunk.subarray(from, at);
      lines.push(skipping ? null : (rest.length > 0 ? Buffer.concat([...rest, end]) : end).toString());
      rest = [];
      held = 0;
      skipping = false;
      from = at + 1;
    }
    const tail = chunk.subarray(from);
    held += tail.length;
    if (held > MAX_BYTES) {
      skipping = true;
      rest = [];
    } else if (tail.length > 0) rest.push(Buffer.from(tail));
    if (first && lines.length > 0) {
      lines[0] = lines[0] == null ? null : withoutMark(lines[0]);
      first = false;
    }
    if (lines.length > 0) yield lines;
  }
  if (skipping) yield [null];
  else if (rest.length > 0)
    yield [first ? withoutMark(Buffer.concat(rest).toString()) : Buffer.concat(rest).toString()];
}
