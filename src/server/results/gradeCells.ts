import { and, asc, eq, inArray, isNull, ne } from 'drizzle-orm';
import type { GradebookPage, GradeCell, GradeRow, Sending } from '../../contract';
import {
  cellState,
  countingMark,
  countingSitting,
  type Entry,
  type LetterGrade,
  letterOf,
  roundMark,
  wholeMark,
} from '../../core';
import type { As, Context, Teacher } from '../context';
import { categoriesIn, unitsIn } from '../courses/parts';
import { isAmong } from '../database/manyRows';
import type { Database } from '../database/open';
import {
  allowance,
  course,
  courseGroup,
  gradeRemark,
  groupMember,
  ltiLine,
  markOverride,
  outbox,
  release,
  releaseFor,
} from '../database/tables';
import { sendingOf } from '../outbox/outbox';
import { editionOf } from '../releases/editions';
import { closeOverdue } from '../sittings/finish';
import { type AttemptScore, attemptScores, ofLearners, startedAttempts } from './attemptScores';

/** What a gradebook is made of, besides its learners. */
export interface Columns {
  /** The releases that count: by unit, then in the order in which they were published. */
  readonly releases: readonly ReleaseRow[];
  readonly units: GradebookPage['units'];
  readonly categories: GradebookPage['categories'];
  readonly groups: GradebookPage['groups'];
  readonly letters: LetterGrade[];
}

export type ReleaseRow = typeof release.$inferSelect & { readonly outOf: number; readonly asks: number };

export interface Who {
  readonly id: string;
  readonly name: string;
  readonly username: string | null;
}

/** `closing`: finish overdue attempts first. */
export async function columnsOf(
  { closing, ...as }: Context & { closing: boolean },
  courseId: string,
): Promise<Columns> {
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
  const [units, categories, groups, scheme] = await Promise.all([
    unitsIn(db, courseId),
    categoriesIn(db, courseId),
    db
      .select({ id: courseGroup.id, title: courseGroup.title })
      .from(courseGroup)
      .where(eq(courseGroup.courseId, courseId))
      .orderBy(asc(courseGroup.title)),
    db.select({ letters: course.letters }).from(course).where(eq(course.id, courseId)),
  ]);
  const releases = await withMaxima(as, found);
  const placeOf = new Map(units.map(({ id }, place) => [id, place]));
  const place = ({ unitId }: ReleaseRow) => placeOf.get(unitId ?? '') ?? units.length;
  return {
    releases: releases.toSorted((a, b) => place(a) - place(b)),
    ...{ units, categories, groups, letters: scheme[0]?.letters ?? [] },
  };
}

/** Releases with what an attempt begun now could earn, and how many questions it would have. */
export const withMaxima = (
  { db }: Pick<As, 'db'>,
  rows: readonly (typeof release.$inferSelect)[],
): Promise<ReleaseRow[]> =>
  Promise.all(
    rows.map(async (row) => {
      const { outOf, asks } = await editionOf(db, row.id, row.edition);
      return { ...row, outOf: roundMark(outOf), asks };
    }),
  );

/** True if a cell counts: it has a mark, or none where there should be one. */
export const isCounted = ({ points, state }: GradeCell): boolean =>
  state === 'missing' || (points !== null && state !== 'excused');

/** What a learner's cells come to in each weight category; null: nothing counts in it yet. */
export const categorySums = (
  { categories, releases }: Columns,
  cells: readonly GradeCell[],
): ({ readonly points: number; readonly outOf: number } | null)[] =>
  categories.map(({ id }) => {
    const own = cells.filter((cell, i) => releases[i]?.categoryId === id && isCounted(cell));
    if (own.length === 0) return null;
    return {
      points: own.reduce((sum, cell) => sum + (cell.points ?? 0), 0),
      outOf: own.reduce((sum, cell) => sum + cell.outOf, 0),
    };
  });

/** Learners worked out at once; other requests run in between. */
const AT_ONCE = 2000;

export async function gradeEverybody(as: As<Teacher>, columns: Columns, learners: readonly Who[]): Promise<GradeRow[]> {
  const rows: GradeRow[] = [];
  for (let i = 0; i < learners.length; i += AT_ONCE)
    rows.push(...(await gradeRows(as, columns, learners.slice(i, i + AT_ONCE))));
  return rows;
}

export async function gradeRows(as: Context, columns: Columns, learners: readonly Who[]): Promise<GradeRow[]> {
  const { releases, categories, groups, letters } = columns;
  const people = learners.map(({ id }) => id);
  if (people.length === 0) return [];
  const cellsOf = await cellsIn(as, releases, people);
  const members =
    groups.length === 0
      ? []
      : await as.db
          .select({ groupId: groupMember.groupId, learnerId: groupMember.learnerId })
          .from(groupMember)
          .where(
            and(
              inArray(
                groupMember.groupId,
                groups.map(({ id }) => id),
              ),
              isAmong(groupMember.learnerId, people),
            ),
          );
  const isIn = new Set(members.map(({ groupId, learnerId }) => pair(groupId, learnerId)));
  return learners.map(({ id: learnerId, name, username }) => {
    const cells = cellsOf(learnerId);
    const entries = cells.map(
      ({ points, outOf, state }): Entry => ({
        mark: points === null || state === 'excused' ? null : { points, outOf },
        missing: state === 'missing',
      }),
    );
    const whole = wholeMark(releases, entries, categories);
    return {
      ...{ learnerId, name, username, cells, whole },
      groups: groups.flatMap(({ id, title }) => (isIn.has(pair(id, learnerId)) ? [title] : [])),
      letter: letterOf(letters, whole),
    };
  });
}

/** The marks on their way to a platform, by cell; of several ways the one that failed. */
async function notArrived(
  db: Database,
  releases: readonly string[],
  people: readonly string[],
): Promise<Map<string, NonNullable<Sending>>> {
  const rows = await db
    .select({ releaseId: ltiLine.releaseId, row: outbox })
    .from(ltiLine)
    .innerJoin(outbox, and(eq(outbox.kind, 'score'), eq(outbox.place, ltiLine.id)))
    .where(
      and(inArray(ltiLine.releaseId, [...releases]), isAmong(outbox.subject, people), ne(outbox.state, 'arrived')),
    );
  const sending = new Map<string, NonNullable<Sending>>();
  for (const { releaseId, row } of rows) {
    const cell = pair(releaseId, row.subject);
    const its = sendingOf(row);
    if (its && sending.get(cell)?.state !== 'failed') sending.set(cell, its);
  }
  return sending;
}

const pair = (a: string, b: string) => `${a} ${b}`;

/** The cells of learners, in the order of the releases. */
export async function cellsIn(
  { db, now }: Context,
  releases: readonly ReleaseRow[],
  people: readonly string[],
): Promise<(learnerId: string) => GradeCell[]> {
  const ids = releases.map(({ id }) => id);
  if (ids.length === 0) return () => [];
  const [came, byHand, allowed, whom, said, sending] = await Promise.all([
    attemptScores(db, ofLearners(ids, people)),
    db
      .select()
      .from(markOverride)
      .where(and(inArray(markOverride.releaseId, ids), isAmong(markOverride.learnerId, people))),
    db
      .select()
      .from(allowance)
      .where(and(inArray(allowance.releaseId, ids), isAmong(allowance.learnerId, people))),
    db
      .select({ releaseId: releaseFor.releaseId, learnerId: releaseFor.learnerId, member: groupMember.learnerId })
      .from(releaseFor)
      .leftJoin(groupMember, eq(groupMember.groupId, releaseFor.groupId))
      .where(inArray(releaseFor.releaseId, ids)),
    db
      .select()
      .from(gradeRemark)
      .where(and(inArray(gradeRemark.releaseId, ids), isAmong(gradeRemark.learnerId, people))),
    notArrived(db, ids, people),
  ]);
  const at = now();
  const byCell = <T extends { releaseId: string; learnerId: string }>(rows: readonly T[]) =>
    new Map(rows.map((row) => [pair(row.releaseId, row.learnerId), row]));
  const sittings = new Map<string, AttemptScore[]>();
  for (const attempt of came) {
    const cell = pair(attempt.releaseId, attempt.learnerId);
    const list = sittings.get(cell);
    if (list) list.push(attempt);
    else sittings.set(cell, [attempt]);
  }
  const [handOf, allowedOf, saidOf] = [byCell(byHand), byCell(allowed), byCell(said)];
  const isFor = new Set(
    whom.flatMap(({ releaseId, learnerId, member }) =>
      learnerId || member ? [pair(releaseId, learnerId ?? member ?? '')] : [],
    ),
  );
  return (learnerId) =>
    releases.map((release): GradeCell => {
      const cell = pair(release.id, learnerId);
      const mine = sittings.get(cell) ?? [];
      const touched = startedAttempts(mine, release.asks);
      const counts = countingMark(touched, release.counts);
      const hand = handOf.get(cell);
      const remark = saidOf.get(cell);
      const due = allowedOf.get(cell)?.dueAt ?? release.dueAt;
      const closes = allowedOf.get(cell)?.closesAt ?? release.closesAt;
      const last = touched.findLast(({ finished }) => finished)?.finishedAt ?? null;
      const end = due ?? closes;
      return {
        points: hand ? hand.points : counts && roundMark(counts.points),
        outOf: roundMark((hand ? hand.outOf : counts?.outOf) ?? counts?.outOf ?? release.outOf),
        state: cellState({
          excused: remark?.excused ?? false,
          byHand: hand !== undefined,
          assigned: release.everyone || isFor.has(cell) || mine.length > 0,
          counts: counts !== null,
          finished: touched.some(({ finished }) => finished),
          started: mine.length > 0,
          over: end !== null && end <= at,
        }),
        late: due !== null && last !== null && last > due,
        byHand: hand?.reason ?? null,
        note: remark?.note ?? '',
        attempts: mine.length,
        sending: sending.get(cell) ?? null,
        attempt: (countingSitting(touched, release.counts) ?? mine.at(-1))?.id ?? null,
      };
    });
}
