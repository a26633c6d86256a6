import { and, eq, inArray, isNotNull, lt } from 'drizzle-orm';
import type { Context } from '../context';
import {
  checkpoint,
  digest,
  erasing,
  figures,
  job,
  move,
  question,
  questionSet,
  release,
  sitting,
  standing,
} from '../database/tables';
import { clearCounts } from './limit';
import { clearEvents } from './securityLog';

const DAY_MS = 24 * 3600 * 1000;
/** Finished jobs stay for a while, so that the person who started them can still see the result. */
const JOB_DAYS = 7;
/** Attempts deleted at once; other requests run in between. */
const AT_ONCE = 50;

/**
 * Deletes what is past its retention: request counters, security events, jobs, deleted questions and sets, and (if a limit is
 * set) old attempts.
 */
export async function sweep(context: Pick<Context, 'db' | 'now' | 'config'>): Promise<void> {
  const { db, now, config } = context;
  const { binDays, logDays, attemptDays } = config.keep;
  const ago = (days: number) => new Date(now().getTime() - days * DAY_MS);
  await clearCounts(context);
  if (logDays !== null) await clearEvents(context, logDays);
  await db.delete(job).where(lt(job.finishedAt, ago(JOB_DAYS)));
  if (binDays !== null) {
    await db.delete(question).where(and(isNotNull(question.deletedAt), lt(question.deletedAt, ago(binDays))));
    await db.delete(questionSet).where(lt(questionSet.deletedAt, ago(binDays)));
  }
  if (attemptDays !== null)
    while ((await clearAttempts(context, ago(attemptDays))) === AT_ONCE)
      await new Promise((resolve) => setImmediate(resolve));
}

/**
 * Deletes attempts that ended before a time, with their moves. The database allows moves to be deleted only for
 * learners who stand in `erasing`.
 */
async function clearAttempts({ db }: Pick<Context, 'db'>, before: Date): Promise<number> {
  const old = await db
    .select({ id: sitting.id, learnerId: sitting.learnerId, courseId: release.courseId, releaseId: release.id })
    .from(sitting)
    .innerJoin(release, eq(release.id, sitting.releaseId))
    .where(lt(sitting.finishedAt, before))
    .limit(AT_ONCE);
  if (old.length === 0) return 0;
  const ids = old.map(({ id }) => id);
  await db.transaction(async (tx) => {
    await tx
      .insert(erasing)
      .values(old.map(({ courseId, learnerId }) => ({ courseId, learnerId })))
      .onConflictDoNothing();
    for (const table of [digest, standing, checkpoint, move])
      await tx.delete(table).where(inArray(table.sittingId, ids));
    await tx.delete(sitting).where(inArray(sitting.id, ids));
    const releases = old.map(({ releaseId }) => releaseId);
    await tx.delete(figures).where(inArray(figures.releaseId, releases));
    await tx.delete(erasing);
  });
  return old.length;
}
