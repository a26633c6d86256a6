import { and, eq } from 'drizzle-orm';
import type { NeedGroup } from '../../contract';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { peopleIn } from '../courses/roster';
import { courseGroup, groupMember, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { drawer } from '../sittings/draw';
import { closeOverdue } from '../sittings/finish';

/**
 * Makes a group of the learners who were asked a question of a release and have not had its full mark in any attempt.
 * Repeating it with the same id changes nothing more than adding who is new to it.
 */
export async function groupNeeds(
  as: As<Teacher>,
  releaseId: string,
  { id, question, title }: NeedGroup,
): Promise<Result<{ learners: number }>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { id: courseId } = found.course;
  const { models, struck } = await editionOf(as.db, releaseId, found.row.edition);
  if (!models[question] || struck[question])
    return fail('invalid', {
      problems: [{ path: 'question', message: 'There is no such question, or it is struck.' }],
    });
  await closeOverdue(as, [releaseId]);
  const people = await peopleIn(as, courseId, await needing(as, releaseId, question));
  if (people.length === 0) return refused('question', 'Everybody who was asked it has its full mark.');
  return groupOf(as, { id, courseId, title }, people);
}

/** Makes a group of a course, or adds to it. */
export async function groupOf(
  as: As<Teacher>,
  { id, courseId, title }: { readonly id: string; readonly courseId: string; readonly title: string },
  people: readonly { readonly id: string }[],
): Promise<Result<{ learners: number }>> {
  const there = await as.db.query.courseGroup.findFirst({ where: eq(courseGroup.id, id) });
  if (there && there.courseId !== courseId) return refused('id', 'This group belongs to another course.');
  await as.db.transaction(async (tx) => {
    await tx.insert(courseGroup).values({ id, courseId, title }).onConflictDoNothing();
    await tx
      .insert(groupMember)
      .values(people.map(({ id: learnerId }) => ({ groupId: id, learnerId })))
      .onConflictDoNothing();
  });
  return ok({ learners: people.length });
}

const refused = (path: string, message: string) => fail('invalid', { problems: [{ path, message }] });

async function needing({ db }: As<Teacher>, releaseId: string, question: number): Promise<string[]> {
  const attempts = await db
    .select({
      ...{ learnerId: sitting.learnerId, began: sitting.began, seed: sitting.seed, finishedAt: sitting.finishedAt },
      fullMarks: standing.fullMarks,
    })
    .from(sitting)
    .leftJoin(standing, and(eq(standing.sittingId, sitting.id), eq(standing.question, question)))
    .where(eq(sitting.releaseId, releaseId));
  const full = new Set(attempts.flatMap(({ learnerId, fullMarks }) => (fullMarks ? [learnerId] : [])));
  const need = new Set<string>();
  for (const { learnerId, began, seed, finishedAt, fullMarks } of attempts) {
    // Who is under way may not have come to it.
    if (full.has(learnerId) || (fullMarks === null && finishedAt === null)) continue;
    const asked = (await editionOf(db, releaseId, began)).asked(drawer(seed, 'questions'));
    if (asked.includes(question)) need.add(learnerId);
  }
  return [...need];
}
