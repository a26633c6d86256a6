import { randomUUID } from 'node:crypto';
import { and, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import {
  type Batch,
  MAX_AT_ONCE,
  type ManyChange,
  type ManyChanged,
  type Right,
  type StoredQuestion,
} from '../../contract';
import { KINDS, type Kind, type Question } from '../../core';
import { BLANK_TITLE, newQuestion } from '../../core/document';
import { exampleOf } from '../../core/kinds';
import type { As, Teacher } from '../context';
import { question, questionRevision, questionTag } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo, adoptMedia, shareMedia } from './access';
import { completed, type Examined, edited, examined } from './examine';
import { shelvesSeen } from './shelves';
import { noteTags, noteWords } from './words';

const own = ({ db, person }: As<Teacher>, id: string) =>
  db.query.question.findFirst({ where: and(eq(question.id, id), eq(question.ownerId, person.id)) });

export async function openQuestion(as: As<Teacher>, id: string): Promise<Result<StoredQuestion>> {
  return openWith(as, id, 'see');
}

/**
 * The same with another right. A colleague's media become the teacher's own, so that what is made of them can show
 * them.
 */
export async function openWith(as: As<Teacher>, id: string, right: Right): Promise<Result<StoredQuestion>> {
  const found = await accessTo(as, id, right);
  if (!found || found.row.deletedAt) return fail('notFound');
  const { row, access } = found;
  // A document from before a field existed gets the field's default.
  const document = await completed(as, row.document);
  await adoptMedia(as, document, row.ownerId);
  return ok({ question: document, access, revision: row.revision, changedAt: row.changedAt });
}

/**
 * Saves a document as a new question of the teacher's. `id` is made by the client, so that a repeated request makes
 * one.
 */
export async function saveNew(
  as: As<Teacher>,
  document: Question,
  shelfId: string | null = null,
): Promise<Result<{ id: string }>> {
  const whole = await examined(as, document);
  return whole.ok ? storeNew(as, whole.value, shelfId) : whole;
}

/** Stores an examined question. */
export async function storeNew(
  as: As<Teacher>,
  { id, title, kind, text, findings, words }: Examined,
  shelfId: string | null,
): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  if (shelfId !== null && (await shelvesSeen(as)).get(shelfId)?.access !== 'own') return fail('notFound');
  const at = now();
  await db.transaction(async (tx) => {
    const made = await tx
      .insert(question)
      .values({
        id,
        ownerId: person.id,
        title,
        kind,
        document: sql`${text}`,
        revision: 1,
        findings,
        createdAt: at,
        changedAt: at,
        shelfId,
      })
      .onConflictDoNothing()
      .returning({ id: question.id });
    if (made.length > 0) await noteWords(tx, id, { title, words });
  });
  const row = await own(as, id);
  return row ? ok({ id: row.id }) : fail('notFound');
}

/** An empty question, or a finished example of a kind; with its first edits, if there are any. */
export async function makeQuestion(
  as: As<Teacher>,
  id: string,
  example: Kind | null = null,
  shelfId: string | null = null,
  first: Omit<Batch, 'from'> | null = null,
): Promise<Result<{ id: string }>> {
  const made = await saveNew(as, example ? exampleOf(example, id) : newQuestion(id, BLANK_TITLE), shelfId);
  if (!made.ok || !first) return made;
  const edited = await editQuestion(as, id, { ...first, from: 1 });
  return edited.ok ? made : edited;
}

/** A blank question under a name of its own, as `makeQuestion` would store it; and with what the search says it begins. */
export function newQuestionFor(search: URLSearchParams): {
  question: Question;
  begin: { shelfId: string | null; kind: Kind | null; pasted: boolean };
} {
  const kind = KINDS.find((one) => one === search.get('kind')) ?? null;
  return {
    question: newQuestion(randomUUID(), BLANK_TITLE),
    begin: { shelfId: search.get('shelf'), kind, pasted: search.has('pasted') },
  };
}

/** Saves the client's whole document as a new question: the way out when another tab has changed the original. */
export async function saveAsCopy(
  as: As<Teacher>,
  id: string,
  document: unknown,
  shelfId: string | null = null,
): Promise<Result<{ id: string }>> {
  const given = document as { title?: unknown } | null;
  const title = typeof given?.title === 'string' ? `${given.title} (copy)`.slice(0, 500) : undefined;
  const whole = await examined(
    as,
    typeof given === 'object' && given !== null && !Array.isArray(given)
      ? { ...given, id, ...(title ? { title } : {}) }
      : given,
  );
  return whole.ok ? storeNew(as, whole.value, shelfId) : whole;
}

export async function copyQuestion(as: As<Teacher>, id: string, copyId: string): Promise<Result<{ id: string }>> {
  // Whoever may look at a question may copy it.
  const found = await openWith(as, id, 'see');
  if (!found.ok) return found;
  // On the same shelf, if that is the teacher's own.
  const shelfId = found.value.access === 'own' ? ((await own(as, id))?.shelfId ?? null) : null;
  const copied = await saveAsCopy(as, copyId, found.value.question, shelfId);
  if (copied.ok)
    await as.db.run(
      sql`insert or ignore into question_outcome (question_id, outcome_id) select ${copyId}, outcome_id from question_outcome where question_id = ${id}`,
    );
  return copied;
}

/** Deletes a question, or (`deleted` false) brings it back. Repeating it changes nothing. */
export async function setDeleted(as: As<Teacher>, id: string, deleted: boolean): Promise<Result<null>> {
  const row = await own(as, id);
  if (!row) return fail('notFound');
  if ((row.deletedAt !== null) !== deleted)
    await as.db
      .update(question)
      .set({ deletedAt: deleted ? as.now() : null })
      .where(eq(question.id, id));
  return ok(null);
}

/** Changes many of the teacher's own questions; others are skipped. Repeating it changes nothing. */
export async function changeMany(
  as: As<Teacher>,
  { ids, shelfId, deleted, addTags = [], removeTags = [] }: ManyChange,
): Promise<Result<ManyChanged>> {
  if (shelfId && (await shelvesSeen(as)).get(shelfId)?.access !== 'own') return fail('notFound');
  const rows = await as.db
    .select({ id: question.id, deletedAt: question.deletedAt, shelfId: question.shelfId })
    .from(question)
    .where(and(inArray(question.id, ids.slice(0, MAX_AT_ONCE)), eq(question.ownerId, as.person.id)));
  const changed = rows.map(({ id }) => id);
  const moved = shelfId === undefined ? [] : rows.filter((row) => row.shelfId !== shelfId);
  const stood = [...new Set(moved.map((row) => row.shelfId))].map((from) => ({
    shelfId: from,
    ids: moved.flatMap((row) => (row.shelfId === from ? [row.id] : [])),
  }));
  if (changed.length === 0) return ok({ changed, stood });
  await as.db.transaction(async (tx) => {
    if (shelfId !== undefined) await tx.update(question).set({ shelfId }).where(inArray(question.id, changed));
    if (deleted !== undefined) {
      const those = rows.filter(({ deletedAt }) => (deletedAt !== null) !== deleted).map(({ id }) => id);
      if (those.length > 0)
        await tx
          .update(question)
          .set({ deletedAt: deleted ? as.now() : null })
          .where(inArray(question.id, those));
    }
    if (addTags.length > 0)
      await tx
        .insert(questionTag)
        .values(changed.flatMap((questionId) => addTags.map((tag) => ({ questionId, tag }))))
        .onConflictDoNothing();
    if (removeTags.length > 0)
      await tx
        .delete(questionTag)
        .where(and(inArray(questionTag.questionId, changed), inArray(questionTag.tag, [...removeTags])));
    if (addTags.length + removeTags.length > 0) for (const id of changed) await noteTags(tx, id);
  });
  return ok({ changed, stood });
}

/** Deletes the questions in the teacher's bin for good. Their releases stay. */
export async function emptyBin(as: As<Teacher>): Promise<Result<{ questions: number }>> {
  const gone = await as.db
    .delete(question)
    .where(and(eq(question.ownerId, as.person.id), isNotNull(question.deletedAt)))
    .returning({ id: question.id });
  return ok({ questions: gone.length });
}

/** Makes a question a starting point for new ones, or not any more. */
export async function setStartingPoint(as: As<Teacher>, id: string, startingPoint: boolean): Promise<Result<null>> {
  if (!(await own(as, id))) return fail('notFound');
  await as.db.update(question).set({ startingPoint }).where(eq(question.id, id));
  return ok(null);
}

/**
 * Applies a batch of edits to the revision it was made on; refuses it, with the present revision, if another batch came
 * first.
 */
export async function editQuestion(
  as: As<Teacher>,
  id: string,
  batch: Batch,
): Promise<Result<{ revision: number; changedAt: Date }>> {
  const { db, person, now } = as;
  const found = await accessTo(as, id, 'edit');
  if (!found) return fail((await accessTo(as, id, 'see')) ? 'notAllowed' : 'notFound');
  const { row } = found;
  if (row.deletedAt) return fail('notFound');
  const before = await db.query.questionRevision.findFirst({
    where: and(eq(questionRevision.questionId, id), eq(questionRevision.batchId, batch.id)),
  });
  if (before) return ok({ revision: before.revision, changedAt: before.at });
  const movedOn = (there: { revision: number; changedAt: Date }) =>
    fail('questionMovedOn', { detail: { revision: there.revision, changedAt: there.changedAt } });
  if (row.revision !== batch.from) return movedOn(row);

  const whole = await edited(as, row.document, batch.edits);
  if (!whole.ok) return whole;
  const { title, kind, text, findings, words, media } = whole.value;
  if (whole.value.id !== id)
    return fail('invalid', { problems: [{ path: 'edits', message: 'The id of a question cannot be changed.' }] });
  const stood = new Set(Object.values(row.document.media).map(({ hash }) => hash));
  const missing = await shareMedia(as, media, row.ownerId);
  const [unknown] = missing.filter((hash) => !stood.has(hash));
  if (unknown)
    return fail('invalid', {
      problems: [
        {
          path: 'media',
          message: `The file ${unknown.slice(0, 8)}… is neither among your media nor among its owner’s.`,
        },
      ],
    });
  const revision = row.revision + 1;
  const at = now();
  return db.transaction(async (tx): Promise<Result<{ revision: number; changedAt: Date }>> => {
    const changed = await tx
      .update(question)
      .set({ document: sql`${text}`, title, kind, revision, findings, changedAt: at })
      .where(and(eq(question.id, id), eq(question.revision, batch.from), isNull(question.deletedAt)))
      .returning({ id: question.id });
    if (changed.length === 0) {
      const there = await tx.query.question.findFirst({ where: eq(question.id, id) });
      const same = await tx.query.questionRevision.findFirst({
        where: and(eq(questionRevision.questionId, id), eq(questionRevision.batchId, batch.id)),
      });
      if (same) return ok({ revision: same.revision, changedAt: same.at });
      return !there || there.deletedAt ? fail('notFound') : movedOn(there);
    }
    await tx
      .insert(questionRevision)
      .values({ questionId: id, revision, batchId: batch.id, authorId: person.id, edits: [...batch.edits], at });
    await noteWords(tx, id, { title, words });
    return ok({ revision, changedAt: at });
  });
}
