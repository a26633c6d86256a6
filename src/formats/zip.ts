import { Unzip, UnzipInflate } from 'fflate';

/** Why a zip is not read: a sentence. Thrown by whoever takes its parts, it stops the reading. */
export class RefusedZip extends Error {}

export const TOO_MUCH = 'There is more in this file than may be taken at once.';
const BROKEN = 'This file cannot be read: it is no zip, or it is broken.';

/** The limits of a zip: bytes as they are inflated, all parts together, and parts. */
export interface ZipLimits {
  readonly bytes: number;
  readonly files: number;
}

/**
 * Reads an untrusted zip (APPNOTE 6.3) from its first byte to its last. Inflated bytes are counted as they come,
 * whatever the file claims, and no byte is read twice, so that parts cannot share bytes. `open` says of each part who
 * takes its bytes, in chunks; null: nobody. Null: it was read; else why not.
 */
export function readZip(
  chunks: Iterable<Uint8Array>,
  limits: ZipLimits,
  open: (name: string) => ((bytes: Uint8Array) => void) | null,
): string | null {
  let entries = 0;
  let size = 0;
  const unzip = new Unzip();
  unzip.register(UnzipInflate);
  unzip.onfile = (file) => {
    if (++entries > limits.files) throw new RefusedZip(TOO_MUCH);
    const take = open(file.name);
    if (!take) return;
    file.ondata = (error, bytes) => {
      // An error thrown here is caught here.
      if (error) throw (error as Error) instanceof RefusedZip ? error : new RefusedZip(BROKEN);
      size += bytes.length;
      if (size > limits.bytes) throw new RefusedZip(TOO_MUCH);
      take(bytes);
    };
    file.start();
  };
  let tail = new Uint8Array(0);
  try {
    for (const chunk of chunks) {
      unzip.push(chunk, false);
      tail = lastBytes(tail, chunk);
    }
    unzip.push(new Uint8Array(0), true);
  } catch (error) {
    return error instanceof RefusedZip ? error.message : BROKEN;
  }
  const named = entriesNamed(tail);
  if (named === null || entries === 0) return BROKEN;
  return named === entries ? null : 'This file is broken: its list of parts is not of the parts that are in it.';
}

/** The end of a zip's central directory, with the longest comment it may have, in bytes. */
const MAX_END = 22 + 65_535;

function lastBytes(before: Uint8Array<ArrayBuffer>, chunk: Uint8Array): Uint8Array<ArrayBuffer> {
  const joined = new Uint8Array(before.length + chunk.length);
  joined.set(before);
  joined.set(chunk, before.length);
  return joined.slice(-MAX_END);
}

/** How many entries the list at a zip's end names (APPNOTE 4.3.16); null: there is no such list. */
function entriesNamed(tail: Uint8Array): number | null {
  const view = new DataView(tail.buffer, tail.byteOffset, tail.byteLength);
  for (let at = tail.length - 22; at >= 0; at--)
    if (view.getUint32(at, true) === 0x06054b50) return view.getUint16(at + 10, true);
  return null;
}
