import { asc, eq, max, min, sql } from 'drizzle-orm';
import { countingMark, withoutDust } from '../../core';
import { stringify } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { allowance, courseLearner, markOverride, move, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { closeOverdue } from '../sittings/finish';
import { cameTo, touchedOf } from './came';
import { editionOf } from './editions';
import { whomFor } from './reach';

export interface ResultRow {
  learnerId: string;
  name: string;
  username: string | null;
  /** What counts: of the learner's sittings, or set by hand. Null while nothing has been checked. */
  mark: number | null;
  max: number | null;
  byHand: boolean;
  tries: number;
  state: 'notStarted' | 'started' | 'checked' | 'ended';
  /** Finished after it was due. */
  late: boolean;
  /** From the first move of the last sitting to its last, in seconds; null before the first. */
  seconds: number | null;
  /** The learner's sittings, the first first. */
  sittings: { id: string; number: number; mark: number; max: number }[];
}
export interface ResultsView {
  release: { id: string; title: string; course: string; courseId: string; edition: number; createdAt: Date };
  rows: ResultRow[];
}

/** Every learner a release is for, whether they have sat or not. */
export async function resultsOf(as: As<Teacher>, releaseId: string): Promise<Result<ResultsView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { row: its, course } = found;
  await closeOverdue(as, releaseId);
  const [learners, came, spans, byHand, allowed, whom, { asks }] = await Promise.all([
    db
      .select({ learnerId: user.id, name: user.name, username: user.displayUsername })
      .from(courseLearner)
      .innerJoin(user, eq(user.id, courseLearner.learnerId))
      .where(eq(courseLearner.courseId, its.courseId))
      .orderBy(asc(user.name)),
    cameTo(db, eq(sitting.releaseId, releaseId)),
    db
      .select({ sittingId: move.sittingId, first: sql<number>`${min(move.at)}`, last: sql<number>`${max(move.at)}` })
      .from(move)
      .innerJoin(sitting, eq(sitting.id, move.sittingId))
      .where(eq(sitting.releaseId, releaseId))
      .groupBy(move.sittingId),
    db.select().from(markOverride).where(eq(markOverride.releaseId, releaseId)),
    db.select().from(allowance).where(eq(allowance.releaseId, releaseId)),
    whomFor(db, its),
    editionOf(db, releaseId, its.edition),
  ]);
  const spanOf = new Map(spans.map((span) => [span.sittingId, Math.round((span.last - span.first) / 1000)]));
  const byLearner = new Map<string, typeof came>();
  for (const one of came) byLearner.set(one.learnerId, [...(byLearner.get(one.learnerId) ?? []), one]);
  const handOf = new Map(byHand.map((one) => [one.learnerId, one.points]));
  const dueOf = new Map(allowed.map((one) => [one.learnerId, one.dueAt]));

  const rows = learners
    .filter(({ learnerId }) => whom === null || whom.has(learnerId) || byLearner.has(learnerId))
    .map((learner): ResultRow => {
      const mine = byLearner.get(learner.learnerId) ?? [];
      const last = mine.at(-1);
      const set = handOf.get(learner.learnerId);
      const touched = touchedOf(mine, asks);
      const counts = countingMark(touched, its.counts);
      const due = dueOf.get(learner.learnerId) ?? its.dueAt;
      return {
        ...learner,
        mark: set ?? (counts && withoutDust(counts.points)),
        max: counts ? withoutDust(counts.outOf) : set === undefined ? null : (last?.outOf ?? 0),
        byHand: set !== undefined,
        tries: last?.tries ?? 0,
        state: !last ? 'notStarted' : last.finishedAt || last.ended === asks ? 'ended' : last.tries ? 'checked' : 'started',
        late: due !== null && (last?.finishedAt ?? null) !== null && (last?.finishedAt as Date) > due,
        seconds: last ? (spanOf.get(last.id) ?? null) : null,
        sittings: touched.map(({ id, number, points, outOf }) => ({ id, number, mark: points, max: withoutDust(outOf) })),
      };
    });
  return ok({ release: { id: releaseId, title: its.title, course: course.title, courseId: its.courseId, edition: its.edition, createdAt: its.createdAt }, rows });
}

/** The results as a CSV file (RFC 4180, UTF-8), a line for each learner. */
export function resultsCsv({ rows }: ResultsView): string {
  return stringify(
    ['name', 'user name', 'mark', 'out of', 'tries', 'seconds', 'state', 'late', 'sittings'],
    rows.map(({ name, username, mark, max: outOf, tries, seconds, state, late, sittings }) => [
      name,
      username,
      mark,
      outOf,
      tries,
      seconds,
      state,
      late ? 'late' : '',
      sittings.length,
    ]),
  );
}
