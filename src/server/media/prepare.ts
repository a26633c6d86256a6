import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open, readFile, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { fileTypeFromBuffer } from 'file-type';
import type { MediumType } from '../../contract';
import { TYPES, typeCalled } from './kinds';
import { encodePicture, sizeOfSvg } from './pictures';
import { looksLikeSvg, safeSvg } from './svg';

/** A file as it came, and what it is to become. */
export interface ToPrepare {
  readonly file: string;
  /** What it says it is. */
  readonly expected: MediumType;
  /** The scene, in its units: pictures are made no larger than it needs. */
  readonly room: { readonly width: number; readonly height: number };
  /** Where what is made of it is written. */
  readonly folder: string;
}
export interface Prepared {
  readonly hash: string;
  /** Where it is: the file itself, if it stays as it is. */
  readonly file: string;
  readonly type: MediumType;
  readonly weight: number;
  readonly width: number | null;
  readonly height: number | null;
}
export type Preparing =
  | { readonly ok: true; readonly value: Prepared }
  | { readonly ok: false; readonly message: string };
const refuse = (message: string): Preparing => ({ ok: false, message });

/**
 * A file held against what it claims to be, made safe and light: the sentence that says why it is not taken, or where
 * it is now. Sounds and films stay as they are: what is in them is played, never run.
 */
export async function prepareMedium({ file, expected, room, folder }: ToPrepare): Promise<Preparing> {
  const found = await typeOf(file);
  if (found !== expected)
    return refuse(
      `It says it is ${TYPES[expected].words}, but it is ${found ? `${TYPES[found].words}. Save it as what it is` : 'not'}`,
    );
  if (TYPES[expected].kind !== 'picture') {
    const { size } = await stat(file);
    return {
      ok: true,
      value: { hash: await sha256Of(file), file, type: expected, weight: size, width: null, height: null },
    };
  }
  const bytes = await readFile(file);
  if (expected !== 'image/svg+xml') {
    const made = await encodePicture(bytes, expected, room);
    return made
      ? written(folder, made.bytes, made.type, made)
      : refuse('It cannot be read as a picture, or has too many pixels');
  }
  const safe = await safeSvg(bytes);
  if (!safe.ok) return safe;
  const size = await sizeOfSvg(safe.bytes);
  return size ? written(folder, safe.bytes, expected, size) : refuse('This drawing cannot be drawn');
}

/** Enough of a file to tell what it is, in bytes. */
const HEAD = 64 * 1024;

async function typeOf(file: string): Promise<MediumType | null> {
  const handle = await open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD), 0, HEAD, 0);
    const head = buffer.subarray(0, bytesRead);
    if (looksLikeSvg(head)) return 'image/svg+xml';
    const found = await fileTypeFromBuffer(head);
    return found ? typeCalled(found.mime) : null;
  } finally {
    await handle.close();
  }
}

async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

async function written(
  folder: string,
  bytes: Uint8Array,
  type: MediumType,
  { width, height }: { width: number; height: number },
): Promise<Preparing> {
  const file = join(folder, randomUUID());
  await writeFile(file, bytes, { mode: 0o600 });
  const hash = createHash('sha256').update(bytes).digest('hex');
  return { ok: true, value: { hash, file, type, weight: bytes.length, width: width || null, height: height || null } };
}
