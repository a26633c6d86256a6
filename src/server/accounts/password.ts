import { createRequire } from 'node:module';
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

/** The common passwords that `@zxcvbn-ts/language-common` ships, read when the first is asked for. */
let common: ReadonlySet<string> | null = null;
function isCommon(password: string): boolean {
  common ??= new Set((createRequire(import.meta.url)('@zxcvbn-ts/language-common') as { dictionary: Record<'passwords-common', string[]> }).dictionary['passwords-common']);
  return common.has(password.toLowerCase());
}

/** Why a password is not taken; null: it is. */
export function passwordProblem(password: string, username: string): string | null {
  if (password.length < SHORTEST_PASSWORD) return `A password has at least ${SHORTEST_PASSWORD} characters.`;
  if (password.length > LONGEST_PASSWORD) return `A password has at most ${LONGEST_PASSWORD} characters.`;
  if (username !== '' && password.toLowerCase() === username.toLowerCase()) return 'The password is the user name: choose another one.';
  return isCommon(password) ? 'Many people use this password, so it is guessed at once: choose another one.' : null;
}
