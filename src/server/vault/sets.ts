import { and, asc, count, desc, eq, inArray, isNull, or, type SQL, sql } from 'drizzle-orm';
import type { SetContent, SetQuestion, SetRow, SetSection, SetSource, SetUse, SetView } from '../../contract';
import { secondsFor, secondsOf, totalOf } from '../../core';
import { isAddress, isWebVtt } from '../../core/document';
import type { As, Teacher } from '../context';
import { course, medium, question, questionSet, questionWords, release, setQuestion } from '../database/tables';
import { type Failure, fail, ok, type Result } from '../errors';
import { allows, shelvesSeen } from './shelves';
import { worth } from './worth';

/** The teacher's sets, latest change first, with those that were deleted. */
export async function listSets(as: As<Teacher>): Promise<SetRow[]> {
  const { db, person } = as;
  const sets = await db
    .select({ set: questionSet, releases: count(release.id) })
    .from(questionSet)
    .leftJoin(release, eq(release.setId, questionSet.id))
    .where(eq(questionSet.ownerId, person.id))
    .groupBy(questionSet.id)
    .orderBy(desc(questionSet.changedAt));
  const entries = await db
    .select({ setId: setQuestion.setId, section: setQuestion.section, points: setQuestion.points, ...worth })
    .from(setQuestion)
    .innerJoin(questionSet, eq(questionSet.id, setQuestion.setId))
    .innerJoin(question, eq(question.id, setQuestion.questionId))
    .leftJoin(questionWords, eq(questionWords.questionId, question.id))
    .where(and(eq(questionSet.ownerId, person.id), await mayBeUsed(as)));
  const entriesOf = new Map<string, (typeof entries)[number][]>();
  for (const entry of entries) entriesOf.set(entry.setId, [...(entriesOf.get(entry.setId) ?? []), entry]);
  return sets.map(({ set: { id, title, changedAt, deletedAt, sections: heads }, releases }) => {
    const inSet = entriesOf.get(id) ?? [];
    const sections = heads.map((head, at) => ({
      ...head,
      questions: inSet
        .filter(({ section }) => section === at)
        .map((entry) => ({ ...entry, seconds: secondsFor(entry) })),
    }));
    return {
      ...{ id, title, changedAt, deletedAt, releases, questions: inSet.length },
      points: totalOf(sections),
      seconds: Math.round(secondsOf(sections)),
    };
  });
}

/** An empty set. `id` is made by the client, so that a repeated request makes one. */
export async function makeSet(as: As<Teacher>, id: string, title: string): Promise<Result<{ id: string }>> {
  const at = as.now();
  await as.db
    .insert(questionSet)
    .values({ id, title, ownerId: as.person.id, sections: [], goBack: true, createdAt: at, changedAt: at })
    .onConflictDoNothing();
  return (await own(as, id)) ? ok({ id }) : fail('notFound');
}

/** A set with its questions in order; those the teacher may not use any more are left out, and counted. */
export async function openSet(as: As<Teacher>, id: string): Promise<Result<SetView>> {
  const found = await own(as, id);
  if (!found) return fail('notFound');
  const entries = await as.db
    .select()
    .from(setQuestion)
    .where(eq(setQuestion.setId, id))
    .orderBy(asc(setQuestion.position));
  const known = await usableQuestions(
    as,
    entries.map(({ questionId }) => questionId),
  );
  const sections = found.sections.map((head, at) => ({
    ...head,
    questions: entries.flatMap(({ section, questionId, points }) => {
      const row = section === at && known.get(questionId);
      return row ? [{ ...row, points }] : [];
    }),
  }));
  const gone = entries.length - sections.reduce((all, { questions }) => all + questions.length, 0);
  return ok({
    id,
    title: found.title,
    goBack: found.goBack,
    aids: found.aids,
    sections,
    sources: found.sources,
    uses: await usesOfSet(as, id),
    gone,
    revision: found.revision,
  });
}

const idsIn = (sections: readonly SetSection[]) => sections.flatMap(({ questions }) => questions.map(({ id }) => id));

/**
 * Saves a set; `from`: the revision it was changed on. The teacher must have the right to use each question, and a
 * question can be in a set once.
 */
export async function saveSet(
  as: As<Teacher>,
  id: string,
  { title, sections, goBack, aids = [], sources = [] }: SetContent,
  from?: number,
): Promise<Result<{ id: string; revision: number }>> {
  const there = await own(as, id);
  if (!there) return fail('notFound');
  if (from !== undefined && there.revision !== from) return movedOn(as, id);
  const ids = idsIn(sections);
  const known = await usableQuestions(as, ids);
  let n = 0;
  const problems = sections.flatMap(({ questions }, s) =>
    questions.flatMap(({ id }, i) => {
      const path = `sections[${s}].questions[${i}]`;
      if (!known.has(id))
        return [{ path, message: 'This question is not in your Vault, nor shared with you for use.' }];
      return ids.indexOf(id) < n++ ? [{ path, message: 'This question stands in the set twice.' }] : [];
    }),
  );
  problems.push(...(await sourceProblems(as, sources)));
  if (problems.length > 0) return fail('invalid', { problems });
  const revision = await as.db.transaction(async (tx) => {
    const [saved] = await tx
      .update(questionSet)
      .set({
        title,
        sections: sections.map(({ questions: _, ...head }) => head),
        goBack,
        aids: [...aids],
        sources: [...sources],
        changedAt: as.now(),
        revision: sql`${questionSet.revision} + 1`,
      })
      .where(and(eq(questionSet.id, id), from === undefined ? undefined : eq(questionSet.revision, from)))
      .returning({ revision: questionSet.revision });
    if (!saved) return null;
    await tx.delete(setQuestion).where(eq(setQuestion.setId, id));
    const rows = rowsOf(id, sections);
    if (rows.length > 0) await tx.insert(setQuestion).values(rows);
    return saved.revision;
  });
  return revision === null ? movedOn(as, id) : ok({ id, revision });
}

const rowsOf = (setId: string, sections: readonly SetSection[]) =>
  sections
    .flatMap(({ questions }, section) => questions.map(({ id, points }) => ({ questionId: id, section, points })))
    .map((row, position) => ({ setId, position, ...row }));

/** The conflict: the set as it is now, and its revision. */
async function movedOn(as: As<Teacher>, id: string): Promise<Failure> {
  const now = await openSet(as, id);
  return now.ok ? fail('changedMeanwhile', { detail: { revision: now.value.revision, content: now.value } }) : now;
}

/** A medium has to be the teacher's own; captions have to be WebVTT. */
async function sourceProblems(
  as: As<Teacher>,
  sources: readonly SetSource[],
): Promise<{ path: string; message: string }[]> {
  const problems: { path: string; message: string }[] = [];
  for (const [i, { medium: of, captions, text, address }] of sources.entries()) {
    const known =
      of &&
      (await as.db.query.medium.findFirst({ where: and(eq(medium.ownerId, as.person.id), eq(medium.hash, of.hash)) }));
    if (of && known?.kind !== of.kind)
      problems.push({ path: `sources[${i}].medium`, message: 'This file is not among your media.' });
    if (captions !== '' && !isWebVtt(captions))
      problems.push({
        path: `sources[${i}].captions`,
        message: 'Captions have to be WebVTT: their first line is WEBVTT.',
      });
    if (of && address)
      problems.push({
        path: `sources[${i}].address`,
        message: 'A source shows a file or what is at an address, not both.',
      });
    if (address && !isAddress(address))
      problems.push({ path: `sources[${i}].address`, message: 'An address begins with https://.' });
    if (!of && !address && text.trim() === '')
      problems.push({ path: `sources[${i}]`, message: 'There is nothing in this source yet.' });
  }
  return problems;
}

const own = ({ db, person }: As<Teacher>, id: string) =>
  db.query.questionSet.findFirst({
    where: and(eq(questionSet.id, id), eq(questionSet.ownerId, person.id), isNull(questionSet.deletedAt)),
  });

/** The condition that the teacher may use a question: their own, and colleagues' on shelves shared with that right. */
async function mayBeUsed(as: As<Teacher>): Promise<SQL | undefined> {
  const shared = [...(await shelvesSeen(as)).values()]
    .filter(({ access }) => access !== 'own' && allows(access, 'use'))
    .map(({ id }) => id);
  return and(
    isNull(question.deletedAt),
    or(eq(question.ownerId, as.person.id), ...(shared.length > 0 ? [inArray(question.shelfId, shared)] : [])),
  );
}

async function usableQuestions(
  as: As<Teacher>,
  ids: readonly string[],
): Promise<Map<string, Omit<SetQuestion, 'points'>>> {
  if (ids.length === 0) return new Map();
  const rows = await as.db
    .select({ id: question.id, title: question.title, kind: question.kind, ...worth })
    .from(question)
    .leftJoin(questionWords, eq(questionWords.questionId, question.id))
    .where(and(inArray(question.id, [...ids]), await mayBeUsed(as)));
  return new Map(
    rows.map(({ words, items, gaps, ...row }) => [row.id, { ...row, seconds: secondsFor({ words, items, gaps }) }]),
  );
}

/** The releases that were published from a set, the latest first. */
const usesOfSet = (as: As<Teacher>, id: string): Promise<SetUse[]> =>
  as.db
    .select({ id: release.id, title: release.title, course: course.title, at: release.createdAt })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .where(eq(release.setId, id))
    .orderBy(desc(release.createdAt));

/** Deletes a set, or brings it back. */
export async function setSetDeleted(as: As<Teacher>, id: string, deleted: boolean): Promise<Result<{ id: string }>> {
  const changed = await as.db
    .update(questionSet)
    .set({ deletedAt: deleted ? as.now() : null })
    .where(and(eq(questionSet.id, id), eq(questionSet.ownerId, as.person.id)))
    .returning({ id: questionSet.id });
  return changed.length > 0 ? ok({ id }) : fail('notFound');
}

/** Makes a copy of a set with the questions that the teacher may still use. `copyId`: made by the client. */
export async function copySet(as: As<Teacher>, id: string, copyId: string): Promise<Result<{ id: string }>> {
  const found = await openSet(as, id);
  if (!found.ok) return found;
  // A repeated request: the copy was saved before.
  if (((await own(as, copyId))?.revision ?? 1) > 1) return ok({ id: copyId });
  const { title, goBack, aids, sections, sources } = found.value;
  const made = await makeSet(as, copyId, `${title.slice(0, 190)} (copy)`);
  if (!made.ok) return made;
  const there = new Set(idsIn(sections));
  const saved = await saveSet(as, copyId, {
    ...{ title: `${title.slice(0, 190)} (copy)`, goBack, aids, sections },
    sources: sources.map((source) => ({
      ...source,
      id: crypto.randomUUID(),
      questions: source.questions.filter((beside) => there.has(beside)),
    })),
  });
  return saved.ok ? ok({ id: copyId }) : saved;
}
