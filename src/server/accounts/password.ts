import { hash as argonHash, verify as argonVerify } from '@node-rs/argon2';

/** argon2id at OWASP's minimum: 19 MiB, two passes (Password Storage Cheat Sheet). */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** At most this many hashes at once, so that the thread pool keeps serving files while a whole class signs in. */
const AT_ONCE = 2;
let running = 0;
const waiting: (() => void)[] = [];

async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (running >= AT_ONCE) await new Promise<void>((resolve) => waiting.push(resolve));
  running++;
  try {
    return await work();
  } finally {
    running--;
    waiting.shift()?.();
  }
}

export const SHORTEST_PASSWORD = 8;
export const LONGEST_PASSWORD = 200;

export const hash = (password: string) => inTurn(() => argonHash(password.normalize('NFKC'), ARGON));
export const verify = ({ hash: kept, password }: { hash: string; password: string }) => inTurn(() => argonVerify(kept, password.normalize('NFKC')).catch(() => false));
