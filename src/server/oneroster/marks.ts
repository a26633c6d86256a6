import { and, desc, eq } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { GradeCell, GradeRow, OneRosterNotes } from '../../contract';
import { roundMark } from '../../core';
import { type Cells, type RosterOut, writeOneRoster } from '../../formats/oneroster/write';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { isAmong } from '../database/manyRows';
import { markOverride, oneRosterAccount, oneRosterClass, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { columnsOf, gradeEverybody, type ReleaseRow, type Who } from '../results/gradeCells';
import { outcomeAnswers, outcomesIn, questionsOf } from '../results/mastery';

/** An id of ours for what has none: the same at every export. `of`: ids that are UUIDs. */
const idFrom = (of: string, ...parts: readonly string[]): string => v5(parts.join(' '), of);

type Found = NonNullable<Awaited<ReturnType<typeof courseOf>>>;

interface Known {
  /** The class that the course is; null: it came from no system. */
  readonly group: typeof oneRosterClass.$inferSelect | null;
  readonly learners: readonly Who[];
  /** What the system calls a learner; undefined: it does not know them. */
  readonly sourcedIdOf: ReadonlyMap<string, string>;
}

async function knownIn(as: As<Teacher>, courseId: string): Promise<Known> {
  const [group] = await as.db
    .select()
    .from(oneRosterClass)
    .where(eq(oneRosterClass.courseId, courseId))
    .orderBy(oneRosterClass.gone)
    .limit(1);
  const learners = await everybodyOn(as, courseId);
  const accounts = await as.db
    .select()
    .from(oneRosterAccount)
    .where(
      and(
        eq(oneRosterAccount.role, 'learner'),
        isAmong(
          oneRosterAccount.personId,
          learners.map(({ id }) => id),
        ),
      ),
    )
    .orderBy(desc(oneRosterAccount.source));
  // Of several systems that know somebody, the one that the class is of.
  const sorted = accounts.toSorted((a, b) => Number(a.source === group?.source) - Number(b.source === group?.source));
  return {
    group: group ?? null,
    learners,
    sourcedIdOf: new Map(sorted.map(({ personId, sourcedId }) => [personId, sourcedId])),
  };
}

/** What does not go out, or otherwise than the school's system knows it. */
export async function oneRosterNotes(as: As<Teacher>, courseId: string): Promise<Result<OneRosterNotes>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const { group, learners, sourcedIdOf } = await knownIn(as, courseId);
  return ok({
    ownId: group === null,
    leftOut: learners.flatMap(({ id, name }) => (sourcedIdOf.has(id) ? [] : [name])),
  });
}

/** The marks of a course as a package of OneRoster 1.2, bulk. */
export async function oneRosterOut(
  as: As<Teacher>,
  courseId: string,
): Promise<Result<{ title: string; bytes: Uint8Array }>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const known = await knownIn(as, courseId);
  const out = await tablesOf(as, found, known);
  return ok({ title: found.row.title, bytes: writeOneRoster(out, { name: 'Vault Drop', code: 'vault-drop' }) });
}

async function tablesOf(as: As<Teacher>, { row }: Found, { group, learners, sourcedIdOf }: Known): Promise<RosterOut> {
  const columns = await columnsOf({ ...as, closing: true }, row.id);
  const { releases, categories } = columns;
  const rows = await gradeEverybody(
    as,
    columns,
    learners.filter(({ id }) => sourcedIdOf.has(id)),
  );
  const dates = await datesOf(
    as,
    releases,
    rows.flatMap(({ cells }) => cells.flatMap(({ attempt }) => attempt ?? [])),
  );
  const classSourcedId = group?.sourcedId ?? row.id;
  const uncategorised = idFrom(row.id, 'category');
  const items = releases.map((release) => {
    const assigned = day(release.opensAt ?? release.createdAt);
    const due = release.dueAt ?? release.closesAt;
    return { release, assigned, due: due ? day(due) : (group?.endsOn ?? endOfSchoolYear(assigned)) };
  });
  const objectives = await objectivesOf(as, releases, rows, sourcedIdOf);
  return {
    ...objectives,
    categories: [
      ...categories.map(({ id, title, weight }) => ({ sourcedId: id, title, weight })),
      ...(releases.some(({ categoryId }) => categoryId === null)
        ? [{ sourcedId: uncategorised, title: 'Without a category' }]
        : []),
    ],
    lineItems: items.map(({ release, assigned, due }) => ({
      ...{ sourcedId: release.id, title: release.title, assignDate: assigned, dueDate: due, classSourcedId },
      categorySourcedId: release.categoryId ?? uncategorised,
      ...{ gradingPeriodSourcedId: group?.term ?? '', academicSessionSourcedId: group?.term ?? '' },
      ...{ schoolSourcedId: group?.school ?? '', resultValueMin: 0, resultValueMax: release.outOf },
    })),
    results: rows.flatMap(({ learnerId, cells }) =>
      cells.flatMap((cell, i): Cells[] => {
        const item = items[i];
        if (!item || cell.state === 'notFor') return [];
        const { release, assigned, due } = item;
        const status = statusOf(cell);
        const byHand = dates.byHand.get(`${release.id} ${learnerId}`);
        const at = (cell.byHand === null ? null : byHand) ?? dates.attempts.get(cell.attempt ?? '') ?? null;
        return [
          {
            sourcedId: idFrom(release.id, 'result', learnerId),
            ...{ lineItemSourcedId: release.id, studentSourcedId: sourcedIdOf.get(learnerId) ?? '' },
            ...{ scoreStatus: status, score: status === 'fully graded' ? cell.points : '' },
            // Of what was not handed in too: when it was due, or if that is still to come, when it was assigned.
            scoreDate: at ? day(at) : due <= day(as.now()) ? due : assigned,
            classSourcedId,
            ...{ inProgress: cell.state === 'running', incomplete: false },
            ...{ late: cell.late, missing: cell.state === 'missing' },
          },
        ];
      }),
    ),
  };
}

/**
 * The learning objectives of the releases, and what each learner's attempt that counts came to in them, in points. Those
 * of CASE go by their identifiers, those of a list by their codes.
 */
async function objectivesOf(
  as: As<Teacher>,
  releases: readonly ReleaseRow[],
  rows: readonly GradeRow[],
  sourcedIdOf: ReadonlyMap<string, string>,
): Promise<Pick<RosterOut, 'lineItemLearningObjectiveIds' | 'resultLearningObjectiveIds'>> {
  const items: Cells[] = [];
  const results: Cells[] = [];
  for (const [i, release] of releases.entries()) {
    const outcomes = await outcomesIn(as, await questionsOf(as, release));
    if (outcomes.of.size === 0) continue;
    const byId = new Map(outcomes.rows.map((row) => [row.id, row]));
    const told = (id: string) => {
      const row = byId.get(id);
      return { source: row?.identifier == null ? 'unknown' : 'case', learningObjectiveId: row?.key ?? '' };
    };
    for (const id of new Set([...outcomes.of.values()].flat()))
      items.push({
        ...{ sourcedId: idFrom(release.id, 'objective', id), lineItemSourcedId: release.id },
        ...told(id),
      });
    const own = rows.map(({ learnerId, cells }) => ({ learnerId, cells: cells.slice(i, i + 1) }));
    const sums = new Map<string, { learnerId: string; outcome: string; earned: number }>();
    for (const { learnerId, outcomes: of, earned } of await outcomeAnswers(as, [release], own, outcomes))
      for (const outcome of of) {
        const before = sums.get(`${learnerId} ${outcome}`)?.earned ?? 0;
        sums.set(`${learnerId} ${outcome}`, { learnerId, outcome, earned: before + earned });
      }
    for (const { learnerId, outcome, earned } of sums.values())
      if (sourcedIdOf.has(learnerId))
        results.push({
          sourcedId: idFrom(release.id, 'result', learnerId, outcome),
          resultSourcedId: idFrom(release.id, 'result', learnerId),
          score: roundMark(earned),
          ...told(outcome),
        });
  }
  return items.length === 0 ? {} : { lineItemLearningObjectiveIds: items, resultLearningObjectiveIds: results };
}

const statusOf = ({ state, points }: GradeCell): string =>
  state === 'excused' ? 'exempt' : points !== null ? 'fully graded' : 'not submitted';

/** When the attempts were last worked on, and when marks were set by hand. */
async function datesOf({ db }: As<Teacher>, releases: readonly ReleaseRow[], attempts: readonly string[]) {
  const [sittings, overrides] = await Promise.all([
    db
      .select({ id: sitting.id, at: sitting.finishedAt, last: sitting.lastMoveAt, began: sitting.startedAt })
      .from(sitting)
      .where(isAmong(sitting.id, attempts)),
    db
      .select({ releaseId: markOverride.releaseId, learnerId: markOverride.learnerId, at: markOverride.at })
      .from(markOverride)
      .where(
        isAmong(
          markOverride.releaseId,
          releases.map(({ id }) => id),
        ),
      ),
  ]);
  return {
    attempts: new Map(sittings.map(({ id, at, last, began }) => [id, at ?? last ?? began])),
    byHand: new Map(overrides.map(({ releaseId, learnerId, at }) => [`${releaseId} ${learnerId}`, at])),
  };
}

/** A date of ISO 8601, in UTC. */
const day = (at: Date): string => at.toISOString().slice(0, 10);

/** The last day of July that follows, for a course of which no system says when it ends. */
function endOfSchoolYear(from: string): string {
  const year = Number(from.slice(0, 4));
  return `${from.slice(5) > '07-31' ? year + 1 : year}-07-31`;
}
