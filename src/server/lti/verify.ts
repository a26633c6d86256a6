import { and, eq, isNull } from 'drizzle-orm';
import { decodeProtectedHeader, errors, jwtVerify } from 'jose';
import type { Context } from '../context';
import { ltiLogin, platform as platforms } from '../database/tables';
import { CLAIM, type Claims, readClaims } from './claims';
import { ALGORITHM } from './keys';
import { digestOf, KEPT_MS } from './login';
import { platformKey } from './platformKeys';
import { hasDeployment, type Platform } from './platforms';

/** A launch that may be believed. */
export interface Verified {
  readonly claims: Claims;
  readonly platform: Platform;
  /** The browser is the one that began the login. */
  readonly sameBrowser: boolean;
  /** The teacher who was signed in as it began; null: nobody. */
  readonly signedInAs: string | null;
}

/** How far a platform's clock may be off, in seconds. */
const LEEWAY_S = 60;
/** The largest token, in characters. */
const MAX_TOKEN = 100_000;

/**
 * Checks a launch (LTI 1.3 security framework, 5.1.3): the state that we gave, once; a token signed with RS256 by a key
 * of its platform; from it, for us, now, with our nonce, of a known deployment. A sentence: why it is refused.
 * `browserOf`: the secret that the browser's cookie for the login holds.
 */
export async function verifyLaunch(
  context: Context,
  { idToken, state }: { readonly idToken: string; readonly state: string },
  browserOf: string | null,
): Promise<Verified | string> {
  const { db, now } = context;
  const login = await takeLogin(context, state);
  if (typeof login === 'string') return login;
  const [platform] = await db.select().from(platforms).where(eq(platforms.id, login.platformId));
  if (!platform) return 'Its platform is not known here.';
  const payload = await payloadOf(context, platform, idToken);
  if (typeof payload === 'string') return payload;
  const { aud, azp } = payload;
  if (azp !== undefined && azp !== platform.clientId) return 'It was made for somebody else (azp).';
  if (Array.isArray(aud) && aud.length > 1 && azp !== platform.clientId) return 'It was made for others too (aud).';
  const claims = readClaims(payload);
  if (typeof claims === 'string') return claims;
  if (claims.nonce !== login.nonce) return 'It does not belong to the login that was begun (nonce).';
  if (!(await hasDeployment(context, platform.id, claims[CLAIM.deployment])))
    return 'Its deployment is not known here.';
  if (login.expiresAt.getTime() < now().getTime()) return 'The login took too long.';
  return {
    ...{ claims, platform, signedInAs: login.signedInAs },
    sameBrowser: browserOf !== null && digestOf(browserOf) === login.browser,
  };
}

/** Uses up the login of a state, in one statement, so that of two launches with it one is taken. */
async function takeLogin({ db, now }: Context, state: string): Promise<typeof ltiLogin.$inferSelect | string> {
  const id = digestOf(state);
  const [taken] = await db
    .update(ltiLogin)
    .set({ usedAt: now() })
    .where(and(eq(ltiLogin.id, id), isNull(ltiLogin.usedAt)))
    .returning();
  if (taken) return taken;
  const used = await db.query.ltiLogin.findFirst({ where: eq(ltiLogin.id, id) });
  return used ? 'It was used before.' : 'No login was begun for it.';
}

async function payloadOf(context: Context, platform: Platform, token: string) {
  if (token.length > MAX_TOKEN) return 'Its token is too long.';
  try {
    const { kid, alg } = decodeProtectedHeader(token);
    if (alg !== ALGORITHM) return 'Its token is not signed with RS256.';
    if (typeof kid !== 'string' || kid === '') return 'Its token does not name its key (kid).';
    const key = await platformKey(context, platform, kid);
    if (typeof key === 'string') return key;
    const { payload } = await jwtVerify(token, key, {
      algorithms: [ALGORITHM],
      issuer: platform.issuer,
      audience: platform.clientId,
      clockTolerance: LEEWAY_S,
      maxTokenAge: KEPT_MS / 1000 - LEEWAY_S,
      requiredClaims: ['exp', 'iat', 'nonce', 'sub'],
      currentDate: context.now(),
    });
    return payload;
  } catch (error) {
    // Of the library's errors each has a code: a token that is not one, a wrong signature, a claim that does not fit.
    if (error instanceof errors.JWTClaimValidationFailed) return `Its ${error.claim} does not fit.`;
    if (error instanceof errors.JWTExpired) return `It is too old (${error.claim}).`;
    if (error instanceof errors.JOSEError || error instanceof TypeError)
      return 'Its token is not signed by its platform.';
    throw error;
  }
}
