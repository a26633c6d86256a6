import { eq, like, lt, or, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { requestCount } from '../database/accountTables';
import { literally } from '../database/like';
import type { Database } from '../database/open';

export interface Limit {
  readonly max: number;
  readonly windowMs: number;
}
const MINUTE = 60_000;
/** How often what may be asked for. Each by whom it is said: an address, an account, a code. */
export const LIMITS = {
  /** Wrong passwords for one account. */
  'sign-in': { max: 5, windowMs: 10 * MINUTE },
  /** Sign-ins from one address: a school behind one begins its lesson. */
  'sign-in-address': { max: 300, windowMs: MINUTE },
  'change-password': { max: 5, windowMs: 10 * MINUTE },
  /** A class of thirty joins from one address within some minutes. */
  'joining-address': { max: 60, windowMs: 10 * MINUTE },
  /** Codes that are none. */
  'joining-guess': { max: 10, windowMs: 10 * MINUTE },
  'joining-code': { max: 500, windowMs: 10 * MINUTE },
  upload: { max: 200, windowMs: 10 * MINUTE },
} as const satisfies Readonly<Record<string, Limit>>;
export type Limited = keyof typeof LIMITS;

/**
 * Counts one more and says how often that makes within the stretch of time: in one statement, before what is limited is
 * done, so that many at once count as many.
 */
export async function countOne(db: Database, what: Limited, whose: string, now: number): Promise<number> {
  const { windowMs } = LIMITS[what];
  const old = sql`${requestCount.since} < ${now - windowMs}`;
  const [row] = await db
    .insert(requestCount)
    .values({ key: keyOf(what, whose), count: 1, since: now })
    .onConflictDoUpdate({
      target: requestCount.key,
      set: {
        count: sql`case when ${old} then 1 else ${requestCount.count} + 1 end`,
        since: sql`case when ${old} then ${now} else ${requestCount.since} end`,
      },
    })
    .returning({ count: requestCount.count });
  return row?.count ?? 1;
}

/** May it be done once more? */
export const mayOnceMore = async (
  { db, now }: Pick<Context, 'db' | 'now'>,
  what: Limited,
  whose: string,
): Promise<boolean> => (await countOne(db, what, whose, now().getTime())) <= LIMITS[what].max;

const MAX_WHOSE = 200;
const keyOf = (what: Limited, whose: string) => `${what} ${whose.slice(0, MAX_WHOSE)}`;

/** It went well: nothing is held against them any more. */
export const forgive = async (db: Pick<Database, 'delete'>, what: Limited, whose: string): Promise<void> => {
  const key = keyOf(what, whose);
  // With whatever is counted apart for single browsers.
  await db
    .delete(requestCount)
    .where(or(eq(requestCount.key, key), like(requestCount.key, sql`${`${literally(key)} %`} escape '\\'`)));
};

const LONGEST_MS = Math.max(...Object.values(LIMITS).map(({ windowMs }) => windowMs));
/** Clears what is too long ago to count. */
export const clearCounts = async ({ db, now }: Pick<Context, 'db' | 'now'>): Promise<void> => {
  await db.delete(requestCount).where(lt(requestCount.since, now().getTime() - LONGEST_MS));
};
