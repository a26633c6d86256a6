import { and, eq } from 'drizzle-orm';
import type { Problem, Question } from '../../core';
import type { As, Teacher } from '../context';
import { ownsCourse } from '../courses/courses';
import { edition, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { openQuestion } from '../vault/questions';

/** Publishes a question, as it stands, to a course: a set of one, frozen as edition 1. `id` is the client's, so that publishing twice is publishing once. */
export async function publish(
  as: As<Teacher>,
  { id, courseId, questionId, revision }: { id: string; courseId: string; questionId: string; revision: number },
): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  if (!(await ownsCourse(as, courseId))) return fail('notFound');
  const found = await openQuestion(as, questionId);
  if (!found.ok) return found;
  const before = await db.query.release.findFirst({ where: and(eq(release.id, id), eq(release.releasedBy, person.id)) });
  if (before) return ok({ id });
  if (found.value.revision !== revision) return fail('questionMovedOn', { detail: { revision: found.value.revision } });
  const { question } = found.value;
  const inTheWay = publishProblems(question);
  if (inTheWay.length > 0) return fail('notReady', { problems: inTheWay });
  const at = now();
  await db.transaction(async (tx) => {
    await tx.insert(release).values({ id, courseId, title: question.title, releasedBy: person.id, createdAt: at });
    await tx.insert(edition).values({ releaseId: id, number: 1, content: { questions: [question] }, createdAt: at });
  });
  return ok({ id });
}

/** What a learner's page could not yet do justice to. Judging while items land, and zones that turn away, need the server between two moves. */
function publishProblems({ key, judging, zones }: Question): Problem[] {
  const problems: Problem[] = [];
  if (key.length === 0) problems.push({ path: 'key', message: 'No zone has a key, so no answer could be judged.' });
  if (judging === 'onLand') problems.push({ path: 'judging', message: 'Judging each item as it lands cannot be published yet.' });
  zones.forEach((zone, i) => {
    if (zone.welcome === 'keyed') problems.push({ path: `zones[${i}].welcome`, message: `"${zone.label || zone.id}" turns items away, which cannot be published yet.` });
  });
  return problems;
}
