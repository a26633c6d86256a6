import { createHash, randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open, readFile, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { fileTypeFromBuffer } from 'file-type';
import type { MediumType } from '../../contract';
import { fontProblem } from './fonts';
import { TYPES, typeCalled } from './kinds';
import { encodePicture, sizeOfSvg } from './pictures';
import { looksLikeSvg, safeSvg } from './svg';

/** An uploaded file, and how to prepare it. */
export interface ToPrepare {
  readonly file: string;
  /** Its claimed type. */
  readonly expected: MediumType;
  /** The size of the scene, in scene units: pictures are scaled down to what it needs. */
  readonly room: { readonly width: number; readonly height: number };
  /** The path for the result. */
  readonly folder: string;
}
export interface Prepared {
  readonly hash: string;
  /** The path of the result: the file itself if it stays unchanged. */
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
 * Checks a file against its claimed type and makes it safe and light. Returns the reason for a refusal, or the result.
 * Sounds and films stay as they are: their content is played, never run. So do fonts, which browsers check again.
 */
export async function prepareMedium({ file, expected, room, folder }: ToPrepare): Promise<Preparing> {
  const found = await typeOf(file);
  if (found !== expected)
    return refuse(
      `It says it is ${TYPES[expected].words}, but it is ${found ? `${TYPES[found].words}. Save it as what it is` : 'not'}`,
    );
  if (TYPES[expected].kind === 'font') {
    const wrong = fontProblem(await readFile(file));
    if (wrong) return refuse(wrong);
  }
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

/** The bytes needed to recognise a file's type. */
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
