import { and, asc, count, desc, eq, isNull, sql } from 'drizzle-orm';
import type { CourseChange, CourseRow, CourseSaved, CourseView, TeacherRow } from '../../contract';
import { normalUsername } from '../../core';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { course, courseLearner, courseTeacher, ltiContext, platform, release, sitting, unit } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { courseOf, isTaughtBy } from './access';
import { assignedLearners } from './assigned';
import { newCode } from './join';

/** The courses the teacher owns or teaches, archived ones last. */
export async function listCourses(as: As<Teacher>): Promise<CourseRow[]> {
  const rows = await as.db
    .select({
      id: course.id,
      title: course.title,
      learners: count(courseLearner.learnerId),
      owner: user.name,
      ownerId: course.ownerId,
      archivedAt: course.archivedAt,
    })
    .from(course)
    .innerJoin(user, eq(user.id, course.ownerId))
    .leftJoin(courseLearner, eq(courseLearner.courseId, course.id))
    .where(isTaughtBy(as))
    .groupBy(course.id)
    .orderBy(sql`${course.archivedAt} is not null`, asc(course.title));
  return rows.map(({ ownerId, archivedAt, ...row }) => ({
    ...row,
    right: ownerId === as.person.id ? 'own' : 'teach',
    archived: archivedAt !== null,
  }));
}

/** `id` is made by the client, so that a repeated request makes one course. */
export async function makeCourse(
  { db, person, now }: As<Teacher>,
  id: string,
  title: string,
): Promise<Result<{ id: string }>> {
  await db.insert(course).values({ id, title, ownerId: person.id, createdAt: now() }).onConflictDoNothing();
  const made = await db.query.course.findFirst({
    columns: { id: true },
    where: and(eq(course.id, id), eq(course.ownerId, person.id)),
  });
  return made ? ok({ id }) : fail('notFound');
}

export async function openCourse(as: As<Teacher>, id: string): Promise<Result<CourseView>> {
  const { db } = as;
  const found = await courseOf(as, id);
  if (!found) return fail('notFound');
  const { row, right } = found;
  const [[learners], owner, units, releases, [linked]] = await Promise.all([
    db.select({ n: count() }).from(courseLearner).where(eq(courseLearner.courseId, id)),
    db.query.user.findFirst({ columns: { name: true }, where: eq(user.id, row.ownerId) }),
    db.select({ id: unit.id, title: unit.title }).from(unit).where(eq(unit.courseId, id)).orderBy(asc(unit.position)),
    db
      .select({
        id: release.id,
        title: release.title,
        unitId: release.unitId,
        opensAt: release.opensAt,
        dueAt: release.dueAt,
        closesAt: release.closesAt,
        practice: release.practice,
        createdAt: release.createdAt,
        withdrawnAt: release.withdrawnAt,
        edition: release.edition,
        sat: sql<number>`count(distinct ${sitting.learnerId})`,
        finished: sql<number>`count(distinct case when ${sitting.finishedAt} is not null then ${sitting.learnerId} end)`,
        assigned: assignedLearners,
      })
      .from(release)
      .leftJoin(sitting, eq(sitting.releaseId, release.id))
      .where(eq(release.courseId, id))
      .groupBy(release.id)
      .orderBy(desc(release.createdAt)),
    db
      .select({ name: platform.name, roster: sql<number>`${ltiContext.membershipsUrl} is not null` })
      .from(ltiContext)
      .innerJoin(platform, eq(platform.id, ltiContext.platformId))
      .where(eq(ltiContext.courseId, id))
      .orderBy(isNull(ltiContext.membershipsUrl)),
  ]);
  return ok({
    id,
    title: row.title,
    owner: owner?.name ?? '',
    right,
    archived: row.archivedAt !== null,
    learners: learners?.n ?? 0,
    join: row.joinCode === null ? null : { code: row.joinCode, until: row.joinUntil },
    pictureCode: row.pictureCode,
    units,
    releases: releases.map(({ assigned, ...row }) => ({ ...row, learners: assigned })),
    zone: row.zone,
    lang: row.lang,
    appearance: row.appearance,
    releaseDefaults: row.releaseDefaults,
    letters: row.letters,
    platform: linked ? { name: linked.name, roster: linked.roster === 1 } : null,
    revision: row.revision,
  });
}

export async function changeCourse(
  as: As<Teacher>,
  id: string,
  { title, archived, join, zone, lang, appearance, releaseDefaults, letters, from }: CourseChange,
): Promise<Result<CourseSaved>> {
  const found = await courseOf(as, id);
  if (!found) return fail('notFound');
  if (archived !== undefined && found.right !== 'own') return fail('notAllowed');
  const { row } = found;
  const code = join === undefined ? row.joinCode : join === null ? null : (row.joinCode ?? newCode());
  const until = join === undefined ? row.joinUntil : (join?.until ?? null);
  const changed = await as.db
    .update(course)
    .set({
      title: title ?? row.title,
      archivedAt: archived === undefined ? row.archivedAt : archived ? (row.archivedAt ?? as.now()) : null,
      joinCode: code,
      joinUntil: until,
      zone: zone === undefined ? row.zone : zone,
      lang: lang === undefined ? row.lang : lang,
      appearance: appearance ?? row.appearance,
      releaseDefaults: releaseDefaults ?? row.releaseDefaults,
      letters: letters ? [...letters] : row.letters,
      revision: sql`${course.revision} + 1`,
    })
    .where(and(eq(course.id, id), eq(course.revision, from ?? row.revision)))
    .returning({ revision: course.revision });
  const [saved] = changed;
  if (saved)
    return ok({
      title: title ?? row.title,
      join: code === null ? null : { code, until },
      zone: zone === undefined ? row.zone : zone,
      lang: lang === undefined ? row.lang : lang,
      appearance: appearance ?? row.appearance,
      releaseDefaults: releaseDefaults ?? row.releaseDefaults,
      letters: letters ? [...letters] : row.letters,
      revision: saved.revision,
    });
  const now = await courseOf(as, id);
  if (!now) return fail('notFound');
  const { row: there } = now;
  return fail('changedMeanwhile', {
    detail: {
      revision: there.revision,
      content: {
        title: there.title,
        zone: there.zone,
        lang: there.lang,
        appearance: there.appearance,
        releaseDefaults: there.releaseDefaults,
        letters: there.letters,
        join: there.joinCode === null ? null : { code: there.joinCode, until: there.joinUntil },
      },
    },
  });
}

/** The co-teachers of a course. */
export async function listTeachers(as: As<Teacher>, courseId: string): Promise<Result<TeacherRow[]>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  return ok(
    await as.db
      .select({ id: user.id, name: user.name, username: user.displayUsername })
      .from(courseTeacher)
      .innerJoin(user, eq(user.id, courseTeacher.personId))
      .where(eq(courseTeacher.courseId, courseId))
      .orderBy(asc(user.name)),
  );
}

/** The owner makes a colleague a co-teacher, or not any more. A co-teacher may leave by themselves. */
export async function setTeacher(
  as: As<Teacher>,
  courseId: string,
  username: string,
  teaches: boolean,
): Promise<Result<TeacherRow[]>> {
  const { db, person, now } = as;
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const them = await db.query.user.findFirst({
    where: and(eq(user.username, normalUsername(username)), eq(user.role, 'teacher')),
  });
  const leaves = !teaches && them?.id === person.id;
  if (found.right !== 'own' && !leaves) return fail('notAllowed');
  if (!them || them.id === found.row.ownerId)
    return fail('invalid', {
      problems: [{ path: 'username', message: them ? 'The course is theirs.' : 'No colleague has this user name.' }],
    });
  if (teaches)
    await db.insert(courseTeacher).values({ courseId, personId: them.id, addedAt: now() }).onConflictDoNothing();
  else
    await db
      .delete(courseTeacher)
      .where(and(eq(courseTeacher.courseId, courseId), eq(courseTeacher.personId, them.id)));
  return leaves ? ok([]) : listTeachers(as, courseId);
}
