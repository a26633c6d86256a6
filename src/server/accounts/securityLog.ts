import { desc, eq, lt, or } from 'drizzle-orm';
import type { SecurityRow, SecurityWhat } from '../../contract';
import type { As, Context } from '../context';
import { securityEvent } from '../database/accountTables';
import type { Database } from '../database/open';
import { log } from '../log';

export interface SecurityEvent {
  readonly what: SecurityWhat;
  /** The account it is about, and who did it. */
  readonly userId?: string | null | undefined;
  readonly by?: string | null | undefined;
  readonly address?: string | null | undefined;
  /** Details, without secrets. */
  readonly detail?: string | undefined;
}

/** Records a security event in the database and in the log. A failure to record it does not stop the action. */
export async function noteSecurity(
  { db, now }: { readonly db: Pick<Database, 'insert'>; readonly now: () => Date },
  event: SecurityEvent,
): Promise<void> {
  const { what, userId = null, by = null, address = null, detail = '' } = event;
  log.info({ security: what, userId, by, address, detail }, 'security');
  await db
    .insert(securityEvent)
    .values({ at: now(), what, userId, by, address, detail: detail.slice(0, 200) })
    .catch((error: unknown) => log.error({ err: error }, 'a security event could not be stored'));
}

const MAX_ROWS = 50;

/** The security events of the person who asks, newest first. */
export const myEvents = ({ db, person }: As): Promise<SecurityRow[]> =>
  db
    .select({ at: securityEvent.at, what: securityEvent.what, address: securityEvent.address })
    .from(securityEvent)
    .where(or(eq(securityEvent.userId, person.id)))
    .orderBy(desc(securityEvent.n))
    .limit(MAX_ROWS);

const DAY_MS = 24 * 3600 * 1000;
export const clearEvents = async ({ db, now }: Pick<Context, 'db' | 'now'>, days: number): Promise<void> => {
  await db.delete(securityEvent).where(lt(securityEvent.at, new Date(now().getTime() - days * DAY_MS)));
};
