import { and, asc, inArray, type SQL } from 'drizzle-orm';
import { roundMark } from '../../core';
import { isAmong, manyRows } from '../database/manyRows';
import type { Database } from '../database/open';
import { sitting } from '../database/tables';

/** The score of an attempt. */
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
  /** 0 before the first check. */
  readonly tries: number;
  /** True if the learner placed, typed or checked anything: an attempt without that does not count. */
  readonly acted: boolean;
  /** How many of its questions have ended. */
  readonly ended: number;
  /** The times of the learner's first and last moves; null: there is none. */
  readonly firstMoveAt: Date | null;
  readonly lastMoveAt: Date | null;
  /** Written on paper: the variant of the sheet. Null: on its page. */
  readonly paperVariant: number | null;
}

const COLUMNS = {
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
  points: sitting.points,
  tries: sitting.tries,
  ended: sitting.ended,
  acted: sitting.acted,
  firstMoveAt: sitting.firstMoveAt,
  lastMoveAt: sitting.lastMoveAt,
  paperVariant: sitting.paperVariant,
};
/** A row as {@link manyRows} reads it. */
type Row = Omit<AttemptScore, 'startedAt' | 'finishedAt' | 'acted' | 'firstMoveAt' | 'lastMoveAt'> & {
  readonly acted: number;
  readonly startedAt: number;
  readonly finishedAt: number | null;
  readonly firstMoveAt: number | null;
  readonly lastMoveAt: number | null;
};
const timeOf = (at: number | null): Date | null => (at === null ? null : new Date(at));

/** The attempts that meet a condition, in the order in which each learner started them. */
export async function attemptScores(db: Database, condition: SQL | undefined): Promise<AttemptScore[]> {
  const query = db.select(COLUMNS).from(sitting).where(condition).orderBy(asc(sitting.number));
  const rows = await manyRows<Row>(db, query, Object.keys(COLUMNS) as (keyof Row)[]);
  return rows.map((row) => ({
    ...row,
    points: roundMark(row.points),
    acted: row.acted === 1,
    startedAt: new Date(row.startedAt),
    finishedAt: timeOf(row.finishedAt),
    firstMoveAt: timeOf(row.firstMoveAt),
    lastMoveAt: timeOf(row.lastMoveAt),
  }));
}

/** The attempts that count: the learner did something, and the attempt was checked or has ended. */
export const startedAttempts = (
  sittings: readonly AttemptScore[],
  asks: number,
): (AttemptScore & { readonly finished: boolean })[] =>
  sittings
    .filter((sitting) => sitting.acted && (sitting.tries > 0 || sitting.finishedAt))
    .map((sitting) => ({ ...sitting, finished: sitting.finishedAt !== null || sitting.ended === asks }));

export const ofLearners = (releases: readonly string[], learners: readonly string[]): SQL | undefined =>
  and(inArray(sitting.releaseId, [...releases]), isAmong(sitting.learnerId, learners));
