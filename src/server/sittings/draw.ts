import { createHash } from 'node:crypto';
import type { Random } from '../../core';

const BYTES = 4;

/**
 * The random source of one question of an attempt, by its index in the edition, or (`questions`) of the choice of
 * questions, or of what is drawn from a question's pools: always the same for its seed, and unpredictable from earlier draws (SHA-256 in counter mode).
 */
export function drawer(seed: string, of: number | 'questions' | `pools/${number}`): Random {
  let block = 0;
  let bytes = Buffer.alloc(0);
  let at = 0;
  return () => {
    if (at + BYTES > bytes.length) {
      bytes = createHash('sha256').update(`${seed}/${of}/${block++}`).digest();
      at = 0;
    }
    const drawn = bytes.readUInt32BE(at) / 2 ** 32;
    at += BYTES;
    return drawn;
  };
}
