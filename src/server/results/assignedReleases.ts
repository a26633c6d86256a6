import { and, desc, eq, isNull } from 'drizzle-orm';
import type { LearnerRelease } from '../../contract';
import { countingMark, roundMark } from '../../core';
import type { As, Learner } from '../context';
import { allowance, course, courseLearner, release } from '../database/tables';
import { isAssignedTo } from '../releases/audience';
import { editionOf, type OpenEdition } from '../releases/editions';
import { endOf, timeFor, usedBy } from '../releases/time';
import { feedbackLevelAfter } from '../sittings/finish';
import { attemptScores, ofLearners } from './attemptScores';

/**
 * True if the learner may see the marks: by the feedback level, by its time, and if all of the release's questions show
 * their marks.
 */
export const showsMarks = (
  row: Pick<typeof release.$inferSelect, 'feedbackLevel' | 'feedbackTime'>,
  closesAt: Date | null,
  { models }: OpenEdition,
  now: Date,
): boolean =>
  feedbackLevelAfter({ ...row, closesAt }, now) !== null && models.every(({ question }) => question.show.mark);

/** The releases assigned to a learner, newest first. */
export async function assignedReleases(as: As<Learner>): Promise<LearnerRelease[]> {
  const { db, person } = as;
  const at = as.now();
  const rows = await db
    .select({ release, course: course.title, allowed: allowance })
    .from(courseLearner)
    .innerJoin(course, eq(course.id, courseLearner.courseId))
    .innerJoin(release, eq(release.courseId, course.id))
    .leftJoin(allowance, and(eq(allowance.releaseId, release.id), eq(allowance.learnerId, person.id)))
    .where(and(eq(courseLearner.learnerId, person.id), isNull(course.archivedAt), isAssignedTo(db, person.id)))
    .orderBy(desc(release.createdAt));
  const came = await attemptScores(
    db,
    ofLearners(
      rows.map((row) => row.release.id),
      [person.id],
    ),
  );
  const found: LearnerRelease[] = [];
  for (const { release: row, course: title, allowed } of rows) {
    const edition = await editionOf(db, row.id, row.edition);
    const { asks } = edition;
    const time = timeFor(row, allowed);
    const mine = came
      .filter(({ releaseId }) => releaseId === row.id)
      .map(({ startedAt, ...one }) => {
        const over = (endOf(usedBy({ startedAt, ...one }, as), time, at)?.getTime() ?? Infinity) <= at.getTime();
        return {
          ...one,
          touched: one.acted && one.tries !== null,
          finished: one.finishedAt !== null || one.ended === asks || over,
        };
      });
    const shown = showsMarks(row, time.closesAt, edition, at);
    const counting =
      shown && mine.some(({ touched }) => touched)
        ? countingMark(
            mine.filter(({ acted }) => acted),
            row.counts,
          )
        : null;
    const most = row.sittings === null ? Infinity : row.sittings + (allowed?.moreSittings ?? 0);
    const closed = time.closesAt !== null && time.closesAt <= at;
    const last = mine.at(-1);
    found.push({
      id: row.id,
      title: row.title,
      course: title,
      createdAt: row.createdAt,
      opensAt: row.opensAt,
      dueAt: allowed?.dueAt ?? row.dueAt,
      closesAt: time.closesAt,
      minutes: time.minutes,
      practice: row.practice,
      questions: asks,
      mark: counting && roundMark(counting.points),
      max: counting && roundMark(counting.outOf),
      state: last
        ? !last.finished
          ? 'started'
          : closed || mine.length >= most
            ? 'finished'
            : 'again'
        : closed
          ? 'closed'
          : row.opensAt !== null && row.opensAt > at
            ? 'early'
            : 'waiting',
    });
  }
  return found;
}
