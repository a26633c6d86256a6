import { and, asc, count, desc, eq, getTableColumns, inArray, isNull, or, sql } from 'drizzle-orm';
import type { SetContent, SetQuestion, SetRow, SetSection, SetSource, SetView } from '../../contract';
import { isAddress, isWebVtt } from '../../core/document';
import type { As, Teacher } from '../context';
import { medium, question, questionSet, setQuestion } from '../database/tables';
import { type Failure, fail, ok, type Result } from '../errors';
import { allows, shelvesSeen } from './shelves';

/** The teacher's sets, latest change first. */
export async function listSets({ db, person }: As<Teacher>): Promise<SetRow[]> {
  const { id, title, changedAt } = getTableColumns(questionSet);
  return db
    .select({ id, title, changedAt, questions: count(setQuestion.questionId) })
    .from(questionSet)
    .leftJoin(setQuestion, eq(setQuestion.setId, questionSet.id))
    .where(eq(questionSet.ownerId, person.id))
    .groupBy(questionSet.id)
    .orderBy(desc(questionSet.changedAt));
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
        sections: sections.map(({ title, draw }) => ({ title, draw })),
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
  db.query.questionSet.findFirst({ where: and(eq(questionSet.id, id), eq(questionSet.ownerId, person.id)) });

/** The questions the teacher may use: their own, and colleagues' on shelves shared with that right. */
async function usableQuestions(
  as: As<Teacher>,
  ids: readonly string[],
): Promise<Map<string, Omit<SetQuestion, 'points'>>> {
  if (ids.length === 0) return new Map();
  const shared = [...(await shelvesSeen(as)).values()]
    .filter(({ access }) => access !== 'own' && allows(access, 'use'))
    .map(({ id }) => id);
  const rows = await as.db
    .select({
      id: question.id,
      title: question.title,
      kind: question.kind,
      max: sql<number>`json_extract(${question.document}, '$.marks.max')`,
    })
    .from(question)
    .where(
      and(
        inArray(question.id, [...ids]),
        isNull(question.deletedAt),
        or(eq(question.ownerId, as.person.id), ...(shared.length > 0 ? [inArray(question.shelfId, shared)] : [])),
      ),
    );
  return new Map(rows.map((row) => [row.id, row]));
}
