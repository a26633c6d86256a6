import { and, desc, eq, isNull } from 'drizzle-orm';
import type { LearnerRelease } from '../../contract';
import { countingMark, countingSitting, roundMark } from '../../core';
import type { As, Learner } from '../context';
import { allowance, course, courseLearner, gradeRemark, release, sitting, unit } from '../database/tables';
import { isShownTo } from '../releases/audience';
import { editionOf, type OpenEdition } from '../releases/editions';
import { endOf, timeFor, usedBy } from '../releases/time';
import { correctedAttempts } from '../sittings/corrected';
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
    .select({
      release,
      course: course.title,
      courseId: course.id,
      unit: unit.title,
      allowed: allowance,
      remark: gradeRemark,
    })
    .from(courseLearner)
    .innerJoin(course, eq(course.id, courseLearner.courseId))
    .innerJoin(release, eq(release.courseId, course.id))
    .leftJoin(unit, eq(unit.id, release.unitId))
    .leftJoin(allowance, and(eq(allowance.releaseId, release.id), eq(allowance.learnerId, person.id)))
    .leftJoin(gradeRemark, and(eq(gradeRemark.releaseId, release.id), eq(gradeRemark.learnerId, person.id)))
    .where(and(eq(courseLearner.learnerId, person.id), isNull(course.archivedAt), isShownTo(db, person.id)))
    .orderBy(desc(release.createdAt));
  const came = await attemptScores(
    db,
    ofLearners(
      rows.map((row) => row.release.id),
      [person.id],
    ),
  );
  const found: LearnerRelease[] = [];
  const corrected = await correctedAttempts(
    as,
    person.id,
    rows.map((row) => row.release.id),
  );
  const reached = await reachedIn(as);
  for (const { release: row, course: title, courseId, unit: unitTitle, allowed, remark } of rows) {
    const edition = await editionOf(db, row.id, row.edition);
    const { asks } = edition;
    const time = timeFor(row, allowed);
    const mine = came
      .filter(({ releaseId }) => releaseId === row.id)
      .map(({ startedAt, ...one }) => {
        const over = (endOf(usedBy({ startedAt, ...one }, as), time, at)?.getTime() ?? Infinity) <= at.getTime();
        return {
          ...one,
          touched: one.acted && one.tries > 0,
          finished: one.finishedAt !== null || one.ended === asks || over,
        };
      });
    const shown = showsMarks(row, time.closesAt, edition, at);
    const acted = mine.filter((attempt) => attempt.acted);
    const counts = countingSitting(acted, row.counts);
    const counting = shown && mine.some(({ touched }) => touched) ? countingMark(acted, row.counts) : null;
    const most = row.sittings === null ? Infinity : row.sittings + (allowed?.moreSittings ?? 0);
    const closed = time.closesAt !== null && time.closesAt <= at;
    const last = mine.at(-1);
    found.push({
      id: row.id,
      title: row.title,
      course: title,
      courseId,
      unit: unitTitle,
      createdAt: row.createdAt,
      opensAt: row.opensAt,
      dueAt: allowed?.dueAt ?? row.dueAt,
      closesAt: time.closesAt,
      minutes: time.minutes,
      practice: row.practice,
      questions: asks,
      at: last && !last.finished ? (reached.get(last.id) ?? 0) + 1 : null,
      corrected: (counting && counts && corrected.get(counts.id)) ?? null,
      excused: remark?.excused ?? false,
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

/** By attempt of the learner's: the furthest question reached, from 0. */
async function reachedIn({ db, person }: As<Learner>): Promise<Map<string, number>> {
  const rows = await db
    .select({ id: sitting.id, reached: sitting.reached })
    .from(sitting)
    .where(eq(sitting.learnerId, person.id));
  return new Map(rows.map(({ id, reached }) => [id, reached]));
}
