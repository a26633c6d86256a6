import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { twoFactor, username } from 'better-auth/plugins';
import { MAX_PASSWORD, MIN_PASSWORD } from '../../contract';
import { isUsername, normalUsername } from '../../core';
import type { Config } from '../config';
import * as accountTables from '../database/accountTables';
import type { Database } from '../database/open';
import { log } from '../log';
import { launchSignIn } from './launched';
import { allowsOrigin } from './origins';
import { hash, verify } from './password';
import { PICTURE_SIGN_IN, pictureSignInFor } from './pictures';
import { signInLimit } from './signInLimit';

/** The largest request body for the sign-in library, in bytes. */
export const MAX_AUTH_BYTES = 16 * 1024;

/**
 * The paths of better-auth that are open; all others answer "not found" (accounts are made by teachers, through our own
 * endpoints).
 */
export const OPEN_AUTH_PATHS: ReadonlySet<string> = new Set([
  '/sign-in/username',
  PICTURE_SIGN_IN,
  '/sign-out',
  '/get-session',
  '/change-password',
  '/two-factor/enable',
  '/two-factor/disable',
  '/two-factor/verify-totp',
  '/two-factor/verify-backup-code',
  '/two-factor/generate-backup-codes',
]);
/** Those of them that are for teachers. */
export const TEACHER_AUTH_PATHS: ReadonlySet<string> = new Set([
  '/two-factor/enable',
  '/two-factor/disable',
  '/two-factor/generate-backup-codes',
]);

/** The cookie that says who is signed in. Behind https no other host can set it, and it goes nowhere else. */
export const sessionCookie = ({ publicUrl }: Pick<Config, 'publicUrl'>): string =>
  `${cookiePrefix(publicUrl)}.session_token`;
const cookiePrefix = (publicUrl: URL | null) => `${publicUrl?.protocol === 'https:' ? '__Host-' : ''}vault-drop`;

export type Auth = ReturnType<typeof makeAuth>;

export function makeAuth(db: Database, config: Config) {
  const { before, after } = signInLimit(db, config);
  const secure = config.publicUrl?.protocol === 'https:';
  const originOf = (request: Request | undefined) => {
    const origin = request?.headers.get('origin') ?? '';
    return origin && allowsOrigin(config, origin, request?.headers.get('host') ?? null) ? [origin] : [];
  };
  return betterAuth({
    ...(config.publicUrl ? { baseURL: config.publicUrl.origin } : { baseURL: 'http://localhost' }),
    basePath: '/api/auth',
    secret: config.secret,
    telemetry: { enabled: false },
    appName: 'Vault Drop',
    logger: {
      level: 'error',
      log: (_level, message, ...more) =>
        log.error({ err: more.find((candidate) => candidate instanceof Error) }, message),
    },
    trustedOrigins: async (request) => originOf(request),
    database: drizzleAdapter(db, { provider: 'sqlite', schema: accountTables, transaction: true }),
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: MIN_PASSWORD,
      maxPasswordLength: MAX_PASSWORD,
      password: { hash, verify },
    },
    user: {
      additionalFields: {
        role: { type: 'string', required: true, defaultValue: 'learner', input: false },
        madeBy: { type: 'string', required: false, input: false },
      },
    },
    // The session is read with each request, so that a sign-out applies at once in every process.
    session: { expiresIn: 14 * 24 * 3600, updateAge: 24 * 3600 },
    // Per address, wide enough for a school that shares one. Sign-in itself is limited in signInLimit.ts, because the
    // library's window restarts only after a pause without requests.
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 600,
      customRules: { '/sign-in/*': false, '/change-password': { window: 60, max: 20 } },
    },
    advanced: {
      cookiePrefix: cookiePrefix(config.publicUrl),
      // The prefix is set here: the library's own
      useSecureCookies: false,
      defaultCookieAttributes: { secure, httpOnly: true, sameSite: 'lax', path: '/' },
      ipAddress: { ipAddressHeaders: ['x-client-ip'] },
    },
    hooks: { before, after },
    plugins: [
      username({
        minUsernameLength: 2,
        maxUsernameLength: 60,
        usernameNormalization: normalUsername,
        usernameValidator: isUsername,
        validationOrder: { username: 'post-normalization' },
      }),
      twoFactor({ issuer: 'Vault Drop' }),
      pictureSignInFor(db),
      launchSignIn(),
    ],
  });
}
