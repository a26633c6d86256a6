import { and, asc, eq, inArray, isNotNull, type SQLWrapper, sql } from 'drizzle-orm';
import type { Transaction } from '../database/open';
import { ltiContext, ltiLine, outbox, platform, recordStore } from '../database/tables';

/** The condition that a row of the outbox holds statements about a learner at one of these releases. */
export const statementsAbout = (tx: Transaction, learnerId: string, releases: SQLWrapper) =>
  and(
    eq(outbox.kind, 'statement'),
    inArray(outbox.subject, tx.select({ subject: sql<string>`${learnerId} || '/' || id` }).from(sql`(${releases})`)),
  );

/** The record store, if statements about them have arrived there. */
export async function storeWith(tx: Transaction, learnerId: string, releases: SQLWrapper): Promise<string[]> {
  const [row] = await tx
    .select({ address: recordStore.address })
    .from(outbox)
    .innerJoin(recordStore, eq(recordStore.id, outbox.place))
    .where(and(statementsAbout(tx, learnerId, releases), isNotNull(outbox.body)))
    .limit(1);
  return row ? [`the record store ${row.address}`] : [];
}

/** The platforms at which marks of these releases have arrived: what is there is theirs to erase. */
export async function arrivedAt(tx: Transaction, learnerId: string, releases: SQLWrapper): Promise<string[]> {
  const rows = await tx
    .selectDistinct({ name: platform.name })
    .from(outbox)
    .innerJoin(ltiLine, eq(ltiLine.id, outbox.place))
    .innerJoin(ltiContext, eq(ltiContext.id, ltiLine.contextId))
    .innerJoin(platform, eq(platform.id, ltiContext.platformId))
    .where(
      and(
        ...[eq(outbox.kind, 'score'), eq(outbox.subject, learnerId), isNotNull(outbox.body)],
        inArray(ltiLine.releaseId, releases),
      ),
    )
    .orderBy(asc(platform.name));
  return rows.map(({ name }) => name);
}
