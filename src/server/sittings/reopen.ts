import { and, eq, isNotNull } from 'drizzle-orm';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { allowance, checkpoint, digest, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { steadyNow, timeFor } from '../releases/time';
import { lastMoveOf } from './manyMoves';
import { recall } from './recent';
import { regradeSitting } from './regrade';
import { sumStandings } from './scores';

/**
 * Reopens a finished attempt as it was before it ended: the final checks do not count. If it has a time limit,
 * `minutes` are left. This is recorded.
 */
export async function reopen(
  as: As<Teacher>,
  releaseId: string,
  sittingId: string,
  minutes: number | null,
): Promise<Result<null>> {
  const { db, now } = as;
  const found = await releaseOf(as, releaseId);
  const row =
    found &&
    (await db.query.sitting.findFirst({ where: and(eq(sitting.id, sittingId), eq(sitting.releaseId, releaseId)) }));
  if (!found || !row) return fail('notFound');
  if (row.finishedAt === null) return ok(null);
  const [allowed] = await db
    .select()
    .from(allowance)
    .where(and(eq(allowance.releaseId, releaseId), eq(allowance.learnerId, row.learnerId)));
  const time = timeFor(found.row, allowed ?? null);
  if (time.closesAt && time.closesAt <= now())
    return fail('invalid', {
      problems: [
        {
          path: 'closesAt',
          message:
            'The release has closed. Let it close later, for all or for this learner, then open the attempt again.',
        },
      ],
    });
  if (time.minutes !== null && minutes === null)
    return fail('invalid', { problems: [{ path: 'minutes', message: 'Say how many minutes are left.' }] });
  const last = await lastMoveOf(db, sittingId);
  const usedMs = time.minutes === null ? row.usedMs : Math.round((time.minutes - (minutes ?? 0)) * 60_000);
  await db.transaction(async (tx) => {
    const opened = await tx
      .update(sitting)
      .set({ finishedAt: null, reopenedAfter: last, usedMs, usedAt: Math.round(steadyNow(as)) })
      .where(and(eq(sitting.id, sittingId), isNotNull(sitting.finishedAt)))
      .returning({ id: sitting.id });
    if (opened.length === 0) return;
    for (const table of [standing, checkpoint, digest]) await tx.delete(table).where(eq(table.sittingId, sittingId));
    await record(
      { ...as, db: tx },
      {
        courseId: found.course.id,
        releaseId,
        learnerId: row.learnerId,
        what: 'reopened',
        detail: { number: row.number, minutes },
      },
    );
  });
  recall(sittingId);
  // Checks made while it ran still count.
  const again = await regradeSitting(as, await editionOf(db, releaseId, row.edition), sittingId);
  await db.transaction(async (tx) => {
    if (again.standings.length > 0)
      await tx
        .insert(standing)
        .values([...again.standings])
        .onConflictDoNothing();
    await sumStandings(tx, eq(sitting.id, sittingId));
  });
  return ok(null);
}
