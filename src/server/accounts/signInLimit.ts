import { APIError, createAuthMiddleware } from 'better-auth/api';
import { eq, sql } from 'drizzle-orm';
import { signInFailure } from '../database/accountTables';
import type { Database } from '../database/open';

const WINDOW_MS = 10 * 60_000;
const MOST_FAILURES = 5;

/** The paths a password can be tried on, and the account it is tried for. Changing a password asks for the present one, so it counts too. */
const isSignIn = (path: string) => path === '/sign-in/email' || path === '/sign-in/username';
const accountOf = (body: unknown) => {
  const { username, email } = (body ?? {}) as { username?: unknown; email?: unknown };
  return String(username ?? email ?? '')
    .toLowerCase()
    .slice(0, 200);
};

/**
 * Five wrong passwords for one account within ten minutes shut it for the rest of them. The limit is by account, not by address: a class sits
 * behind one address and signs in at the same minute.
 */
export function signInLimit(db: Database) {
  const before = createAuthMiddleware(async (context) => {
    if (!isSignIn(context.path)) return;
    const failed = await db.query.signInFailure.findFirst({ where: eq(signInFailure.account, accountOf(context.body)) });
    if (failed && failed.first > Date.now() - WINDOW_MS && failed.count >= MOST_FAILURES)
      throw new APIError('TOO_MANY_REQUESTS', { code: 'ACCOUNT_SHUT', message: 'Too many wrong passwords for this account' });
  });
  const after = createAuthMiddleware(async (context) => {
    if (!isSignIn(context.path)) return;
    const name = accountOf(context.body);
    if (context.context.newSession) {
      await db.delete(signInFailure).where(eq(signInFailure.account, name));
      return;
    }
    const now = Date.now();
    const old = sql`${signInFailure.first} < ${now - WINDOW_MS}`;
    await db
      .insert(signInFailure)
      .values({ account: name, count: 1, first: now })
      .onConflictDoUpdate({
        target: signInFailure.account,
        set: { count: sql`case when ${old} then 1 else ${signInFailure.count} + 1 end`, first: sql`case when ${old} then ${now} else ${signInFailure.first} end` },
      });
  });
  return { before, after };
}
