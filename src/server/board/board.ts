import { and, asc, eq } from 'drizzle-orm';
import type { BoardSource, ClassBoard, RosterName } from '../../contract';
import type { Question } from '../../core';
import type { As, Teacher } from '../context';
import { courseOf, isTaughtBy, releaseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { course, courseGroup, groupMember, release, unit } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionInForce, editionOf } from '../releases/editions';
import { adoptMedia } from '../vault/access';
import { openWith } from '../vault/questions';
import { wholeSet } from '../vault/wholeSet';

/** Questions with their keys, for a class: a teacher's own, shared ones, or those of a course they teach. */
export async function openBoard(
  as: As<Teacher>,
  { from, id }: { readonly from: BoardSource; readonly id: string },
): Promise<Result<ClassBoard>> {
  switch (from) {
    case 'question': {
      const found = await openWith(as, id, 'use');
      if (!found.ok) return found;
      const { question } = found.value;
      return ok({ title: question.title, course: null, questions: [question] });
    }
    case 'set': {
      const found = await wholeSet(as, id);
      if (!found.ok) return found;
      const { title, questions } = found.value;
      return ok({ title, course: null, questions });
    }
    case 'release': {
      const found = await releaseOf(as, id);
      if (!found) return fail('notFound');
      const { id: courseId, title } = found.course;
      return ok({
        title: found.row.title,
        course: { id: courseId, title },
        questions: await releasedQuestions(as, found.row),
      });
    }
    case 'unit':
      return openUnit(as, id);
  }
}

async function openUnit(as: As<Teacher>, id: string): Promise<Result<ClassBoard>> {
  const [found] = await as.db
    .select({ title: unit.title, course: { id: course.id, title: course.title } })
    .from(unit)
    .innerJoin(course, eq(course.id, unit.courseId))
    .where(and(eq(unit.id, id), isTaughtBy(as)));
  if (!found) return fail('notFound');
  const releases = await as.db.query.release.findMany({
    where: eq(release.unitId, id),
    orderBy: asc(release.createdAt),
  });
  const questions: Question[] = [];
  for (const row of releases) questions.push(...(await releasedQuestions(as, row)));
  return ok({ ...found, questions });
}

/** The questions of a release as they count now. Its media become the teacher's own, so that the board shows them. */
async function releasedQuestions(
  as: As<Teacher>,
  { id, releasedBy }: Pick<typeof release.$inferSelect, 'id' | 'releasedBy'>,
): Promise<Question[]> {
  const { models, struck } = await editionOf(as.db, id, await editionInForce(as.db, id));
  const questions = models.flatMap(({ question }, i) => (struck[i] ? [] : [question]));
  for (const question of questions) await adoptMedia(as, question, releasedBy);
  return questions;
}

/** Everybody on a course's roster by name, each with the first of their groups. */
export async function rosterNames(as: As<Teacher>, courseId: string): Promise<Result<RosterName[]>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const [people, members] = await Promise.all([
    everybodyOn(as, courseId),
    as.db
      .select({ learnerId: groupMember.learnerId, title: courseGroup.title })
      .from(groupMember)
      .innerJoin(courseGroup, eq(courseGroup.id, groupMember.groupId))
      .where(eq(courseGroup.courseId, courseId))
      .orderBy(asc(courseGroup.title)),
  ]);
  const groups = new Map<string, string>();
  for (const { learnerId, title } of members) if (!groups.has(learnerId)) groups.set(learnerId, title);
  return ok(people.map(({ id, name }) => ({ id, name, group: groups.get(id) ?? null })));
}
