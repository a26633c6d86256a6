import { and, desc, eq, sum } from 'drizzle-orm';
import { withoutDust } from '../../core';
import type { As, Learner } from '../context';
import { course, courseLearner, release, sitting, standing } from '../database/tables';
import { endOf } from '../sittings/standing';
import { editionOf, newestEdition } from './editions';

export interface LearnerRelease {
  id: string;
  title: string;
  course: string;
  createdAt: Date;
  dueAt: Date | null;
  minutes: number | null;
  questions: number;
  /** Null before the first check, and where not all of the marks are shown. */
  mark: number | null;
  max: number | null;
  state: 'waiting' | 'started' | 'finished' | 'closed';
}

/** The releases of the courses a learner belongs to, the newest first. */
export async function releasesFor({ db, person, now }: As<Learner>): Promise<LearnerRelease[]> {
  const rows = await db
    .select({
      id: release.id,
      title: release.title,
      course: course.title,
      createdAt: release.createdAt,
      dueAt: release.dueAt,
      minutes: release.minutes,
      startedAt: sitting.startedAt,
      finishedAt: sitting.finishedAt,
      mark: sum(standing.points).mapWith(Number),
      ended: sum(standing.ended).mapWith(Number),
    })
    .from(courseLearner)
    .innerJoin(course, eq(course.id, courseLearner.courseId))
    .innerJoin(release, eq(release.courseId, course.id))
    .leftJoin(sitting, and(eq(sitting.releaseId, release.id), eq(sitting.learnerId, person.id)))
    .leftJoin(standing, eq(standing.sittingId, sitting.id))
    .where(eq(courseLearner.learnerId, person.id))
    .groupBy(release.id, sitting.id)
    .orderBy(desc(release.createdAt));
  const found: LearnerRelease[] = [];
  for (const { startedAt, finishedAt, mark, ended, ...row } of rows) {
    const { models, asks, outOf } = await editionOf(db, row.id, await newestEdition(db, row.id));
    const shown = models.every(({ question }) => question.show.mark);
    const over = (endOf({ startedAt: startedAt ?? now(), dueAt: row.dueAt, minutes: row.minutes })?.getTime() ?? Infinity) <= now().getTime();
    const finished = finishedAt !== null || ended === asks || (startedAt !== null && over);
    found.push({
      ...row,
      questions: asks,
      mark: shown && mark !== null ? withoutDust(mark) : null,
      max: shown && mark !== null ? outOf : null,
      state: finished ? 'finished' : startedAt !== null ? 'started' : over ? 'closed' : 'waiting',
    });
  }
  return found;
}
