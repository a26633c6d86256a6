import { LRUCache } from 'lru-cache';
import { number, object, string } from 'yup';
import type { Context } from '../context';
import { ask, NotReached, type Question, type Reply } from '../outside/ask';
import { jsonOf } from '../outside/replies';
import { signed } from './keys';
import type { Platform } from './platforms';

/** A token of a platform's, by platform and scopes. */
const tokens = new LRUCache<string, string>({ max: 1000 });

/** A token is asked for anew this long before it ends, in milliseconds. */
const EARLY_MS = 30_000;
/** How long a token holds whose platform does not say, in milliseconds. */
const UNSAID_MS = 60_000;

const granted = object({ access_token: string().required(), expires_in: number() });

/**
 * A token for these scopes (OAuth 2 client credentials, with a JWT that we sign; LTI security framework, 4.1).
 * Throws {@link NotReached}.
 */
async function tokenFor(context: Context, platform: Platform, scopes: string): Promise<string> {
  const key = `${platform.id} ${scopes}`;
  const kept = tokens.get(key);
  if (kept !== undefined) return kept;
  const { clientId, tokenUrl } = platform;
  const reply = await ask(context.config.outside, tokenUrl, {
    method: 'POST',
    headers: { 'content-type': 'application/x-www-form-urlencoded', accept: 'application/json' },
    body: new URLSearchParams({
      grant_type: 'client_credentials',
      client_assertion_type: 'urn:ietf:params:oauth:client-assertion-type:jwt-bearer',
      client_assertion: await signed(context.config, context.now(), { iss: clientId, sub: clientId, aud: tokenUrl }),
      scope: scopes,
    }).toString(),
  });
  if (reply.status !== 200) throw new NotReached(`The platform gives no token for it (status ${reply.status}).`);
  const read = jsonOf(reply);
  if (!granted.isValidSync(read, { strict: true })) throw new NotReached('The platform’s answer holds no token.');
  const ms = read.expires_in === undefined ? UNSAID_MS : read.expires_in * 1000;
  if (ms > EARLY_MS) tokens.set(key, read.access_token, { ttl: ms - EARLY_MS });
  return read.access_token;
}

/** Asks a service of a platform, with a token; a token that it does not take any more is asked for anew, once. */
export async function askService(
  context: Context,
  platform: Platform,
  scopes: readonly string[],
  address: string,
  question: Question,
): Promise<Reply> {
  const scope = scopes.join(' ');
  for (const isLast of [false, true]) {
    const token = await tokenFor(context, platform, scope);
    const headers = { ...question.headers, authorization: `Bearer ${token}` };
    const reply = await ask(context.config.outside, address, { ...question, headers });
    if (reply.status !== 401 || isLast) return reply;
    tokens.delete(`${platform.id} ${scope}`);
  }
  throw new Error('unreachable');
}
