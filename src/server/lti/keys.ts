import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { exportJWK, generateKeyPair, importJWK, type JWK, type JWTPayload, SignJWT } from 'jose';
import type { Config } from '../config';
import { writeAnew, writeOnce } from '../ownFiles';

/** A key pair of ours. The one that was made last signs. */
interface OwnKey {
  readonly kid: string;
  readonly madeAt: number;
  readonly privateKey: JWK;
}

export const ALGORITHM = 'RS256';
/** How long a key is offered after another has taken its place, in milliseconds: platforms keep what they have read. */
const OFFERED_MS = 48 * 3600 * 1000;

const fileIn = ({ data }: Pick<Config, 'data'>) => join(data, 'lti-keys.json');

async function makeKey(now: Date): Promise<OwnKey> {
  const { privateKey } = await generateKeyPair(ALGORITHM, { modulusLength: 2048, extractable: true });
  return { kid: randomUUID(), madeAt: now.getTime(), privateKey: await exportJWK(privateKey) };
}

/** The keys, the newest first. They are read each time: the command that turns them over is another process. */
async function keysOf(config: Pick<Config, 'data'>, now: Date): Promise<OwnKey[]> {
  const file = fileIn(config);
  if (!existsSync(file)) writeOnce(file, JSON.stringify([await makeKey(now)]));
  return JSON.parse(readFileSync(file, 'utf8')) as OwnKey[];
}

/** The newest, and those whose place was taken so lately that platforms may still know us by them. */
const offeredOf = (keys: readonly OwnKey[], now: Date): OwnKey[] =>
  keys.filter((_, i) => (keys[i - 1]?.madeAt ?? Number.POSITIVE_INFINITY) + OFFERED_MS > now.getTime());

/** Makes a key that signs from now on; the one before is offered for two more days. Returns the name of the new one. */
export async function turnKey(config: Pick<Config, 'data'>, now: Date): Promise<string> {
  const made = await makeKey(now);
  writeAnew(fileIn(config), JSON.stringify(offeredOf([made, ...(await keysOf(config, now))], now)));
  return made.kid;
}

/** Our public keys (RFC 7517). */
export async function publicKeys(config: Pick<Config, 'data'>, now: Date): Promise<{ keys: JWK[] }> {
  const offered = offeredOf(await keysOf(config, now), now);
  return {
    keys: offered.map(({ kid, privateKey: { kty = 'RSA', n = '', e = '' } }) => ({
      ...{ kty, n, e, kid },
      alg: ALGORITHM,
      use: 'sig',
    })),
  };
}

/** Signs a JWT that holds for five minutes. */
export async function signed(
  config: Pick<Config, 'data'>,
  now: Date,
  payload: JWTPayload & { readonly aud: string },
): Promise<string> {
  const [key] = await keysOf(config, now);
  if (!key) throw new Error(`There is no key in ${fileIn(config)}`);
  const seconds = Math.floor(now.getTime() / 1000);
  return new SignJWT(payload)
    .setProtectedHeader({ alg: ALGORITHM, kid: key.kid, typ: 'JWT' })
    .setIssuedAt(seconds)
    .setExpirationTime(seconds + 300)
    .setJti(randomUUID())
    .sign(await importJWK(key.privateKey, ALGORITHM));
}
