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
/** The rate limits. The subject of each is named beside it: an address, an account, a code. */
export const LIMITS = {
  /** Wrong passwords for one account. */
  'sign-in': { max: 5, windowMs: 10 * MINUTE },
  /** Sign-ins from one address, for a school that shares one. */
  'sign-in-address': { max: 300, windowMs: MINUTE },
  /** Wrong pictures of one child: there are 4096 ways to choose them, so that a day allows few. */
  pictures: { max: 5, windowMs: 10 * MINUTE },
  'pictures-day': { max: 20, windowMs: 24 * 60 * MINUTE },
  'change-password': { max: 5, windowMs: 10 * MINUTE },
  /** A class of thirty joins from one address within some minutes. */
  'joining-address': { max: 60, windowMs: 10 * MINUTE },
  /** Wrong join codes. */
  'joining-guess': { max: 10, windowMs: 10 * MINUTE },
  'joining-code': { max: 500, windowMs: 10 * MINUTE },
  /** E-mails that a teacher asks for: links to new addresses, and Today at once. */
  mail: { max: 10, windowMs: 24 * 60 * MINUTE },
  /** Requests with one access token. */
  token: { max: 600, windowMs: MINUTE },
  upload: { max: 200, windowMs: 10 * MINUTE },
} as const satisfies Readonly<Record<string, Limit>>;
export type Limited = keyof typeof LIMITS;

/**
 * Counts a request and returns how many there were in the window. It is one statement, before the limited action, so
 * that requests that arrive at once are all counted.
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

/** True if one more request is allowed. */
export const mayOnceMore = async (
  { db, now }: Pick<Context, 'db' | 'now'>,
  what: Limited,
  whose: string,
): Promise<boolean> => (await countOne(db, what, whose, now().getTime())) <= LIMITS[what].max;

const MAX_WHOSE = 200;
const keyOf = (what: Limited, whose: string) => `${what} ${whose.slice(0, MAX_WHOSE)}`;

/** Clears the counter after a success. */
export const forgive = async (db: Pick<Database, 'delete'>, what: Limited, whose: string): Promise<void> => {
  const key = keyOf(what, whose);
  // The counters of single browsers too.
  await db
    .delete(requestCount)
    .where(or(eq(requestCount.key, key), like(requestCount.key, sql`${`${literally(key)} %`} escape '\\'`)));
};

const LONGEST_MS = Math.max(...Object.values(LIMITS).map(({ windowMs }) => windowMs));
/** Deletes counters of windows that are over. */
export const clearCounts = async ({ db, now }: Pick<Context, 'db' | 'now'>): Promise<void> => {
  await db.delete(requestCount).where(lt(requestCount.since, now().getTime() - LONGEST_MS));
};
