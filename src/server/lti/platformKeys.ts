import { importJWK, type JWK } from 'jose';
import { LRUCache } from 'lru-cache';
import type { Context } from '../context';
import { ask, NotReached } from '../outside/ask';
import { ALGORITHM } from './keys';
import type { Platform } from './platforms';

interface Kept {
  readonly keys: readonly JWK[];
  /** When they were asked for, in milliseconds. */
  readonly at: number;
}

const KEPT_MS = 3600 * 1000;
/** A key that is not known is asked for this often at most: else each forged token would be a request. */
const AGAIN_MS = 30_000;

const kept = new LRUCache<string, Kept>({ max: 500 });

/** The public key of a platform by its name; a sentence: why it cannot be had. */
export async function platformKey(
  { config, now }: Pick<Context, 'config' | 'now'>,
  { jwksUrl }: Pick<Platform, 'jwksUrl'>,
  kid: string,
): Promise<Awaited<ReturnType<typeof importJWK>> | string> {
  const at = now().getTime();
  const before = kept.get(jwksUrl);
  let found = before && keyIn(before, kid);
  const mayAsk = !before || at - before.at > AGAIN_MS;
  if (mayAsk && (!found || at - (before?.at ?? 0) > KEPT_MS)) {
    // Kept before they are there, so that requests that come meanwhile do not ask too.
    kept.set(jwksUrl, { keys: before?.keys ?? [], at });
    const keys = await keysAt(config, jwksUrl);
    if (typeof keys !== 'string') {
      kept.set(jwksUrl, { keys, at });
      found = keyIn({ keys, at }, kid);
    } else if (!found) {
      if (!before) kept.delete(jwksUrl);
      return keys;
    }
  }
  if (!found) return 'It is signed with a key that its platform does not have.';
  return importJWK(found, ALGORITHM);
}

const keyIn = ({ keys }: Kept, kid: string): JWK | undefined =>
  keys.find(
    (key) =>
      key.kid === kid && key.kty === 'RSA' && (key.use ?? 'sig') === 'sig' && (key.alg ?? ALGORITHM) === ALGORITHM,
  );

async function keysAt(config: Context['config'], url: string): Promise<JWK[] | string> {
  try {
    const { status, text } = await ask(config.outside, url, { headers: { accept: 'application/json' } });
    if (status !== 200) return `The keys of its platform could not be read (status ${status}).`;
    const { keys } = JSON.parse(text) as { keys?: unknown };
    return Array.isArray(keys)
      ? keys.filter((key): key is JWK => typeof key === 'object' && key !== null)
      : 'The keys of its platform could not be read.';
  } catch (error) {
    if (error instanceof NotReached) return `The keys of its platform could not be read. ${error.message}`;
    if (error instanceof SyntaxError) return 'The keys of its platform could not be read.';
    throw error;
  }
}
