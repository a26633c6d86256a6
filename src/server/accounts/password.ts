import { createRequire } from 'node:module';
import { hash as argonHash, verify as argonVerify } from '@node-rs/argon2';
import PQueue from 'p-queue';
import { MAX_PASSWORD, MIN_PASSWORD } from '../../contract';

/** argon2id at OWASP's minimum: 19 MiB, two passes (Password Storage Cheat Sheet). */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** At most two hashes at once, so that the thread pool keeps serving files while a whole class signs in. */
const hashing = new PQueue({ concurrency: 2 });
const inTurn = <Value>(work: () => Promise<Value>): Promise<Value> => hashing.add(work, { throwOnTimeout: true });

export const hash = (password: string) => inTurn(() => argonHash(password.normalize('NFKC'), ARGON));
export const verify = ({ hash, password }: { hash: string; password: string }) =>
  inTurn(() => argonVerify(hash, password.normalize('NFKC')).catch(() => false));

/** The common passwords of `@zxcvbn-ts/language-common`, loaded on first use. */
let common: ReadonlySet<string> | null = null;
function isCommon(password: string): boolean {
  common ??= new Set(
    (
      createRequire(import.meta.url)('@zxcvbn-ts/language-common') as {
        dictionary: Record<'passwords-common', string[]>;
      }
    ).dictionary['passwords-common'],
  );
  return common.has(password.toLowerCase());
}

/** Why a password is refused; null: it is accepted. */
export function passwordProblem(password: string, username: string): string | null {
  if (password.length < MIN_PASSWORD) return `A password has at least ${MIN_PASSWORD} characters.`;
  if (password.length > MAX_PASSWORD) return `A password has at most ${MAX_PASSWORD} characters.`;
  if (username !== '' && password.toLowerCase() === username.toLowerCase())
    return 'The password is the user name: choose another one.';
  return isCommon(password) ? 'Many people use this password, so it is guessed at once: choose another one.' : null;
}
