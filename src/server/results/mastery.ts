import { asc, eq } from 'drizzle-orm';
import type { InferType } from 'yup';
import {
  type GradeCell,
  type LearnerOutcome,
  MAX_MATRIX,
  type MasteryView,
  type OutcomeMarks,
  type OutcomeShare,
  type outcomeGroup,
} from '../../contract';
import { masteryOf, type OutcomeAnswer, whoNeeds } from '../../core';
import type { As, Context, Teacher } from '../context';
import { courseOf, releaseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { isAmong } from '../database/manyRows';
import { framework, outcome, questionOutcome, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { drawer } from '../sittings/draw';
import { cellsIn, columnsOf, type ReleaseRow, type Who, withMaxima } from './gradeCells';
import { groupOf } from './needs';

/** `identifier`: of the document of CASE that it is of; null: it is of a list. */
type OutcomeIn = typeof outcome.$inferSelect & { readonly identifier: string | null };

/** The outcomes of the questions of some releases, with those above them. */
export interface Outcomes {
  /** By question, the ids of its outcomes. */
  readonly of: ReadonlyMap<string, readonly string[]>;
  /** In the order in which they stand. */
  readonly rows: readonly OutcomeIn[];
}

/** The questions of a release by their ids, in the order of its edition. */
export const questionsOf = async ({ db }: Pick<Context, 'db'>, { id, edition }: ReleaseRow): Promise<string[]> =>
  (await editionOf(db, id, edition)).models.map(({ question }) => question.id);

export async function outcomesIn(context: Pick<Context, 'db'>, questions: readonly string[]): Promise<Outcomes> {
  const { db } = context;
  const links = await db.select().from(questionOutcome).where(isAmong(questionOutcome.questionId, questions));
  if (links.length === 0) return { of: new Map(), rows: [] };
  const found = await db
    .select({ row: outcome, identifier: framework.identifier })
    .from(outcome)
    .innerJoin(framework, eq(framework.id, outcome.frameworkId))
    .orderBy(asc(framework.title), asc(framework.id), asc(outcome.position));
  const all = found.map(({ row, identifier }): OutcomeIn => ({ ...row, identifier }));
  const byId = new Map(all.map((row) => [row.id, row]));
  const shown = new Set<string>();
  for (const { outcomeId } of links)
    for (let at = byId.get(outcomeId); at && !shown.has(at.id); at = byId.get(at.parentId ?? '')) shown.add(at.id);
  const of = new Map<string, string[]>();
  for (const { questionId, outcomeId } of links) of.set(questionId, [...(of.get(questionId) ?? []), outcomeId]);
  return { of, rows: all.filter(({ id }) => shown.has(id)) };
}

/**
 * What learners' attempts that count come to, question by question. Of a finished attempt a question that was left
 * counts as nothing earned; of one under way it does not count. Struck questions never do.
 */
export async function outcomeAnswers(
  context: Pick<Context, 'db'>,
  releases: readonly ReleaseRow[],
  cells: readonly { readonly learnerId: string; readonly cells: readonly GradeCell[] }[],
  { of }: Outcomes,
): Promise<OutcomeAnswer[]> {
  const { db } = context;
  const attempts = cells.flatMap((row) => row.cells.flatMap(({ attempt }) => attempt ?? []));
  const [sat, marks] = await Promise.all([
    db
      .select({
        ...{ id: sitting.id, learnerId: sitting.learnerId, releaseId: sitting.releaseId, seed: sitting.seed },
        ...{ edition: sitting.edition, began: sitting.began, finishedAt: sitting.finishedAt },
      })
      .from(sitting)
      .where(isAmong(sitting.id, attempts)),
    db
      .select({ id: standing.sittingId, question: standing.question, points: standing.points })
      .from(standing)
      .where(isAmong(standing.sittingId, attempts)),
  ]);
  const earned = new Map<string, Map<number, number>>();
  for (const { id, question, points } of marks) {
    const own = earned.get(id) ?? new Map<number, number>();
    earned.set(id, own.set(question, points));
  }
  const known = new Set(releases.map(({ id }) => id));
  const answers: OutcomeAnswer[] = [];
  for (const { id, learnerId, releaseId, seed, edition, began, finishedAt } of sat) {
    if (!known.has(releaseId)) continue;
    const now = await editionOf(db, releaseId, edition);
    const asked = (began === edition ? now : await editionOf(db, releaseId, began)).asked(drawer(seed, 'questions'));
    for (const index of asked) {
      const question = now.models[index]?.question.id ?? '';
      const outcomes = of.get(question);
      const points = now.points[index] ?? 0;
      const got = earned.get(id)?.get(index);
      if (!outcomes || points <= 0 || now.struck[index] || (got === undefined && finishedAt === null)) continue;
      answers.push({ learnerId, question, outcomes, earned: got ?? 0, points });
    }
  }
  return answers;
}

async function viewOf(
  as: As<Teacher>,
  { title, courseId }: Pick<MasteryView, 'title' | 'courseId'>,
  releases: readonly ReleaseRow[],
  people: readonly Who[],
): Promise<MasteryView> {
  const questions = new Set((await Promise.all(releases.map((release) => questionsOf(as, release)))).flat());
  const outcomes = await outcomesIn(as, [...questions]);
  const cellsOf = await cellsIn(
    as,
    releases,
    people.map(({ id }) => id),
  );
  const answers = await outcomeAnswers(
    as,
    releases,
    people.map(({ id }) => ({ learnerId: id, cells: cellsOf(id) })),
    outcomes,
  );
  const parentOf = new Map(outcomes.rows.map(({ id, parentId }) => [id, parentId]));
  const { all, learners } = masteryOf(answers, parentOf);
  const shares = new Map<string, Record<string, OutcomeShare>>();
  for (const [outcomeId, own] of learners)
    for (const [learnerId, { value, low, high, answers: n }] of own) {
      const mine = shares.get(learnerId) ?? {};
      mine[outcomeId] = { value, low, high, answers: n };
      shares.set(learnerId, mine);
    }
  const answered = people.filter(({ id }) => shares.has(id));
  const nameOf = new Map(people.map(({ id, name }) => [id, name]));
  return {
    ...{ title, courseId },
    outcomes: outcomes.rows.map(({ id, code, words, parentId, withdrawn }): OutcomeMarks => {
      const marks = all.get(id);
      return {
        ...{ id, code, words, withdrawn, parentId: parentId !== null && parentOf.has(parentId) ? parentId : null },
        share: marks ? { value: marks.value, low: marks.low, high: marks.high } : null,
        ...{ answers: marks?.answers ?? 0, questions: marks?.questions ?? 0 },
      };
    }),
    needs: Object.fromEntries(
      [...learners].map(([id, shares]) => [
        id,
        whoNeeds(shares).map(
          ([learnerId, { value, low, high, answers: n }]): LearnerOutcome => ({
            ...{ learnerId, name: nameOf.get(learnerId) ?? '', value, low, high, answers: n },
          }),
        ),
      ]),
    ),
    learners: answered
      .slice(0, MAX_MATRIX)
      .map(({ id, name }) => ({ learnerId: id, name, shares: shares.get(id) ?? {} })),
    answered: answered.length,
    without: [...questions].filter((id) => !outcomes.of.has(id)).length,
  };
}

/** Marks by outcome of a release, over the attempts that count. */
export async function masteryOfRelease(as: As<Teacher>, releaseId: string): Promise<Result<MasteryView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { courseId, title } = found.row;
  const releases = await withMaxima(as, [found.row]);
  return ok(await viewOf(as, { title, courseId }, releases, await everybodyOn(as, courseId)));
}

/** The same of all releases of a course that count. */
export async function masteryOfCourse(as: As<Teacher>, courseId: string): Promise<Result<MasteryView>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const { releases } = await columnsOf({ ...as, closing: true }, courseId);
  return ok(await viewOf(as, { title: found.row.title, courseId }, releases, await everybodyOn(as, courseId)));
}

/** Makes a group of those who need an outcome, in a course or in one of its releases. */
export async function groupByOutcome(
  as: As<Teacher>,
  courseId: string,
  { id, outcome: outcomeId, release: releaseId, title }: InferType<typeof outcomeGroup>,
): Promise<Result<{ learners: number }>> {
  const found = releaseId === null ? await masteryOfCourse(as, courseId) : await masteryOfRelease(as, releaseId);
  if (!found.ok) return found;
  if (found.value.courseId !== courseId) return fail('notFound');
  const needs = found.value.needs[outcomeId] ?? [];
  if (needs.length === 0)
    return fail('invalid', { problems: [{ path: 'outcome', message: 'Nobody needs it by now.' }] });
  return groupOf(
    as,
    { id, courseId, title },
    needs.map(({ learnerId }) => ({ id: learnerId })),
  );
}
