import { and, asc, eq, inArray, type SQL, sql, sum } from 'drizzle-orm';
import { roundMark } from '../../core';
import type { Database } from '../database/open';
import { sitting, standing } from '../database/tables';

/** The score of an attempt, from its cached standings. */
export interface AttemptScore {
  readonly id: string;
  readonly releaseId: string;
  readonly learnerId: string;
  readonly number: number;
  readonly edition: number;
  readonly startedAt: Date;
  readonly finishedAt: Date | null;
  readonly usedMs: number | null;
  readonly usedAt: number | null;
  readonly outOf: number;
  readonly points: number;
  /** Null before the first check. */
  readonly tries: number | null;
  /** True if the learner placed, typed or checked anything: an attempt without that does not count. */
  readonly acted: boolean;
  /** How many of its questions have ended. */
  readonly ended: number;
}

/** The attempts that meet a condition, in the order in which each learner started them. */
export async function attemptScores(db: Database, condition: SQL | undefined): Promise<AttemptScore[]> {
  const rows = await db
    .select({
      id: sitting.id,
      releaseId: sitting.releaseId,
      learnerId: sitting.learnerId,
      number: sitting.number,
      edition: sitting.edition,
      startedAt: sitting.startedAt,
      finishedAt: sitting.finishedAt,
      usedMs: sitting.usedMs,
      usedAt: sitting.usedAt,
      outOf: sitting.outOf,
      points: sum(standing.points).mapWith(Number),
      tries: sum(standing.tries).mapWith(Number),
      ended: sum(standing.ended).mapWith(Number),
      acted: sql<number>`exists (select 1 from move made where made.sitting_id = ${sitting.id} and not made.ending and made.body ->> '$.kind' in ('drop', 'put', 'check'))`,
    })
    .from(sitting)
    .leftJoin(standing, eq(standing.sittingId, sitting.id))
    .where(condition)
    .groupBy(sitting.id)
    .orderBy(asc(sitting.number));
  return rows.map((row) => ({
    ...row,
    points: roundMark(row.points ?? 0),
    ended: row.ended ?? 0,
    acted: row.acted === 1,
  }));
}

/** The attempts that count: the learner did something, and the attempt was checked or has ended. */
export const startedAttempts = (
  sittings: readonly AttemptScore[],
  asks: number,
): (AttemptScore & { readonly finished: boolean })[] =>
  sittings
    .filter((sitting) => sitting.acted && (sitting.tries !== null || sitting.finishedAt))
    .map((sitting) => ({ ...sitting, finished: sitting.finishedAt !== null || sitting.ended === asks }));

export const ofLearners = (releases: readonly string[], learners: readonly string[]): SQL | undefined =>
  and(inArray(sitting.releaseId, [...releases]), inArray(sitting.learnerId, [...learners]));
