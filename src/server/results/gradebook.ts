import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import {
  type GradebookPage,
  type GradeCell,
  type GradeRow,
  type GradesSought,
  type HandMark,
  ROSTER_PAGE,
} from '../../contract';
import { cellState, countingMark, type Entry, roundMark, wholeMark } from '../../core';
import { stringify } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { courseOf, isOnRoster, releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { everybodyOn, listRoster } from '../courses/roster';
import { allowance, category, groupMember, markOverride, release, releaseFor } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { closeOverdue } from '../sittings/finish';
import { type AttemptScore, attemptScores, ofLearners, startedAttempts } from './attemptScores';
import { asRemembered, type OrderKey, rememberOrder } from './gradeOrder';

/** A page of a course's gradebook: learners by its counting releases. */
export async function openGradebook(
  as: As<Teacher>,
  courseId: string,
  { words = '', from = 0, sort = 'name' }: GradesSought = {},
): Promise<Result<GradebookPage>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const { releases, categories } = await columnsOf(as, courseId, from === 0);
  const columns = releases.map(({ id, title, categoryId, dueAt, closesAt, outOf }) => ({
    id,
    title,
    categoryId,
    dueAt,
    closesAt,
    outOf,
  }));
  if (sort !== 'name') {
    const everybody = await everybodyOn(as, courseId, words);
    const key: OrderKey = [as.person.id, courseId, sort, words];
    const inOrder = from > 0 ? asRemembered(as.db, key, everybody) : null;
    if (inOrder)
      return ok({
        releases: columns,
        categories,
        rows: await gradeRows(as, releases, categories, inOrder.slice(from, from + ROSTER_PAGE)),
        total: inOrder.length,
        from,
      });
    // Sorted by the overall mark, which has to be worked out for everybody first.
    const all = await gradeEverybody(as, releases, categories, everybody);
    const sign = sort === 'lowest' ? 1 : -1;
    all.sort((a, b) =>
      a.whole === null || b.whole === null
        ? Number(a.whole === null) - Number(b.whole === null)
        : sign * (a.whole - b.whole),
    );
    rememberOrder(
      as.db,
      key,
      all.map(({ learnerId }) => learnerId),
    );
    return ok({ releases: columns, categories, rows: all.slice(from, from + ROSTER_PAGE), total: all.length, from });
  }
  const page = await listRoster(as, courseId, { words, from });
  if (!page.ok) return page;
  return ok({
    releases: columns,
    categories,
    rows: await gradeRows(as, releases, categories, page.value.rows),
    total: page.value.total,
    from,
  });
}

/**
 * The counting releases of a course, and its categories. `closing`: finish overdue attempts first.
 */
async function columnsOf(
  as: As<Teacher>,
  courseId: string,
  closing: boolean,
): Promise<{ releases: ReleaseRow[]; categories: GradebookPage['categories'] }> {
  const { db } = as;
  const found = await db
    .select()
    .from(release)
    .where(and(eq(release.courseId, courseId), eq(release.practice, false), isNull(release.withdrawnAt)))
    .orderBy(asc(release.createdAt));
  if (closing)
    await closeOverdue(
      as,
      found.map(({ id }) => id),
    );
  const categories = await db
    .select({ id: category.id, title: category.title, weight: category.weight })
    .from(category)
    .where(eq(category.courseId, courseId))
    .orderBy(asc(category.position));
  const releases = await Promise.all(
    found.map(async (row) => {
      const { outOf, asks } = await editionOf(db, row.id, row.edition);
      return { ...row, outOf: roundMark(outOf), asks };
    }),
  );
  return { releases, categories };
}

type ReleaseRow = typeof release.$inferSelect & { readonly outOf: number; readonly asks: number };
interface Who {
  readonly id: string;
  readonly name: string;
  readonly username: string | null;
}

const AT_ONCE = 500;

async function gradeEverybody(
  as: As<Teacher>,
  releases: readonly ReleaseRow[],
  categories: readonly { id: string; weight: number }[],
  learners: readonly Who[],
): Promise<GradeRow[]> {
  const rows: GradeRow[] = [];
  for (let i = 0; i < learners.length; i += AT_ONCE)
    rows.push(...(await gradeRows(as, releases, categories, learners.slice(i, i + AT_ONCE))));
  return rows;
}

async function gradeRows(
  as: As<Teacher>,
  releases: readonly ReleaseRow[],
  categories: readonly { id: string; weight: number }[],
  learners: readonly Who[],
): Promise<GradeRow[]> {
  const { db, now } = as;
  const ids = releases.map(({ id }) => id);
  const people = learners.map(({ id }) => id);
  if (people.length === 0) return [];
  const [came, byHand, allowed, whom] =
    ids.length === 0
      ? [[], [], [], []]
      : await Promise.all([
          attemptScores(db, ofLearners(ids, people)),
          db
            .select()
            .from(markOverride)
            .where(and(inArray(markOverride.releaseId, ids), inArray(markOverride.learnerId, people))),
          db
            .select()
            .from(allowance)
            .where(and(inArray(allowance.releaseId, ids), inArray(allowance.learnerId, people))),
          db
            .select({ releaseId: releaseFor.releaseId, learnerId: releaseFor.learnerId, member: groupMember.learnerId })
            .from(releaseFor)
            .leftJoin(groupMember, eq(groupMember.groupId, releaseFor.groupId))
            .where(inArray(releaseFor.releaseId, ids)),
        ]);
  const at = now();
  const key = (releaseId: string, learnerId: string) => `${releaseId} ${learnerId}`;
  const sittings = new Map<string, AttemptScore[]>();
  for (const attempt of came) {
    const of = key(attempt.releaseId, attempt.learnerId);
    const list = sittings.get(of);
    if (list) list.push(attempt);
    else sittings.set(of, [attempt]);
  }
  const handOf = new Map(byHand.map((one) => [key(one.releaseId, one.learnerId), one]));
  const allowedOf = new Map(allowed.map((one) => [key(one.releaseId, one.learnerId), one]));
  const isFor = new Set(
    whom.flatMap(({ releaseId, learnerId, member }) =>
      learnerId || member ? [key(releaseId, learnerId ?? member ?? '')] : [],
    ),
  );

  return learners.map(({ id: learnerId, name, username }) => {
    const cells = releases.map((release): GradeCell => {
      const of = key(release.id, learnerId);
      const mine = sittings.get(of) ?? [];
      const touched = startedAttempts(mine, release.asks);
      const counts = countingMark(touched, release.counts);
      const hand = handOf.get(of);
      const due = allowedOf.get(of)?.dueAt ?? release.dueAt;
      const closes = allowedOf.get(of)?.closesAt ?? release.closesAt;
      const last = touched.findLast(({ finished }) => finished)?.finishedAt ?? null;
      const end = due ?? closes;
      return {
        points: hand ? hand.points : counts && roundMark(counts.points),
        outOf: roundMark((hand ? hand.outOf : counts?.outOf) ?? counts?.outOf ?? release.outOf),
        state: cellState({
          byHand: hand !== undefined,
          assigned: release.everyone || isFor.has(of) || mine.length > 0,
          counts: counts !== null,
          finished: touched.some(({ finished }) => finished),
          started: mine.length > 0,
          over: end !== null && end <= at,
        }),
        late: due !== null && last !== null && last > due,
        byHand: hand?.reason ?? null,
      };
    });
    const entries = cells.map(
      ({ points, outOf, state }): Entry => ({
        mark: points === null ? null : { points, outOf },
        missing: state === 'missing',
      }),
    );
    return { learnerId, name, username, cells, whole: wholeMark(releases, entries, categories) };
  });
}

/** The overall mark of everybody in a course; `without`: as if that category did not exist. */
export async function overallMarks(
  as: As<Teacher>,
  courseId: string,
  without?: string,
): Promise<{ learnerId: string; name: string; overall: number | null }[]> {
  const { releases, categories } = await columnsOf(as, courseId, false);
  const left = categories.filter(({ id }) => id !== without);
  const counting = releases.map((release) =>
    release.categoryId === without ? { ...release, categoryId: null } : release,
  );
  const rows = await gradeEverybody(as, counting, left, await everybodyOn(as, courseId));
  return rows.map(({ learnerId, name, whole }) => ({ learnerId, name, overall: whole }));
}

/** The overall mark, rounded to eight places, so that the order of adding up does not matter. */
const rounded = (n: number): number => Number(n.toFixed(8));
/** A number for CSV, with all its digits. */
const exact = (n: number): string => String(n);

/**
 * The gradebook as CSV (RFC 4180, UTF-8): a line for each learner, with each mark and its maximum, and the sum of each
 * category. The overall mark follows from the line: the points of a category out of its maximum, and the categories by
 * weight.
 */
export async function gradebookCsv(as: As<Teacher>, courseId: string): Promise<Result<string>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const { releases, categories } = await columnsOf(as, courseId, true);
  const rows = await gradeEverybody(as, releases, categories, await everybodyOn(as, courseId));
  const titled = (id: string | null) => categories.find((category) => category.id === id);
  const remarks = (cell: GradeCell) =>
    [
      cell.state === 'missing' && 'missing',
      cell.state === 'notFor' && 'not assigned',
      cell.late && 'late',
      cell.byHand !== null && `by hand: ${cell.byHand}`,
    ]
      .filter(Boolean)
      .join('; ');
  const points = (cell: GradeCell) => (cell.points !== null ? exact(cell.points) : cell.state === 'missing' ? '0' : '');
  const outOf = (cell: GradeCell) => (cell.points !== null || cell.state === 'missing' ? exact(cell.outOf) : '');
  return ok(
    stringify(
      [
        'name',
        'user name',
        ...releases.flatMap(({ title, categoryId }) => {
          const of = categories.length === 0 ? '' : ` (${titled(categoryId)?.title ?? 'counts in none'})`;
          return [`${title}${of}`, `${title}: out of`, `${title}: remarks`];
        }),
        ...categories.flatMap(({ title, weight }) => [
          `category ${title}, weight ${exact(weight)}: points`,
          `category ${title}: out of`,
        ]),
        'overall mark, percent',
      ],
      rows.map(({ name, username, cells, whole }) => [
        name,
        username,
        ...cells.flatMap((cell) => [points(cell), outOf(cell), remarks(cell)]),
        ...categories.flatMap(({ id }) => {
          const own = cells.filter(
            (cell, i) => releases[i]?.categoryId === id && (cell.points !== null || cell.state === 'missing'),
          );
          if (own.length === 0) return ['', ''];
          return [
            exact(own.reduce((sum, cell) => sum + (cell.points ?? 0), 0)),
            exact(own.reduce((sum, cell) => sum + cell.outOf, 0)),
          ];
        }),
        whole === null ? '' : exact(rounded(whole * 100)),
      ]),
    ),
  );
}

/**
 * Sets a learner's mark of a release by hand, with a reason, out of the present maximum; null: the attempts count
 * again.
 */
export async function setMark(
  as: As<Teacher>,
  releaseId: string,
  learnerId: string,
  mark: HandMark | null,
): Promise<Result<null>> {
  const { db, person, now } = as;
  const found = await releaseOf(as, releaseId);
  if (!found || !(await isOnRoster(as, found.course.id, learnerId))) return fail('notFound');
  const its = and(eq(markOverride.releaseId, releaseId), eq(markOverride.learnerId, learnerId));
  const before = await db.query.markOverride.findFirst({ where: its });
  if (mark && before?.points === mark.points && before.reason === mark.reason) return ok(null);
  if (!mark && !before) return ok(null);
  const outOf = await outOfNow(as, found.row, learnerId);
  if (mark && mark.points > outOf && !mark.above)
    return fail('invalid', {
      problems: [
        {
          path: 'mark.above',
          message: `${mark.points} is more than the ${outOf} that can be earned. Confirm that you mean it.`,
        },
      ],
    });
  await db.transaction(async (tx) => {
    if (mark)
      await tx
        .insert(markOverride)
        .values({ releaseId, learnerId, points: mark.points, reason: mark.reason, outOf, by: person.id, at: now() })
        .onConflictDoUpdate({
          target: [markOverride.releaseId, markOverride.learnerId],
          set: { points: mark.points, reason: mark.reason, outOf, by: person.id, at: now() },
        });
    else await tx.delete(markOverride).where(its);
    await record(
      { ...as, db: tx },
      {
        courseId: found.course.id,
        releaseId,
        learnerId,
        what: mark ? 'markSet' : 'markSetBack',
        detail: {
          before: before?.points ?? null,
          points: mark?.points ?? null,
          outOf: mark ? outOf : (before?.outOf ?? null),
          reason: mark?.reason ?? '',
        },
      },
    );
  });
  return ok(null);
}

/** The most a learner can earn in a release: in the attempt that counts, else in one started now. */
async function outOfNow({ db }: As<Teacher>, row: typeof release.$inferSelect, learnerId: string): Promise<number> {
  const { outOf, asks } = await editionOf(db, row.id, row.edition);
  const counts = countingMark(
    startedAttempts(await attemptScores(db, ofLearners([row.id], [learnerId])), asks),
    row.counts,
  );
  return roundMark(counts?.outOf ?? outOf);
}
