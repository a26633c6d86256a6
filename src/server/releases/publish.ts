import { and, eq, inArray } from 'drizzle-orm';
import { DEFAULT_SETTINGS, defersFeedback, type ReleaseSettings, type WholeSet } from '../../contract';
import { type ModelPlacement, type Problem, type Question, slotsIn } from '../../core';
import type { As, Context, Teacher } from '../context';
import { courseOf } from '../courses/access';
import {
  type EditionContent,
  edition,
  MOVE_RULES,
  medium,
  release,
  releaseFor,
  releaseQuestion,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { addJob } from '../jobs/jobs';
import { openWith } from '../vault/questions';
import { wholeSet } from '../vault/wholeSet';
import { audienceRows, settingsProblems, settingsRow } from './settings';

/** What is published: a question as it stood at a revision (a set of one), or a set. */
export type Content = { readonly questionId: string; readonly revision: number } | { readonly setId: string };

export interface Publication {
  /** Made by the client, so that a repeated request publishes once. */
  readonly id: string;
  readonly courseId: string;
  /** Left out: the defaults. */
  readonly settings?: Partial<ReleaseSettings>;
}

/** The frozen content of a publication: the questions as they were when the teacher published. */
export interface Prepared {
  readonly id: string;
  readonly courseId: string;
  readonly title: string;
  /** Left out: a question alone. */
  readonly setId?: string | undefined;
  readonly settings: ReleaseSettings;
  readonly content: Omit<EditionContent, 'modelAnswers'>;
}

/**
 * Prepares a publication: null if it is published already, an error if something is in the way, else the frozen
 * content.
 */
export async function preparePublication(
  as: As<Teacher>,
  { id, courseId, settings: given = {}, ...content }: Publication & Content,
): Promise<Result<Prepared | null>> {
  const { db, person, now } = as;
  const into = await courseOf(as, courseId);
  if (!into || into.row.archivedAt) return fail('notFound');
  const before = await db.query.release.findFirst({
    where: and(eq(release.id, id), eq(release.releasedBy, person.id)),
  });
  if (before) return ok(null);
  const found =
    'setId' in content
      ? await wholeSet(as, content.setId)
      : await fromQuestion(as, content.questionId, content.revision);
  if (!found.ok) return found;
  const { title, questions, ...rest } = found.value;
  const settings = { ...DEFAULT_SETTINGS, ...given };
  const at = now();
  const named = (question: Question, i: number, { path, message }: Problem): Problem =>
    questions.length === 1
      ? { path, message }
      : { path: `questions[${i}].${path}`, message: `“${question.title}”: ${message}` };
  const inTheWay = [
    ...(await settingsProblems(db, courseId, settings)),
    ...(settings.closesAt && settings.closesAt <= at
      ? [{ path: 'closesAt', message: 'The time at which it closes has passed.' }]
      : []),
    ...(sizeOf(questions) > MAX_CONTENT
      ? [
          {
            path: 'questions',
            message: 'These questions are more than eight million characters together: publish them in parts.',
          },
        ]
      : []),
    ...(questions.length === 0 ? [{ path: 'questions', message: 'There is no question in it yet.' }] : []),
    ...questions.flatMap((question, i) => publishProblems(question).map((problem) => named(question, i, problem))),
    ...(await missingMedia(as, questions, rest.sources)).map(({ question, ...problem }) =>
      question === null ? problem : named(questions[question] as Question, question, problem),
    ),
  ];
  if (inTheWay.length > 0) return fail('notReady', { problems: inTheWay });
  return ok({
    id,
    courseId,
    title: settings.title ?? title,
    setId: 'setId' in content ? content.setId : undefined,
    settings,
    content: { questions, quiet: defersFeedback(settings), moveRules: MOVE_RULES, ...rest },
  });
}

/** Characters of all questions of a release together: all of them are read when somebody opens it. */
const MAX_CONTENT = 8_000_000;
const sizeOf = (questions: readonly Question[]): number =>
  questions.reduce((sum, question) => sum + JSON.stringify(question).length, 0);

/** The media that learners need and that are missing: not among the publisher's, or without their bytes. */
async function missingMedia(
  as: As<Teacher>,
  questions: readonly Question[],
  sources: WholeSet['sources'],
): Promise<(Problem & { question: number | null })[]> {
  const shown = [
    ...questions.flatMap((question, i) =>
      Object.entries(question.media).map(([name, { hash }]) => ({ question: i, path: `media.${name}`, name, hash })),
    ),
    ...sources.flatMap(({ title, medium }, i) =>
      medium ? [{ question: null, path: `sources[${i}].medium`, name: title, hash: medium.hash }] : [],
    ),
  ];
  const hashes = [...new Set(shown.map(({ hash }) => hash))];
  const owned = new Set<string>();
  for (let from = 0; from < hashes.length; from += 500)
    for (const row of await as.db
      .select({ hash: medium.hash })
      .from(medium)
      .where(and(eq(medium.ownerId, as.person.id), inArray(medium.hash, hashes.slice(from, from + 500)))))
      owned.add(row.hash);
  const there = new Set(
    (
      await Promise.all(hashes.map(async (hash) => (owned.has(hash) && (await as.files.has(hash)) ? [hash] : [])))
    ).flat(),
  );
  return shown.flatMap(({ question, path, name, hash }) =>
    there.has(hash) ? [] : [{ question, path, message: `The file of “${name}” is missing: add it again.` }],
  );
}

/** Has the teacher ever published anything? */
export const hasPublished = async ({ db, person }: As<Teacher>): Promise<boolean> =>
  (await db.query.release.findFirst({ where: eq(release.releasedBy, person.id), columns: { id: true } })) !== undefined;

/** The number of model answers to be found. */
export const answersToFind = ({ content: { questions } }: Prepared): number =>
  questions.filter(({ show }) => show.modelAnswer !== 'never').length;

/** Publishes a question or a set to a course as edition 1. Model answers are found first, outside the transaction. */
export async function publish(as: As<Teacher>, publication: Publication & Content): Promise<Result<{ id: string }>> {
  const prepared = await preparePublication(as, publication);
  if (!prepared.ok) return prepared;
  return prepared.value ? publishPrepared(as, as.person.id, prepared.value) : ok({ id: publication.id });
}

/** Publishes at once if no model answer has to be found; else starts a job that reports its progress. */
export async function beginPublishing(
  as: As<Teacher>,
  publication: Publication & Content,
): Promise<Result<{ id: string; job: string | null }>> {
  const prepared = await preparePublication(as, publication);
  if (!prepared.ok) return prepared;
  const { id } = publication;
  if (prepared.value === null) return ok({ id, job: null });
  const total = answersToFind(prepared.value);
  if (total > 0) {
    await addJob(as, { id, kind: 'publish', ownerId: as.person.id, input: prepared.value, total });
    return ok({ id, job: id });
  }
  const done = await publishPrepared(as, as.person.id, prepared.value);
  return done.ok ? ok({ id, job: null }) : done;
}

/** A job stores dates as texts. */
const asDate = (value: Date | string | null): Date | null => (value === null ? null : new Date(value));

/** Finds the model answers and publishes. Repeating it publishes once. */
export async function publishPrepared(
  { db, work, now }: Context,
  publisher: string,
  { id, courseId, title, setId, settings: given, content }: Prepared,
  progress: (done: number) => Promise<void> = async () => undefined,
): Promise<Result<{ id: string }>> {
  const settings = {
    ...given,
    opensAt: asDate(given.opensAt),
    dueAt: asDate(given.dueAt),
    closesAt: asDate(given.closesAt),
  };
  let done = 0;
  const modelAnswers: Awaited<ReturnType<typeof findModelAnswer>>[] = [];
  // One after another: each has its own time limit, and the other threads stay free for requests.
  for (const question of content.questions) {
    modelAnswers.push(await findModelAnswer(work, question));
    if (question.show.modelAnswer !== 'never') await progress(++done);
  }
  const at = now();
  await db.transaction(async (tx) => {
    const made = await tx
      .insert(release)
      .values({ id, courseId, title, setId, releasedBy: publisher, createdAt: at, ...settingsRow(settings) })
      .onConflictDoNothing()
      .returning({ id: release.id });
    if (made.length === 0) return;
    const whom = audienceRows(id, settings.audience);
    if (whom.length > 0) await tx.insert(releaseFor).values(whom);
    await tx
      .insert(releaseQuestion)
      .values(content.questions.map((question) => ({ releaseId: id, questionId: question.id })))
      .onConflictDoNothing();
    await tx.insert(edition).values({ releaseId: id, number: 1, content: { ...content, modelAnswers }, createdAt: at });
  });
  return ok({ id });
}

/** The model answer, found in a worker thread; null if it is not shown or not found in time. */
export async function findModelAnswer(
  work: Context['work'],
  question: Question,
): Promise<readonly ModelPlacement[] | null> {
  if (question.show.modelAnswer === 'never') return null;
  const worked = await work.run('modelAnswer', { question }, SOLVE_MS);
  return worked.ok ? worked.value : null;
}
const SOLVE_MS = 10_000;

async function fromQuestion(as: As<Teacher>, questionId: string, revision: number): Promise<Result<WholeSet>> {
  const found = await openWith(as, questionId, 'use');
  if (!found.ok) return found;
  if (found.value.revision !== revision) return fail('questionMovedOn', { detail: { revision: found.value.revision } });
  const { question } = found.value;
  return ok({
    title: question.title,
    questions: [question],
    goBack: true,
    aids: [],
    points: [question.marks.max],
    sections: [{ title: '', draw: null, count: 1 }],
    sources: [],
  });
}

/** The problems that would make a question impossible to answer. */
export function publishProblems(question: Question): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  if (question.key.length + question.either.length === 0)
    say('key', 'No zone has a key, so no answer could be judged.');
  const inTexts = new Set<string>(
    question.fixtures.flatMap((fixture) => (fixture.type === 'text' ? slotsIn(fixture.text) : [])),
  );
  const open = question.zones.filter(({ typed }) => !typed);
  const isForPicking = (family: string | null) =>
    question.items.some((item) => item.stays && (family === null || family === item.family));
  question.items.forEach((item, i) => {
    const takes = open.some((zone) => zone.family === null || zone.family === item.family);
    if (item.stays && !takes)
      say(
        `items[${i}].stays`,
        `“${item.label || item.id}” stays in its place, and there is no zone into which it could be picked.`,
      );
  });
  question.zones.forEach((zone, i) => {
    if (zone.shape.type === 'slot' && !inTexts.has(zone.id) && !isForPicking(zone.family))
      say(
        `zones[${i}].shape`,
        `“${zone.label || zone.id}” is a gap that stands in no text, so learners would not see it.`,
      );
    if (zone.typed && zone.hidden)
      say(`zones[${i}].typed`, `“${zone.label || zone.id}” is answered by typing, so it cannot be hidden.`);
  });
  return problems;
}
