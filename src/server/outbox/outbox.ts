import { and, asc, eq, isNull, lt, lte, or, sql } from 'drizzle-orm';
import type { Sending } from '../../contract';
import type { Context } from '../context';
import { outbox } from '../database/tables';

export type OutboxRow = typeof outbox.$inferSelect;

/** How a try ended. */
export type Outcome =
  /** `body`: what arrived, kept so that the same is not sent again. */
  | { readonly arrived: true; readonly body?: unknown }
  /**
   * `again` false: trying again would not help. `after`: the other side asks to wait so long, in milliseconds. `body`:
   * of several things what has arrived of them.
   */
  | {
      readonly arrived: false;
      readonly reason: string;
      readonly again: boolean;
      readonly after?: number;
      readonly body?: unknown;
    };

/** The time after which another process may send a row whose process has ended, in milliseconds. */
const LEASE_MS = 60_000;
const FIRST_MS = 10_000;
const LONGEST_MS = 3600 * 1000;
/** A row that has not arrived by then is given up. */
const GIVE_UP_MS = 14 * 24 * 3600 * 1000;
/** So much earlier or later, so that those who failed together do not all come back at once. */
const JITTER = 0.2;

/** How long to wait after so many tries, in milliseconds: 10 s, doubled up to an hour. `chance`: from 0 to 1. */
export function pauseAfter(tries: number, chance: number): number {
  const pause = Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.min(tries - 1, 20));
  return Math.round(pause * (1 - JITTER + 2 * JITTER * chance));
}

/**
 * Takes rows that are due, the oldest first, in one statement, so that only one of two processes gets each.
 */
export async function takeDue({ db, now }: Pick<Context, 'db' | 'now'>, most: number): Promise<OutboxRow[]> {
  const at = now();
  const free = and(
    eq(outbox.state, 'waiting'),
    lte(outbox.dueAt, at),
    or(isNull(outbox.leasedUntil), lt(outbox.leasedUntil, at)),
  );
  const due = db.select({ id: outbox.id }).from(outbox).where(free).orderBy(asc(outbox.dueAt)).limit(most);
  return db
    .update(outbox)
    .set({ leasedUntil: new Date(at.getTime() + LEASE_MS), tries: sql`${outbox.tries} + 1` })
    .where(and(sql`${outbox.id} in (${due})`, free))
    .returning();
}

/** Writes down how a try ended, unless something newer waits in the row by now. */
export async function settle(
  { db, now }: Pick<Context, 'db' | 'now'>,
  row: OutboxRow,
  outcome: Outcome,
): Promise<void> {
  const at = now();
  const given =
    !outcome.arrived && (!outcome.again || at.getTime() - row.at.getTime() > GIVE_UP_MS)
      ? { state: 'failed' as const, reason: outcome.reason }
      : null;
  // What arrived is kept even if something newer waits: that is compared with it.
  if (outcome.body !== undefined) await db.update(outbox).set({ body: outcome.body }).where(eq(outbox.id, row.id));
  const pause = outcome.arrived ? 0 : Math.max(outcome.after ?? 0, pauseAfter(row.tries, Math.random()));
  await db
    .update(outbox)
    .set({
      leasedUntil: null,
      ...(outcome.arrived
        ? { state: 'arrived' as const, reason: '' }
        : (given ?? { reason: outcome.reason, dueAt: new Date(at.getTime() + pause) })),
    })
    .where(and(eq(outbox.id, row.id), eq(outbox.version, row.version)));
}

/** How a row stands, for people; null: it has arrived. */
export const sendingOf = ({
  state,
  reason,
  tries,
  at,
}: Pick<OutboxRow, 'state' | 'reason' | 'tries' | 'at'>): Sending =>
  state === 'arrived' ? null : { state, reason, tries, at };
