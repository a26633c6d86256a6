import { createHash } from 'node:crypto';
import type { Random } from '../../core';

const BYTES = 4;

/** What is drawn for one question of a sitting: always the same for its seed, and nothing that was drawn tells what comes next (SHA-256 in counter mode). */
export function drawer(seed: string, question: number): Random {
  let block = 0;
  let bytes = Buffer.alloc(0);
  let at = 0;
  return () => {
    if (at + BYTES > bytes.length) {
      bytes = createHash('sha256').update(`${seed}/${question}/${block++}`).digest();
      at = 0;
    }
    const drawn = bytes.readUInt32BE(at) / 2 ** 32;
    at += BYTES;
    return drawn;
  };
}
