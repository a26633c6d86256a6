import { and, eq } from 'drizzle-orm';
import { type ModelPlacement, modelAnswerOf, type Problem, type Question, questionModel, slotsIn } from '../../core';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { edition, MOVE_RULES, release, releaseFor, releaseQuestion } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { openWith } from '../vault/questions';
import { type WholeSet, wholeSet } from '../vault/wholeSet';
import { audienceRows, isQuiet, PLAIN, type ReleaseSettings, settingsProblems, settingsRow } from './settings';

/** What is published: a question as it stood at a revision (a set of one), or a set. */
export type Content = { readonly questionId: string; readonly revision: number } | { readonly setId: string };

export interface Publication {
  /** The client's, so that publishing twice is publishing once. */
  readonly id: string;
  readonly courseId: string;
  /** Left out: as is usual. */
  readonly settings?: Partial<ReleaseSettings>;
}

/** Publishes to a course what the teacher has, frozen as edition 1. */
export async function publish(as: As<Teacher>, { id, courseId, settings: given = {}, ...content }: Publication & Content): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  const into = await courseOf(as, courseId);
  if (!into || into.row.archivedAt) return fail('notFound');
  const before = await db.query.release.findFirst({ where: and(eq(release.id, id), eq(release.releasedBy, person.id)) });
  if (before) return ok({ id });
  const found = 'setId' in content ? await wholeSet(as, content.setId) : await fromQuestion(as, content.questionId, content.revision);
  if (!found.ok) return found;
  const { title, questions, ...rest } = found.value;
  const settings = { ...PLAIN, ...given };
  const quiet = isQuiet(settings);
  const at = now();
  const inTheWay = [
    ...(await settingsProblems(db, courseId, settings)),
    ...(settings.closesAt && settings.closesAt <= at ? [{ path: 'closesAt', message: 'The time at which it closes has passed.' }] : []),
    ...(questions.length === 0 ? [{ path: 'questions', message: 'There is no question in it yet.' }] : []),
    ...questions.flatMap((question, i) =>
      publishProblems(question).map(({ path, message }) =>
        questions.length === 1 ? { path, message } : { path: `questions[${i}].${path}`, message: `“${question.title}”: ${message}` },
      ),
    ),
  ];
  if (inTheWay.length > 0) return fail('notReady', { problems: inTheWay });
  await db.transaction(async (tx) => {
    await tx.insert(release).values({ id, courseId, title: settings.title ?? title, releasedBy: person.id, createdAt: at, ...settingsRow(settings) });
    const whom = audienceRows(id, settings.audience);
    if (whom.length > 0) await tx.insert(releaseFor).values(whom);
    await tx
      .insert(releaseQuestion)
      .values(questions.map((one) => ({ releaseId: id, questionId: one.id })))
      .onConflictDoNothing();
    await tx
      .insert(edition)
      .values({ releaseId: id, number: 1, content: { questions, modelAnswers: questions.map(modelAnswer), quiet, moveRules: MOVE_RULES, ...rest }, createdAt: at });
  });
  return ok({ id });
}

async function fromQuestion(as: As<Teacher>, questionId: string, revision: number): Promise<Result<WholeSet>> {
  const found = await openWith(as, questionId, 'use');
  if (!found.ok) return found;
  if (found.value.revision !== revision) return fail('questionMovedOn', { detail: { revision: found.value.revision } });
  const { question } = found.value;
  return ok({ title: question.title, questions: [question], goBack: true, points: [question.marks.max], sections: [{ title: '', draw: null, count: 1 }], sources: [] });
}

const SOLVE_MS = 500;

/** Found once, so that every learner sees the same; none where the author does not show it. */
export function modelAnswer(question: Question): readonly ModelPlacement[] | null {
  return question.show.modelAnswer === 'never' ? null : modelAnswerOf(questionModel(question), SOLVE_MS, { now: () => performance.now() });
}

/** What no learner could answer. */
export function publishProblems(question: Question): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  if (question.key.length === 0) say('key', 'No zone has a key, so no answer could be judged.');
  const inTexts = new Set<string>(question.fixtures.flatMap((one) => (one.type === 'text' ? slotsIn(one.text) : [])));
  const open = question.zones.filter(({ typed }) => !typed);
  const isForPicking = (family: string | null) => question.items.some((item) => item.stays && (family === null || family === item.family));
  question.items.forEach((item, i) => {
    const takes = open.some((zone) => zone.family === null || zone.family === item.family);
    if (item.stays && !takes) say(`items[${i}].stays`, `“${item.label || item.id}” stays in its place, and there is no zone into which it could be picked.`);
  });
  question.zones.forEach((zone, i) => {
    if (zone.shape.type === 'slot' && !inTexts.has(zone.id) && !isForPicking(zone.family))
      say(`zones[${i}].shape`, `“${zone.label || zone.id}” is a gap that stands in no text, so learners would not see it.`);
    if (zone.typed && zone.hidden) say(`zones[${i}].typed`, `“${zone.label || zone.id}” is answered by typing, so it cannot be hidden.`);
  });
  return problems;
}
