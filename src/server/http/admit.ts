import type { Auth } from '../accounts/auth';
import { allowsOrigin } from '../accounts/origins';
import { personOf } from '../accounts/session';
import type { Config } from '../config';
import type { Person } from '../context';

// What every request passes, by the page pipeline or by the fast lane.

/** Headers that every answer carries. */
export const SAFETY_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  ...(process.env.PUBLIC_URL?.startsWith('https:')
    ? { 'strict-transport-security': 'max-age=31536000; includeSubDomains' }
    : {}),
};

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** True for what changes nothing, and for a write that comes from a page of ours. */
export function comesFromUs(
  config: Pick<Config, 'publicUrl'>,
  { method, headers }: { readonly method: string; readonly headers: Pick<Headers, 'get'> },
): boolean {
  if (SAFE.has(method)) return true;
  const origin = headers.get('origin');
  return origin !== null && origin !== '' && allowsOrigin(config, origin, headers.get('host'));
}

/** Who is signed in: looked up once, and only if it is asked. `cookies`: what the look-up wants set. */
export function askedOnce(auth: Auth, headers: () => Headers): { person(): Promise<Person | null>; cookies: string[] } {
  const cookies: string[] = [];
  let asked: Promise<Person | null> | null = null;
  return {
    cookies,
    person: () => {
      asked ??= personOf(auth, headers()).then(({ person, setCookies }) => {
        cookies.push(...setCookies);
        return person;
      });
      return asked;
    },
  };
}
