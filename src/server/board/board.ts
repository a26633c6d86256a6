import { and, asc, eq } from 'drizzle-orm';
import type { BoardSource, ClassBoard, RosterName } from '../../contract';
import type { Question } from '../../core';
import type { As, Teacher } from '../context';
import { courseOf, isTaughtBy, releaseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { course, courseGroup, groupMember, release, unit } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionInForce, editionOf } from '../releases/editions';
import { adoptFiles, adoptMedia } from '../vault/access';
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
      return ok({ title: question.title, course: null, questions: [question], sources: [] });
    }
    case 'set': {
      const found = await wholeSet(as, id);
      if (!found.ok) return found;
      const { title, questions, sources } = found.value;
      return ok({ title, course: null, questions, sources });
    }
    case 'release': {
      const found = await releaseOf(as, id);
      if (!found) return fail('notFound');
      const { id: courseId, title } = found.course;
      return ok({
        title: found.row.title,
        course: { id: courseId, title },
        ...(await released(as, found.row)),
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
  const sources: Shown['sources'][number][] = [];
  for (const row of releases) {
    const shown = await released(as, row);
    const first = questions.length;
    questions.push(...shown.questions);
    sources.push(
      ...shown.sources.map((source) => ({ ...source, questions: source.questions.map((place) => first + place) })),
    );
  }
  return ok({ ...found, questions, sources });
}

type Shown = Pick<ClassBoard, 'questions' | 'sources'>;

/** A release as it counts now. Its media become the teacher's own, so that the board shows them. */
async function released(
  as: As<Teacher>,
  { id, releasedBy }: Pick<typeof release.$inferSelect, 'id' | 'releasedBy'>,
): Promise<Shown> {
  const { models, struck, sources } = await editionOf(as.db, id, await editionInForce(as.db, id));
  const left = models.flatMap((_, i) => (struck[i] ? [] : [i]));
  const questions = left.flatMap((i) => models[i]?.question ?? []);
  for (const question of questions) await adoptMedia(as, question, releasedBy);
  const files = sources.flatMap(({ medium }) => medium?.hash ?? []);
  await adoptFiles(as, files, releasedBy);
  const placeOf = new Map(left.map((i, place) => [i, place]));
  return {
    questions,
    sources: sources.map((source) => ({
      ...source,
      questions: source.questions.flatMap((i) => placeOf.get(i) ?? []),
    })),
  };
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
