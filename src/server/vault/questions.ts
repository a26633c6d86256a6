import { and, desc, eq, isNull } from 'drizzle-orm';
import { applyAll, countFindings, type Edit, EditMismatch, type FindingCounts, findings, type Kind, type Question, questionModel } from '../../core';
import { newQuestion, parseQuestion } from '../../core/document';
import { exampleOf } from '../../core/kinds';
import type { As, Teacher } from '../context';
import { question, questionRevision } from '../database/tables';
import { fail, ok, type Result } from '../errors';

export interface VaultRow {
  id: string;
  title: string;
  kind: Kind;
  changedAt: Date;
  findings: FindingCounts;
  startingPoint: boolean;
}

export interface Kept {
  question: Question;
  revision: number;
  changedAt: Date;
}

const judgeable = (document: Question) => countFindings(findings(questionModel(document)));

/** The teacher's questions, the one changed last first. */
export async function listQuestions({ db, person }: As<Teacher>): Promise<VaultRow[]> {
  return db
    .select({ id: question.id, title: question.title, kind: question.kind, changedAt: question.changedAt, findings: question.findings, startingPoint: question.startingPoint })
    .from(question)
    .where(and(eq(question.ownerId, person.id), isNull(question.deletedAt)))
    .orderBy(desc(question.changedAt));
}

const own = ({ db, person }: As<Teacher>, id: string) => db.query.question.findFirst({ where: and(eq(question.id, id), eq(question.ownerId, person.id)) });

export async function openQuestion(as: As<Teacher>, id: string): Promise<Result<Kept>> {
  const row = await own(as, id);
  if (!row || row.deletedAt) return fail('notFound');
  // A document kept before a field was there gets the field's default.
  const parsed = parseQuestion(row.document);
  return ok({ question: parsed.ok ? parsed.question : row.document, revision: row.revision, changedAt: row.changedAt });
}

/** Keeps a document as a new question of the teacher's. `id` is the client's, so that making it twice makes it once. */
export async function keepNew(as: As<Teacher>, document: Question): Promise<Result<{ id: string }>> {
  const { db, person, now } = as;
  const at = now();
  await db
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
    })
    .onConflictDoNothing();
  const row = await own(as, document.id);
  return row ? ok({ id: row.id }) : fail('notFound');
}

/** An empty question, or a finished example of a kind to be changed. */
export const makeQuestion = (as: As<Teacher>, id: string, example: Kind | null = null) => keepNew(as, example ? exampleOf(example, id) : newQuestion(id, 'Untitled question'));

/** Keeps the client's whole document as a question of its own: what is left to do when another tab has changed the one it came from. */
export async function keepAsCopy(as: As<Teacher>, id: string, document: unknown): Promise<Result<{ id: string }>> {
  const parsed = parseQuestion(document);
  if (!parsed.ok) return fail('invalid', { problems: parsed.problems });
  return keepNew(as, { ...parsed.question, id: id as Question['id'], title: `${parsed.question.title} (copy)`.slice(0, 500) });
}

export async function copyQuestion(as: As<Teacher>, id: string, copyId: string): Promise<Result<{ id: string }>> {
  const found = await openQuestion(as, id);
  return found.ok ? keepAsCopy(as, copyId, found.value.question) : found;
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
  return db.transaction(async (tx): Promise<Result<{ revision: number; changedAt: Date }>> => {
    const row = await tx.query.question.findFirst({ where: and(eq(question.id, id), eq(question.ownerId, person.id)) });
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
