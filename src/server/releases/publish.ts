import { and, eq } from 'drizzle-orm';
import { type ModelPlacement, modelAnswerOf, type Problem, type Question, questionModel } from '../../core';
import type { As, Teacher } from '../context';
import { ownsCourse } from '../courses/courses';
import { edition, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { openQuestion } from '../vault/questions';
import { openSet } from '../vault/sets';

/** What is published: a question as it stood at a revision (a set of one), or a set. */
export type Content = { readonly questionId: string; readonly revision: number } | { readonly setId: string };

export interface Publication {
  /** The client's, so that publishing twice is publishing once. */
  readonly id: string;
  readonly courseId: string;
  readonly dueAt?: Date | null;
  readonly minutes?: number | null;
}

interface Frozen {
  readonly title: string;
  readonly questions: readonly Question[];
  readonly goBack: boolean;
}

/** Publishes to a course what the teacher has, frozen as edition 1. */
export async function publish(as: As<Teacher>, { id, courseId, dueAt = null, minutes = null, ...content }: Publication & Content): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  if (!(await ownsCourse(as, courseId))) return fail('notFound');
  const before = await db.query.release.findFirst({ where: and(eq(release.id, id), eq(release.releasedBy, person.id)) });
  if (before) return ok({ id });
  const found = 'setId' in content ? await fromSet(as, content.setId) : await fromQuestion(as, content.questionId, content.revision);
  if (!found.ok) return found;
  const { title, questions, goBack } = found.value;
  const at = now();
  const inTheWay = [
    ...(dueAt && dueAt <= at ? [{ path: 'dueAt', message: 'The time at which it is due has passed.' }] : []),
    ...(questions.length === 0 ? [{ path: 'questions', message: 'There is no question in it yet.' }] : []),
    ...questions.flatMap((question, i) =>
      publishProblems(question).map(({ path, message }) =>
        questions.length === 1 ? { path, message } : { path: `questions[${i}].${path}`, message: `“${question.title}”: ${message}` },
      ),
    ),
  ];
  if (inTheWay.length > 0) return fail('notReady', { problems: inTheWay });
  await db.transaction(async (tx) => {
    await tx.insert(release).values({ id, courseId, title, releasedBy: person.id, createdAt: at, dueAt, minutes });
    await tx.insert(edition).values({ releaseId: id, number: 1, content: { questions, modelAnswers: questions.map(modelAnswer), goBack }, createdAt: at });
  });
  return ok({ id });
}

async function fromQuestion(as: As<Teacher>, questionId: string, revision: number): Promise<Result<Frozen>> {
  const found = await openQuestion(as, questionId);
  if (!found.ok) return found;
  if (found.value.revision !== revision) return fail('questionMovedOn', { detail: { revision: found.value.revision } });
  return ok({ title: found.value.question.title, questions: [found.value.question], goBack: true });
}

async function fromSet(as: As<Teacher>, setId: string): Promise<Result<Frozen>> {
  const found = await openSet(as, setId);
  if (!found.ok) return found;
  const questions: Question[] = [];
  for (const { id } of found.value.questions) {
    const one = await openQuestion(as, id);
    if (!one.ok) return one;
    questions.push(one.value.question);
  }
  return ok({ title: found.value.title, questions, goBack: found.value.goBack });
}

const SOLVE_MS = 500;

/** Found once, so that every learner sees the same; none where the author does not show it. */
function modelAnswer(question: Question): readonly ModelPlacement[] | null {
  return question.show.modelAnswer === 'never' ? null : modelAnswerOf(questionModel(question), SOLVE_MS, { now: () => performance.now() });
}

/** What a learner's page could not yet do justice to: published, it would be shown or judged otherwise than its author saw it. */
function publishProblems(question: Question): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, words: string) => problems.push({ path, message: `${words} cannot be published yet.` });
  if (question.key.length === 0) problems.push({ path: 'key', message: 'No zone has a key, so no answer could be judged.' });
  question.items.forEach((item, i) => {
    if (item.stays) say(`items[${i}].stays`, `"${item.label || item.id}", which is picked in place,`);
  });
  question.zones.forEach((zone, i) => {
    const named = `"${zone.label || zone.id}"`;
    if (zone.shape.type === 'slot') say(`zones[${i}].shape`, `${named}, which the page lays out,`);
    if (zone.typed) say(`zones[${i}].typed`, `${named}, which is answered by typing,`);
    if (zone.hidden) say(`zones[${i}].hidden`, `${named}, which is hidden,`);
  });
  return problems;
}
