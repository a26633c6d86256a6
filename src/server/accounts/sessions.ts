import { and, desc, eq, gt, ne } from 'drizzle-orm';
import type { SessionRow } from '../../contract';
import type { As } from '../context';
import { session } from '../database/accountTables';
import { fail, ok, type Result } from '../errors';
import { noteSecurity } from './securityLog';

/** The sessions of the person, latest first. `token`: the session of the request. */
export async function listSessions({ db, person, now }: As, token: string): Promise<SessionRow[]> {
  const rows = await db
    .select()
    .from(session)
    .where(and(eq(session.userId, person.id), gt(session.expiresAt, now())))
    .orderBy(desc(session.updatedAt));
  return rows.map((row) => ({
    id: row.id,
    since: row.createdAt,
    seen: row.updatedAt,
    address: row.ipAddress,
    browser: row.userAgent,
    here: row.token === token,
  }));
}

/** Signs out one of the person's browsers. */
export async function endSession({ db, person }: As, id: string): Promise<Result<null>> {
  const gone = await db
    .delete(session)
    .where(and(eq(session.id, id), eq(session.userId, person.id)))
    .returning({ id: session.id });
  return gone.length > 0 ? ok(null) : fail('notFound');
}

/** Signs the person out everywhere but here. */
export async function endOtherSessions(as: As, token: string): Promise<Result<{ ended: number }>> {
  const gone = await as.db
    .delete(session)
    .where(and(eq(session.userId, as.person.id), ne(session.token, token)))
    .returning({ id: session.id });
  await noteSecurity(as, { what: 'signedOutEverywhere', userId: as.person.id, by: as.person.id, address: as.address });
  return ok({ ended: gone.length });
}
