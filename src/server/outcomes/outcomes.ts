import { and, asc, count, eq, inArray, sql } from 'drizzle-orm';
import type { InferType } from 'yup';
import type { FrameworkView, OutcomeRow, outcomesOfMany } from '../../contract';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { isAmong } from '../database/manyRows';
import type { Database, Queries } from '../database/open';
import { framework, outcome, question, questionOutcome } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo, accessToMany } from '../vault/access';
import { shelvesSeen } from '../vault/shelves';

export type Outcome = typeof outcome.$inferSelect;

/** The outcomes of the installation, each framework as a tree. */
export async function listOutcomes(as: As<Teacher>): Promise<FrameworkView[]> {
  const { db, person } = as;
  const shelves = [...(await shelvesSeen(as)).keys()];
  const seen = sql`(${question.ownerId} = ${person.id} or ${isAmong(question.shelfId, shelves)}) and ${question.deletedAt} is null`;
  const [frameworks, rows, used] = await Promise.all([
    db
      .select({ row: framework, by: user.name })
      .from(framework)
      .innerJoin(user, eq(user.id, framework.ownerId))
      .orderBy(asc(framework.title), asc(framework.id)),
    db.select().from(outcome).orderBy(asc(outcome.position)),
    db
      .select({ id: questionOutcome.outcomeId, n: count() })
      .from(questionOutcome)
      .innerJoin(question, eq(question.id, questionOutcome.questionId))
      .where(seen)
      .groupBy(questionOutcome.outcomeId),
  ]);
  const questions = new Map(used.map(({ id, n }) => [id, n]));
  const byFramework = new Map<string, OutcomeRow[]>();
  for (const { id, frameworkId, code, words, parentId, withdrawn } of rows) {
    const list = byFramework.get(frameworkId) ?? [];
    list.push({ id, code, words, parentId, withdrawn, questions: questions.get(id) ?? 0 });
    byFramework.set(frameworkId, list);
  }
  return frameworks.map(({ row: { id, title, identifier, ownerId }, by }) => ({
    ...{ id, title, identifier, by, mine: ownerId === person.id },
    outcomes: byFramework.get(id) ?? [],
  }));
}

/** Removes a framework of the teacher's. Outcomes that questions have stay, as withdrawn, and with them the framework. */
export async function removeFramework(as: As<Teacher>, id: string): Promise<Result<FrameworkView[]>> {
  const found = await as.db.query.framework.findFirst({ where: eq(framework.id, id) });
  if (!found) return fail('notFound');
  if (found.ownerId !== as.person.id) return fail('notAllowed');
  await as.db.transaction(async (tx) => {
    const { withdrawn } = await removeOutcomes(tx, await tx.select().from(outcome).where(eq(outcome.frameworkId, id)));
    if (withdrawn === 0) await tx.delete(framework).where(eq(framework.id, id));
  });
  return ok(await listOutcomes(as));
}

/** Removes outcomes; those that questions have, or that stand above such, stay as withdrawn. */
export async function removeOutcomes(
  db: Queries,
  gone: readonly Outcome[],
): Promise<{ withdrawn: number; removed: number }> {
  const ids = gone.map(({ id }) => id);
  const used = await db
    .select({ id: questionOutcome.outcomeId })
    .from(questionOutcome)
    .where(isAmong(questionOutcome.outcomeId, ids));
  const stays = new Set(used.map(({ id }) => id));
  // Children come after their parents, so that from the end each is known before what it stands under.
  for (const { id, parentId } of gone.toSorted((a, b) => b.position - a.position))
    if (stays.has(id) && parentId !== null) stays.add(parentId);
  const kept = ids.filter((id) => stays.has(id));
  const leaves = ids.filter((id) => !stays.has(id));
  await db.update(outcome).set({ withdrawn: true }).where(isAmong(outcome.id, kept));
  await db.delete(outcome).where(isAmong(outcome.id, leaves));
  return { withdrawn: kept.length, removed: leaves.length };
}

const outcomesIn = async (db: Queries, questionId: string): Promise<string[]> =>
  (
    await db
      .select({ id: questionOutcome.outcomeId })
      .from(questionOutcome)
      .innerJoin(outcome, eq(outcome.id, questionOutcome.outcomeId))
      .where(eq(questionOutcome.questionId, questionId))
      .orderBy(asc(outcome.frameworkId), asc(outcome.position))
  ).map(({ id }) => id);

export async function outcomesOf(as: As<Teacher>, questionId: string): Promise<Result<string[]>> {
  return (await accessTo(as, questionId, 'see')) ? ok(await outcomesIn(as.db, questionId)) : fail('notFound');
}

/** Sets the outcomes of a question. A withdrawn one that it has stays possible. */
export async function setOutcomes(
  as: As<Teacher>,
  questionId: string,
  outcomes: readonly string[],
): Promise<Result<string[]>> {
  if (!(await accessTo(as, questionId, 'edit'))) return fail('notFound');
  const wanted = [...new Set(outcomes)];
  const unknown = await unknownOf(as.db, wanted);
  if (unknown) return unknown;
  await as.db.transaction(async (tx) => {
    await tx.delete(questionOutcome).where(eq(questionOutcome.questionId, questionId));
    if (wanted.length > 0)
      await tx.insert(questionOutcome).values(wanted.map((outcomeId) => ({ questionId, outcomeId })));
  });
  return ok(await outcomesIn(as.db, questionId));
}

async function unknownOf(db: Database, ids: readonly string[]) {
  const known = await db.select({ id: outcome.id }).from(outcome).where(isAmong(outcome.id, ids));
  return known.length === ids.length
    ? null
    : fail('invalid', { problems: [{ path: 'outcomes', message: 'One of these outcomes is not there any more.' }] });
}

/** Adds outcomes to many questions, or takes them off. Questions that the teacher may not change are left alone. */
export async function outcomesOnMany(
  as: As<Teacher>,
  { questions, add, remove }: InferType<typeof outcomesOfMany>,
): Promise<Result<{ questions: number }>> {
  const unknown = await unknownOf(as.db, [...new Set(add)]);
  if (unknown) return unknown;
  const may = [...(await accessToMany(as, questions, 'edit')).keys()];
  if (may.length === 0) return fail('notFound');
  await as.db.transaction(async (tx) => {
    await tx
      .delete(questionOutcome)
      .where(and(isAmong(questionOutcome.questionId, may), inArray(questionOutcome.outcomeId, [...remove])));
    for (const outcomeId of new Set(add))
      await tx
        .insert(questionOutcome)
        .values(may.map((questionId) => ({ questionId, outcomeId })))
        .onConflictDoNothing();
  });
  return ok({ questions: may.length });
}
