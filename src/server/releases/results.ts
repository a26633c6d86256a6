import { and, asc, eq, max, min, sql, sum } from 'drizzle-orm';
import { withoutDust } from '../../core';
import { stringify } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { course, courseLearner, move, release, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { closeOverdue } from '../sittings/finish';
import { editionOf, newestEdition } from './editions';

export interface ResultRow {
  learnerId: string;
  name: string;
  username: string | null;
  /** Null while nothing has been checked. */
  mark: number | null;
  max: number | null;
  tries: number;
  state: 'notStarted' | 'started' | 'checked' | 'ended';
  /** From the first move to the last, in seconds; null before the first. */
  seconds: number | null;
}
export interface ResultsView {
  release: { id: string; title: string; course: string; courseId: string; edition: number; createdAt: Date };
  rows: ResultRow[];
}

/** Every learner of the release's course, whether they have sat or not. */
export async function resultsOf(as: As<Teacher>, releaseId: string): Promise<Result<ResultsView>> {
  const { db, person } = as;
  const [found] = await db
    .select({ id: release.id, title: release.title, course: course.title, courseId: course.id, createdAt: release.createdAt })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .where(and(eq(release.id, releaseId), eq(course.ownerId, person.id)));
  if (!found) return fail('notFound');
  await closeOverdue(as, releaseId);

  const span = db
    .select({ sittingId: move.sittingId, first: min(move.at).as('first'), last: max(move.at).as('last') })
    .from(move)
    .innerJoin(sitting, eq(sitting.id, move.sittingId))
    .where(eq(sitting.releaseId, releaseId))
    .groupBy(move.sittingId)
    .as('span');
  const edition = await newestEdition(db, releaseId);
  const { asks, outOf } = await editionOf(db, releaseId, edition);
  const reached = db
    .select({
      sittingId: standing.sittingId,
      mark: sum(standing.points).mapWith(Number).as('mark'),
      tries: sum(standing.tries).mapWith(Number).as('tries'),
      ended: sum(standing.ended).mapWith(Number).as('ended'),
    })
    .from(standing)
    .innerJoin(sitting, eq(sitting.id, standing.sittingId))
    .where(eq(sitting.releaseId, releaseId))
    .groupBy(standing.sittingId)
    .as('reached');
  const rows = await db
    .select({
      learnerId: user.id,
      name: user.name,
      username: user.displayUsername,
      sittingId: sitting.id,
      finishedAt: sitting.finishedAt,
      mark: reached.mark,
      tries: reached.tries,
      ended: reached.ended,
      first: sql<number | null>`${span.first}`,
      last: sql<number | null>`${span.last}`,
    })
    .from(courseLearner)
    .innerJoin(user, eq(user.id, courseLearner.learnerId))
    .leftJoin(sitting, and(eq(sitting.learnerId, user.id), eq(sitting.releaseId, releaseId)))
    .leftJoin(reached, eq(reached.sittingId, sitting.id))
    .leftJoin(span, eq(span.sittingId, sitting.id))
    .where(eq(courseLearner.courseId, found.courseId))
    .orderBy(asc(user.name));

  return ok({
    release: { ...found, edition },
    rows: rows.map(({ sittingId, finishedAt, mark, tries, ended, first, last, ...row }) => ({
      ...row,
      // A finished sitting in which nothing was tried has come to nothing.
      mark: mark === null ? (finishedAt ? 0 : null) : withoutDust(mark),
      max: mark === null && !finishedAt ? null : outOf,
      tries: tries ?? 0,
      state: sittingId === null ? 'notStarted' : finishedAt || ended === asks ? 'ended' : tries ? 'checked' : 'started',
      seconds: first === null || last === null ? null : Math.round((last - first) / 1000),
    })),
  });
}

/** The results as a CSV file (RFC 4180, UTF-8), a line for each learner. */
export function resultsCsv({ rows }: ResultsView): string {
  return stringify(
    ['name', 'user name', 'mark', 'out of', 'tries', 'seconds', 'state'],
    rows.map(({ name, username, mark, max: outOf, tries, seconds, state }) => [name, username, mark, outOf, tries, seconds, state]),
  );
}
