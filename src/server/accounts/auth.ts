import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { username } from 'better-auth/plugins';
import type { Config } from '../config';
import * as accountTables from '../database/accountTables';
import type { Database } from '../database/open';
import { allowsOrigin } from './origins';
import { hash, LONGEST_PASSWORD, SHORTEST_PASSWORD, verify } from './password';
import { signInLimit } from './signInLimit';

/** What a request to the sign-in library may have at most, in bytes. */
export const MAX_AUTH_BYTES = 16 * 1024;

/** The paths of better-auth that are open; all others answer "not found" (accounts are made by teachers, through our own endpoints). */
export const OPEN_AUTH_PATHS: ReadonlySet<string> = new Set(['/sign-in/username', '/sign-in/email', '/sign-out', '/get-session', '/change-password']);

export type Auth = ReturnType<typeof makeAuth>;

export function makeAuth(db: Database, config: Config) {
  const { before, after } = signInLimit(db);
  const originOf = (request: Request | undefined) => {
    const origin = request?.headers.get('origin') ?? '';
    return origin && allowsOrigin(config, origin, request?.headers.get('host') ?? null) ? [origin] : [];
  };
  return betterAuth({
    ...(config.publicUrl ? { baseURL: config.publicUrl.origin } : { baseURL: 'http://localhost' }),
    basePath: '/api/auth',
    secret: config.secret,
    telemetry: { enabled: false },
    logger: { level: 'error' },
    trustedOrigins: async (request) => originOf(request),
    database: drizzleAdapter(db, { provider: 'sqlite', schema: accountTables, transaction: true }),
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: SHORTEST_PASSWORD, maxPasswordLength: LONGEST_PASSWORD, password: { hash, verify } },
    user: {
      additionalFields: {
        role: { type: 'string', required: true, defaultValue: 'learner', input: false },
        madeBy: { type: 'string', required: false, input: false },
      },
    },
    // Looked up with each request: a sign-out holds at once, in every process.
    session: { expiresIn: 14 * 24 * 3600, updateAge: 24 * 3600 },
    // Per address; wide enough for a school behind one. The limit per account is in signInLimit.
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 600,
      customRules: { '/sign-in/*': { window: 60, max: 200 }, '/change-password': { window: 60, max: 20 } },
    },
    advanced: {
      cookiePrefix: 'vault-drop',
      useSecureCookies: config.publicUrl?.protocol === 'https:',
      ipAddress: { ipAddressHeaders: ['x-client-ip'] },
    },
    hooks: { before, after },
    plugins: [username({ minUsernameLength: 2, maxUsernameLength: 60 })],
  });
}
