import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { ClassRecord, ClassRecordRow, ClassRound } from '../../contract';
import { applyMove, type Problem, type Question, questionModel, untouched } from '../../core';
import { parseQuestion, withEveryField } from '../../core/document';
import type { As, Teacher } from '../context';
import { isTaughtBy } from '../courses/access';
import { user } from '../database/accountTables';
import { classRecord, course, courseLearner } from '../database/tables';
import { fail, ok, type Result } from '../errors';

export const listClassRecords = ({ db, person }: As<Teacher>): Promise<ClassRecordRow[]> =>
  db
    .select({
      id: classRecord.id,
      title: classRecord.title,
      at: classRecord.at,
      rounds: sql<number>`json_array_length(${classRecord.content}, '$.rounds')`,
    })
    .from(classRecord)
    .where(eq(classRecord.ownerId, person.id))
    .orderBy(desc(classRecord.at));

const own = ({ db, person }: As<Teacher>, id: string) =>
  db.query.classRecord.findFirst({ where: and(eq(classRecord.id, id), eq(classRecord.ownerId, person.id)) });

/** Keeps a record. `id` is made by the client, so that a repeated request keeps one. */
export async function keepClassRecord(
  as: As<Teacher>,
  {
    id,
    title,
    questions,
    rounds,
  }: {
    readonly id: string;
    readonly title: string;
    readonly questions: readonly unknown[];
    readonly rounds: readonly ClassRound[];
  },
): Promise<Result<{ id: string }>> {
  const read = questions.map(parseQuestion);
  const problems = read.flatMap((parsed, i) =>
    parsed.ok ? [] : parsed.problems.map(({ path, message }) => ({ path: `questions[${i}].${path}`, message })),
  );
  const documents = read.flatMap((parsed) => (parsed.ok ? [parsed.question] : []));
  if (problems.length === 0) problems.push(...rounds.flatMap((round, i) => roundProblems(documents, round, i)));
  if (problems.length > 0) return fail('invalid', { problems });
  await as.db
    .insert(classRecord)
    .values({ id, title, ownerId: as.person.id, at: as.now(), content: { questions: documents, rounds } })
    .onConflictDoNothing();
  return (await own(as, id)) ? ok({ id }) : fail('notFound');
}

/** What of a round cannot be played again. */
function roundProblems(questions: readonly Question[], { question, homes, moves }: ClassRound, i: number): Problem[] {
  const document = questions[question];
  if (!document) return [{ path: `rounds[${i}].question`, message: 'There is no question with this index.' }];
  if (homes.length !== document.items.length)
    return [{ path: `rounds[${i}].homes`, message: 'It has to have one place for each item.' }];
  const model = questionModel(document, homes);
  let standing = untouched(model);
  for (const [n, { move }] of moves.entries()) {
    const taken = applyMove(model, standing, move);
    if (!taken.ok) return [{ path: `rounds[${i}].moves[${n}]`, message: 'This move cannot be made here.' }];
    standing = taken.standing;
  }
  return [];
}

/** A record with the names of those who were up. Who is on none of the teacher's rosters now is not named. */
export async function openClassRecord(as: As<Teacher>, id: string): Promise<Result<ClassRecord>> {
  const found = await own(as, id);
  if (!found) return fail('notFound');
  const { questions, rounds } = found.content;
  const ids = [...new Set(rounds.flatMap(({ up }) => up.flatMap((who) => ('learner' in who ? who.learner : []))))];
  const people =
    ids.length === 0
      ? []
      : await as.db
          .selectDistinct({ id: user.id, name: user.name })
          .from(user)
          .innerJoin(courseLearner, eq(courseLearner.learnerId, user.id))
          .innerJoin(course, eq(course.id, courseLearner.courseId))
          .where(and(inArray(user.id, ids), isTaughtBy(as)));
  const names = new Map(people.map((person) => [person.id, person.name]));
  return ok({
    ...{ id, title: found.title, at: found.at, questions: questions.map(withEveryField) },
    rounds: rounds.map(({ up, ...round }) => ({
      ...round,
      up: up.map((who) => ('name' in who ? who.name : (names.get(who.learner) ?? 'somebody who is not here any more'))),
    })),
  });
}

export async function deleteClassRecord(as: As<Teacher>, id: string): Promise<Result<null>> {
  await as.db.delete(classRecord).where(and(eq(classRecord.id, id), eq(classRecord.ownerId, as.person.id)));
  return ok(null);
}
