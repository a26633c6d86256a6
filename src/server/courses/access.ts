import { and, eq, exists, or, type SQL, sql } from 'drizzle-orm';
import type { As, Teacher } from '../context';
import { course, courseLearner, courseTeacher, release } from '../database/tables';

/** What a teacher may do with a course: everything (its owner), or everything except its ownership. */
export type CourseRight = 'own' | 'teach';
type CourseRow = typeof course.$inferSelect;

/** The condition that a course is one the teacher owns or teaches. */
export const isTaughtBy = ({ db, person }: Pick<As<Teacher>, 'db' | 'person'>): SQL | undefined =>
  or(
    eq(course.ownerId, person.id),
    exists(
      db
        .select({ one: sql`1` })
        .from(courseTeacher)
        .where(and(eq(courseTeacher.courseId, course.id), eq(courseTeacher.personId, person.id))),
    ),
  );

/** A course of the teacher's with their right; null: not theirs. */
export async function courseOf(as: As<Teacher>, id: string): Promise<{ row: CourseRow; right: CourseRight } | null> {
  const [row] = await as.db
    .select()
    .from(course)
    .where(and(eq(course.id, id), isTaughtBy(as)));
  return row ? { row, right: row.ownerId === as.person.id ? 'own' : 'teach' } : null;
}

/** True if the learner is enrolled in the course. */
export const isOnRoster = async ({ db }: Pick<As, 'db'>, courseId: string, learnerId: string): Promise<boolean> =>
  (await db.query.courseLearner.findFirst({
    where: and(eq(courseLearner.courseId, courseId), eq(courseLearner.learnerId, learnerId)),
  })) !== undefined;

/** A release of a course of the teacher's. */
export async function releaseOf(
  as: As<Teacher>,
  id: string,
): Promise<{ row: typeof release.$inferSelect; course: CourseRow; right: CourseRight } | null> {
  const [found] = await as.db
    .select({ row: release, course })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .where(and(eq(release.id, id), isTaughtBy(as)));
  return found ? { ...found, right: found.course.ownerId === as.person.id ? 'own' : 'teach' } : null;
}
