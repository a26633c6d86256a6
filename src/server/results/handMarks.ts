import { and, eq } from 'drizzle-orm';
import type { GradeRemark, GradeRow, HandMark } from '../../contract';
import { countingMark, roundMark } from '../../core';
import type { As, Teacher } from '../context';
import { isOnRoster, releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { peopleIn } from '../courses/roster';
import { gradeRemark, markOverride, type release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { attemptScores, ofLearners, startedAttempts } from './attemptScores';
import { columnsOf, gradeRows } from './gradeCells';

/**
 * Sets a learner's mark of a release by hand, with a reason, out of the present maximum; null: the attempts count
 * again.
 */
export async function setMark(
  as: As<Teacher>,
  releaseId: string,
  learnerId: string,
  mark: HandMark | null,
): Promise<Result<GradeRow>> {
  const { db, person, now } = as;
  const found = await releaseOf(as, releaseId);
  if (!found || !(await isOnRoster(as, found.course.id, learnerId))) return fail('notFound');
  const its = and(eq(markOverride.releaseId, releaseId), eq(markOverride.learnerId, learnerId));
  const before = await db.query.markOverride.findFirst({ where: its });
  if (mark && before?.points === mark.points && before.reason === mark.reason)
    return rowNow(as, found.course.id, learnerId);
  if (!mark && !before) return rowNow(as, found.course.id, learnerId);
  const outOf = await outOfNow(as, found.row, learnerId);
  if (mark && mark.points > outOf && !mark.above)
    return fail('invalid', {
      problems: [
        {
          path: 'mark.above',
          message: `${mark.points} is more than the ${outOf} that can be earned. Confirm that you mean it.`,
        },
      ],
    });
  await db.transaction(async (tx) => {
    if (mark)
      await tx
        .insert(markOverride)
        .values({ releaseId, learnerId, points: mark.points, reason: mark.reason, outOf, by: person.id, at: now() })
        .onConflictDoUpdate({
          target: [markOverride.releaseId, markOverride.learnerId],
          set: { points: mark.points, reason: mark.reason, outOf, by: person.id, at: now() },
        });
    else await tx.delete(markOverride).where(its);
    await record(
      { ...as, db: tx },
      {
        courseId: found.course.id,
        releaseId,
        learnerId,
        what: mark ? 'markSet' : 'markSetBack',
        detail: {
          before: before?.points ?? null,
          points: mark?.points ?? null,
          outOf: mark ? outOf : (before?.outOf ?? null),
          reason: mark?.reason ?? '',
        },
      },
    );
  });
  return rowNow(as, found.course.id, learnerId);
}

/** The most a learner can earn in a release: in the attempt that counts, else in one started now. */
async function outOfNow({ db }: As<Teacher>, row: typeof release.$inferSelect, learnerId: string): Promise<number> {
  const { outOf, asks } = await editionOf(db, row.id, row.edition);
  const counts = countingMark(
    startedAttempts(await attemptScores(db, ofLearners([row.id], [learnerId])), asks),
    row.counts,
  );
  return roundMark(counts?.outOf ?? outOf);
}

/** Excuses a learner from a release, or no longer, and notes something for teachers. Excusing is on record. */
export async function setRemark(
  as: As<Teacher>,
  releaseId: string,
  { learnerId, excused, note }: GradeRemark,
): Promise<Result<GradeRow>> {
  const { db, person, now } = as;
  const found = await releaseOf(as, releaseId);
  if (!found || !(await isOnRoster(as, found.course.id, learnerId))) return fail('notFound');
  const its = and(eq(gradeRemark.releaseId, releaseId), eq(gradeRemark.learnerId, learnerId));
  const words = note.trim();
  await db.transaction(async (tx) => {
    const [before] = await tx.select().from(gradeRemark).where(its);
    const said = { excused, note: words, by: person.id, at: now() };
    if (!excused && words === '') await tx.delete(gradeRemark).where(its);
    else
      await tx
        .insert(gradeRemark)
        .values({ releaseId, learnerId, ...said })
        .onConflictDoUpdate({ target: [gradeRemark.releaseId, gradeRemark.learnerId], set: said });
    if ((before?.excused ?? false) !== excused)
      await record(
        { ...as, db: tx },
        { courseId: found.course.id, releaseId, learnerId, what: 'excused', detail: { excused } },
      );
  });
  return rowNow(as, found.course.id, learnerId);
}

/** A learner's row of the gradebook as it is now. */
async function rowNow(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<GradeRow>> {
  const columns = await columnsOf({ ...as, closing: false }, courseId);
  const [row] = await gradeRows(as, columns, await peopleIn(as, courseId, [learnerId]));
  return row ? ok(row) : fail('notFound');
}
