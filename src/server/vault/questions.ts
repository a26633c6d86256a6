import { and, eq, inArray, isNotNull } from 'drizzle-orm';
import { applyAll, countFindings, type Edit, EditMismatch, findings, type Kind, type Question, questionModel } from '../../core';
import { newQuestion, parseQuestion } from '../../core/document';
import { exampleOf } from '../../core/kinds';
import type { As, Teacher } from '../context';
import { question, questionRevision, questionTag, type Right } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo, adoptMedia } from './access';
import { type Access, shelvesSeen } from './shelves';
import { noteTags, noteWords } from './words';

export interface Kept {
  question: Question;
  access: Access;
  revision: number;
  changedAt: Date;
}

const judgeable = (document: Question) => countFindings(findings(questionModel(document)));

const own = ({ db, person }: As<Teacher>, id: string) => db.query.question.findFirst({ where: and(eq(question.id, id), eq(question.ownerId, person.id)) });

export async function openQuestion(as: As<Teacher>, id: string): Promise<Result<Kept>> {
  return openWith(as, id, 'see');
}

/** The same, for somebody who may do so much with it. A colleague's media become one's own, so that what is made of them shows them. */
export async function openWith(as: As<Teacher>, id: string, right: Right): Promise<Result<Kept>> {
  const found = await accessTo(as, id, right);
  if (!found || found.row.deletedAt) return fail('notFound');
  const { row, access } = found;
  // A document kept before a field was there gets the field's default.
  const parsed = parseQuestion(row.document);
  const document = parsed.ok ? parsed.question : row.document;
  await adoptMedia(as, document, row.ownerId);
  return ok({ question: document, access, revision: row.revision, changedAt: row.changedAt });
}

/** Keeps a document as a new question of the teacher's. `id` is the client's, so that making it twice makes it once. */
export async function keepNew(as: As<Teacher>, document: Question, shelfId: string | null = null): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  if (shelfId !== null && (await shelvesSeen(as)).get(shelfId)?.access !== 'own') return fail('notFound');
  const at = now();
  await db.transaction(async (tx) => {
    const made = await tx
      .insert(question)
      .values({
        id: document.id,
        ownerId: person.id,
        title: document.title,
        kind: document.kind,
        document,
        revision: 1,
        findings: judgeable(document),
        createdAt: at,
        changedAt: at,
        shelfId,
      })
      .onConflictDoNothing()
      .returning({ id: question.id });
    if (made.length > 0) await noteWords(tx, document);
  });
  const row = await own(as, document.id);
  return row ? ok({ id: row.id }) : fail('notFound');
}

/** An empty question, or a finished example of a kind to be changed. */
export const makeQuestion = (as: As<Teacher>, id: string, example: Kind | null = null, shelfId: string | null = null) =>
  keepNew(as, example ? exampleOf(example, id) : newQuestion(id, 'Untitled question'), shelfId);

/** Keeps the client's whole document as a question of its own: what is left to do when another tab has changed the one it came from. */
export async function keepAsCopy(as: As<Teacher>, id: string, document: unknown, shelfId: string | null = null): Promise<Result<{ id: string }>> {
  const parsed = parseQuestion(document);
  if (!parsed.ok) return fail('invalid', { problems: parsed.problems });
  return keepNew(as, { ...parsed.question, id: id as Question['id'], title: `${parsed.question.title} (copy)`.slice(0, 500) }, shelfId);
}

export async function copyQuestion(as: As<Teacher>, id: string, copyId: string): Promise<Result<{ id: string }>> {
  const found = await openWith(as, id, 'use');
  if (!found.ok) return found;
  // Beside the one it is of, where that shelf is one's own.
  const shelfId = found.value.access === 'own' ? ((await own(as, id))?.shelfId ?? null) : null;
  return keepAsCopy(as, copyId, found.value.question, shelfId);
}

/** Deletes a question, or (`deleted` false) brings it back. Doing either twice is doing it once. */
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

const MOST_AT_ONCE = 500;

/** What can be done to many questions at once: put onto a shelf (null: off any), deleted or brought back, given tags and relieved of others. */
export interface ManyChange {
  readonly ids: readonly string[];
  readonly shelfId?: string | null | undefined;
  readonly deleted?: boolean | undefined;
  readonly addTags?: readonly string[] | undefined;
  readonly removeTags?: readonly string[] | undefined;
}

/** Those that were changed; and where those stood before that stand elsewhere now, so that they can be put back. */
export interface ManyChanged {
  changed: string[];
  stood: { shelfId: string | null; ids: string[] }[];
}

/** Changes many of the teacher's own questions; those that are not theirs are passed over. Doing it twice is doing it once. */
export async function changeMany(as: As<Teacher>, { ids, shelfId, deleted, addTags = [], removeTags = [] }: ManyChange): Promise<Result<ManyChanged>> {
  if (shelfId && (await shelvesSeen(as)).get(shelfId)?.access !== 'own') return fail('notFound');
  const rows = await as.db
    .select({ id: question.id, deletedAt: question.deletedAt, shelfId: question.shelfId })
    .from(question)
    .where(and(inArray(question.id, ids.slice(0, MOST_AT_ONCE)), eq(question.ownerId, as.person.id)));
  const changed = rows.map(({ id }) => id);
  const moved = shelfId === undefined ? [] : rows.filter((row) => row.shelfId !== shelfId);
  const stood = [...new Set(moved.map((row) => row.shelfId))].map((from) => ({ shelfId: from, ids: moved.flatMap((row) => (row.shelfId === from ? [row.id] : [])) }));
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
    if (removeTags.length > 0) await tx.delete(questionTag).where(and(inArray(questionTag.questionId, changed), inArray(questionTag.tag, [...removeTags])));
    if (addTags.length + removeTags.length > 0) for (const id of changed) await noteTags(tx, id);
  });
  return ok({ changed, stood });
}

/** Takes what lies in the teacher's bin away for good. What was published of it stays with its release. */
export async function emptyBin(as: As<Teacher>): Promise<Result<{ questions: number }>> {
  const gone = await as.db
    .delete(question)
    .where(and(eq(question.ownerId, as.person.id), isNotNull(question.deletedAt)))
    .returning({ id: question.id });
  return ok({ questions: gone.length });
}

/** Keeps a question as one that others are begun with, or no longer. */
export async function setStartingPoint(as: As<Teacher>, id: string, startingPoint: boolean): Promise<Result<null>> {
  if (!(await own(as, id))) return fail('notFound');
  await as.db.update(question).set({ startingPoint }).where(eq(question.id, id));
  return ok(null);
}

export interface Batch {
  /** Made by the client: the same batch sent again is answered, not applied again. */
  readonly id: string;
  /** The revision the edits were made on. */
  readonly from: number;
  readonly edits: readonly Edit[];
}

/** Applies a batch of edits to the revision it was made on; refuses it, with the present revision, when another has come in between. */
export async function editQuestion(as: As<Teacher>, id: string, batch: Batch): Promise<Result<{ revision: number; changedAt: Date }>> {
  const { db, person, now } = as;
  if (!(await accessTo(as, id, 'edit'))) return fail((await accessTo(as, id, 'see')) ? 'notAllowed' : 'notFound');
  return db.transaction(async (tx): Promise<Result<{ revision: number; changedAt: Date }>> => {
    const row = await tx.query.question.findFirst({ where: eq(question.id, id) });
    if (!row || row.deletedAt) return fail('notFound');
    const before = await tx.query.questionRevision.findFirst({ where: and(eq(questionRevision.questionId, id), eq(questionRevision.batchId, batch.id)) });
    if (before) return ok({ revision: before.revision, changedAt: before.at });
    if (row.revision !== batch.from) return fail('questionMovedOn', { detail: { revision: row.revision, changedAt: row.changedAt } });

    const edited = applied(row.document, batch.edits);
    if (!edited.ok) return edited;
    const document = edited.value;
    const revision = row.revision + 1;
    const at = now();
    await tx.insert(questionRevision).values({ questionId: id, revision, batchId: batch.id, authorId: person.id, edits: [...batch.edits], at });
    await tx
      .update(question)
      .set({ document, title: document.title, kind: document.kind, revision, findings: judgeable(document), changedAt: at })
      .where(eq(question.id, id));
    await noteWords(tx, document);
    return ok({ revision, changedAt: at });
  });
}

function applied(document: Question, edits: readonly Edit[]): Result<Question> {
  try {
    const parsed = parseQuestion(applyAll(document, edits));
    return parsed.ok ? ok(parsed.question) : fail('invalid', { problems: parsed.problems });
  } catch (error) {
    if (error instanceof EditMismatch) return fail('invalid', { problems: [{ path: 'edits', message: `${error.message}.` }] });
    throw error;
  }
}
