import { createHash, randomBytes } from 'node:crypto';
import { lt } from 'drizzle-orm';
import type { Context, Person } from '../context';
import { ltiLaunch, ltiLogin } from '../database/tables';
import { type Platform, platformFor, toolAddresses } from './platforms';

/** How long a login may take, in milliseconds. */
const LOGIN_MS = 10 * 60 * 1000;
/** A used login is kept until no token for it can hold any more: a launch that comes again is known by it. */
export const KEPT_MS = 2 * 3600 * 1000;

export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('base64url');
export const newSecret = (): string => randomBytes(24).toString('base64url');

/** The name of the cookie that binds a login to its browser. */
export const loginCookie = (state: string): string => `vault-drop.lti.${digestOf(state).slice(0, 12)}`;

export interface Begun {
  /** The platform's authorisation address, with what it needs. */
  readonly location: string;
  readonly state: string;
  /** The secret for the browser's cookie. */
  readonly browser: string;
  readonly seconds: number;
}

/** The parameters of a login that a platform begins (OpenID Connect Core, 4; LTI 1.3 security framework, 5.1.1). */
interface Asked {
  readonly issuer: string;
  readonly loginHint: string;
  readonly clientId: string | null;
  readonly deploymentId: string | null;
  readonly messageHint: string | null;
}

function read(given: URLSearchParams): Asked | string {
  const get = (name: string) => given.get(name) || null;
  const issuer = get('iss');
  const loginHint = get('login_hint');
  if (issuer === null) return 'It lacks iss.';
  if (loginHint === null) return 'It lacks login_hint.';
  if (get('target_link_uri') === null) return 'It lacks target_link_uri.';
  return {
    issuer,
    loginHint,
    clientId: get('client_id'),
    deploymentId: get('lti_deployment_id'),
    messageHint: get('lti_message_hint'),
  };
}

/** Begins a login; a sentence: why not. `person`: who is signed in; `base`: our own address, without a path. */
export async function beginLogin(
  context: Context,
  given: URLSearchParams,
  { person, base }: { readonly person: Person | null; readonly base: string },
): Promise<Begun | string> {
  const asked = read(given);
  if (typeof asked === 'string') return asked;
  const platform = await platformFor(context, asked.issuer, asked.clientId, asked.deploymentId);
  if (!platform) return 'Its platform is not known here.';
  const [state, nonce, browser] = [newSecret(), newSecret(), newSecret()];
  const expiresAt = new Date(context.now().getTime() + LOGIN_MS);
  await clearOld(context);
  await context.db.insert(ltiLogin).values({
    ...{ id: digestOf(state), platformId: platform.id, nonce, browser: digestOf(browser), expiresAt },
    signedInAs: person?.role === 'teacher' ? person.id : null,
  });
  return {
    ...{ state, browser, seconds: LOGIN_MS / 1000 },
    location: authorisation(platform, asked, { state, nonce, redirect: toolAddresses(base).launchUrl }),
  };
}

/** Removes logins and launches that are over. */
async function clearOld({ db, now }: Context): Promise<void> {
  const at = now().getTime();
  await db.delete(ltiLogin).where(lt(ltiLogin.expiresAt, new Date(at - KEPT_MS)));
  await db.delete(ltiLaunch).where(lt(ltiLaunch.expiresAt, new Date(at)));
}

function authorisation(
  { authUrl, clientId }: Platform,
  { loginHint, messageHint }: Asked,
  { state, nonce, redirect }: { readonly state: string; readonly nonce: string; readonly redirect: string },
): string {
  const url = new URL(authUrl);
  const ours = {
    ...{ scope: 'openid', response_type: 'id_token', response_mode: 'form_post', prompt: 'none' },
    ...{ client_id: clientId, redirect_uri: redirect, login_hint: loginHint, state, nonce },
    ...(messageHint === null ? {} : { lti_message_hint: messageHint }),
  };
  for (const [name, value] of Object.entries(ours)) url.searchParams.set(name, value);
  return url.href;
}
