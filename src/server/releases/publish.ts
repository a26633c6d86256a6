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

/** What a learner's page could not yet do justice to: published, it would be shown or judged otherwise than its author saw it. */
function publishProblems(question: Question): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, words: string) => problems.push({ path, message: `${words} cannot be published yet.` });
  if (question.key.length === 0) problems.push({ path: 'key', message: 'No zone has a key, so no answer could be judged.' });
  if (question.judging === 'onLand') say('judging', 'Judging each item as it lands');
  if (question.start) say('start', 'A starting arrangement');
  if (question.fixtures.length > 0) say('fixtures', 'A question with fixtures');
  if (Object.keys(question.looks).length > 0) say('looks', 'A question with looks of its own');
  if (question.promptSound !== null) say('promptSound', 'A spoken prompt');
  question.items.forEach((item, i) => {
    const named = `"${item.label || item.id}"`;
    if (item.content) say(`items[${i}].content`, `${named}, which shows more than its name,`);
    if (item.stays) say(`items[${i}].stays`, `${named}, which is picked in place,`);
    if (!item.again) say(`items[${i}].again`, `${named}, which may be moved only once,`);
  });
  question.zones.forEach((zone, i) => {
    const named = `"${zone.label || zone.id}"`;
    if (zone.welcome === 'keyed') say(`zones[${i}].welcome`, `${named}, which turns items away,`);
    if (zone.shape.type === 'slot') say(`zones[${i}].shape`, `${named}, which the page lays out,`);
    if (zone.typed) say(`zones[${i}].typed`, `${named}, which is answered by typing,`);
    if (zone.hidden) say(`zones[${i}].hidden`, `${named}, which is hidden,`);
    if (zone.ridesOn !== null) say(`zones[${i}].ridesOn`, `${named}, which rides on an item,`);
    if (zone.lid) say(`zones[${i}].lid`, `${named}, which has a lid,`);
  });
  return problems;
}
