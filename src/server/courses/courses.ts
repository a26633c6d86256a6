import { and, asc, count, desc, eq } from 'drizzle-orm';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { course, courseLearner, edition, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';

export interface CourseRow {
  id: string;
  title: string;
  learners: number;
}
export interface LearnerRow {
  id: string;
  name: string;
  username: string | null;
  /** Made by the teacher who asks, who therefore may reset the password. */
  mine: boolean;
}
export interface ReleaseRow {
  id: string;
  title: string;
  createdAt: Date;
  edition: number;
  sat: number;
}
export interface CourseView extends CourseRow {
  roster: LearnerRow[];
  releases: ReleaseRow[];
}

export async function listCourses({ db, person }: As<Teacher>): Promise<CourseRow[]> {
  return db
    .select({ id: course.id, title: course.title, learners: count(courseLearner.learnerId) })
    .from(course)
    .leftJoin(courseLearner, eq(courseLearner.courseId, course.id))
    .where(eq(course.ownerId, person.id))
    .groupBy(course.id)
    .orderBy(asc(course.title));
}

/** `id` is the client's, so that making it twice makes it once. */
export async function makeCourse({ db, person, now }: As<Teacher>, id: string, title: string): Promise<Result<{ id: string }>> {
  await db.insert(course).values({ id, title, ownerId: person.id, createdAt: now() }).onConflictDoNothing();
  return (await ownsCourse({ db, person }, id)) ? ok({ id }) : fail('notFound');
}

export async function ownsCourse({ db, person }: Pick<As<Teacher>, 'db' | 'person'>, id: string): Promise<boolean> {
  return (await db.query.course.findFirst({ columns: { id: true }, where: and(eq(course.id, id), eq(course.ownerId, person.id)) })) !== undefined;
}

export async function openCourse({ db, person }: As<Teacher>, id: string): Promise<Result<CourseView>> {
  const found = await db.query.course.findFirst({ where: and(eq(course.id, id), eq(course.ownerId, person.id)) });
  if (!found) return fail('notFound');
  const roster = await db
    .select({ id: user.id, name: user.name, username: user.displayUsername, madeBy: user.madeBy })
    .from(courseLearner)
    .innerJoin(user, eq(user.id, courseLearner.learnerId))
    .where(eq(courseLearner.courseId, id))
    .orderBy(asc(user.name));
  const releases = await db
    .select({ id: release.id, title: release.title, createdAt: release.createdAt, edition: edition.number, sat: count(sitting.id) })
    .from(release)
    .innerJoin(edition, eq(edition.releaseId, release.id))
    .leftJoin(sitting, eq(sitting.releaseId, release.id))
    .where(eq(release.courseId, id))
    .groupBy(release.id, edition.number)
    .orderBy(desc(release.createdAt));
  return ok({ id, title: found.title, learners: roster.length, roster: roster.map(({ madeBy, ...learner }) => ({ ...learner, mine: madeBy === person.id })), releases });
}
