import { and, asc, eq, type SQL, sql } from 'drizzle-orm';
import type { FeedbackTime } from '../../contract';
import {
  type Aid,
  type Checkpoint,
  drawnAnswer,
  type FeedbackLevel,
  type LearnerEdition,
  learnerEdition,
  type Move,
  rejudge,
  replay,
  type Sat,
  type Standing,
  standingFrom,
  untouched,
} from '../../core';
import type { Context } from '../context';
import { session } from '../database/accountTables';
import type { Database } from '../database/open';
import { quickSelect } from '../database/quick';
import { allowance, checkpoint, course, courseLearner, move, release, sitting } from '../database/tables';
import { isShownTo } from '../releases/audience';
import { editionOf, type OpenEdition } from '../releases/editions';
import { type Clocks, endOf, timeFor, usedBy } from '../releases/time';
import { drawer } from './draw';
import { drawnFor } from './drawn';

/** An attempt with its release, as stored now. It is read with each request, because all of it can change. */
export interface OpenSitting {
  readonly id: string;
  readonly releaseId: string;
  readonly learnerId: string;
  readonly seed: string;
  /** Its edition, and the edition in which it was started. */
  readonly edition: number;
  readonly began: number;
  /** The furthest question the learner has reached, from 0. */
  readonly reached: number;
  readonly finishedAt: Date | null;
  /** The number of the attempt, from 1. */
  readonly number: number;
  readonly feedbackLevel: FeedbackLevel;
  readonly feedbackTime: FeedbackTime;
  readonly closesAt: Date | null;
  /** When the release closes or the time is up, whichever comes first; null: never. */
  readonly endsAt: Date | null;
  /** Its time limit in minutes, and the milliseconds used of it. */
  readonly timed: boolean;
  readonly usedMs: number;
  readonly reopenedAfter: number;
  /** The number of its last move, 0 before the first. */
  readonly last: number;
  /** True if the learner is enrolled, the release is assigned to them, and the course is not archived. */
  readonly available: boolean;
}

/** One question of an attempt after its moves. */
export interface At extends Sat {
  readonly sitting: OpenSitting;
  /** Its index among the attempt's questions, and in the edition. */
  readonly place: number;
  readonly question: number;
  /** Its points. */
  readonly points: number;
  readonly goBack: boolean;
  /** Learners' aids with every question, beside its own. */
  readonly aids: readonly Aid[];
  readonly deferred: boolean;
  readonly standing: Standing;
}

/** The condition that the learner may still open the attempt's release. */
export const isAvailable = (db: Database): SQL => sql`(${course.archivedAt} is null
  and exists (select 1 from ${courseLearner} where ${courseLearner.courseId} = ${course.id} and ${courseLearner.learnerId} = ${sitting.learnerId})
  and ${isShownTo(db, sql`${sitting.learnerId}`)})`;

const openedColumns = (db: Database) => ({
  id: sitting.id,
  releaseId: sitting.releaseId,
  learnerId: sitting.learnerId,
  seed: sitting.seed,
  edition: sitting.edition,
  began: sitting.began,
  number: sitting.number,
  feedbackLevel: release.feedbackLevel,
  feedbackTime: release.feedbackTime,
  reached: sitting.reached,
  finishedAt: sitting.finishedAt,
  reopenedAfter: sitting.reopenedAfter,
  startedAt: sitting.startedAt,
  usedMs: sitting.usedMs,
  usedAt: sitting.usedAt,
  closesAt: release.closesAt,
  minutes: release.minutes,
  moreMinutes: allowance.moreMinutes,
  closesLater: allowance.closesAt,
  last: sitting.moves,
  available: sql<number>`${isAvailable(db)}`,
});

const openedFrom = (db: Database, condition: SQL | undefined) =>
  db
    .select(openedColumns(db))
    .from(sitting)
    .innerJoin(release, eq(release.id, sitting.releaseId))
    .innerJoin(course, eq(course.id, release.courseId))
    .leftJoin(allowance, and(eq(allowance.releaseId, sitting.releaseId), eq(allowance.learnerId, sitting.learnerId)))
    .where(condition);
type OpenedRow = Awaited<ReturnType<typeof openedFrom>>[number];

function opened(
  { startedAt, usedMs: stored, usedAt, closesAt, minutes, moreMinutes, closesLater, available, ...row }: OpenedRow,
  clocks: Clocks,
): OpenSitting {
  const time = timeFor({ closesAt, minutes }, { moreMinutes, closesAt: closesLater });
  const usedMs = usedBy({ startedAt, usedMs: stored, usedAt }, clocks);
  return {
    ...row,
    available: available === 1,
    closesAt: time.closesAt,
    timed: time.minutes !== null,
    usedMs,
    endsAt: endOf(usedMs, time, clocks.now()),
  };
}

/** The sittings that meet a condition. */
export const sittingsWhere = async (
  context: Clocks & Pick<Context, 'db'>,
  condition: SQL | undefined,
): Promise<OpenSitting[]> => (await openedFrom(context.db, condition)).map((row) => opened(row, context));

/** The selects that every request with moves asks, built once for each database. */
const builtFor = new WeakMap<Database, ReturnType<typeof build>>();
function build(db: Database) {
  const sessionColumns = { expiresAt: session.expiresAt };
  return {
    sitting: quickSelect<OpenedRow>(
      openedColumns(db),
      openedFrom(
        db,
        and(eq(sitting.id, sql.placeholder('id')), eq(sitting.learnerId, sql.placeholder('learnerId'))),
      ).toSQL(),
    ),
    session: quickSelect<{ expiresAt: Date }>(
      sessionColumns,
      db
        .select(sessionColumns)
        .from(session)
        .where(and(eq(session.token, sql.placeholder('token')), eq(session.userId, sql.placeholder('userId'))))
        .toSQL(),
    ),
  };
}
function quick(db: Database): ReturnType<typeof build> {
  const built = builtFor.get(db) ?? build(db);
  builtFor.set(db, built);
  return built;
}

/** A learner's attempt. */
export async function sittingOf(
  context: Clocks & Pick<Context, 'db'>,
  id: string,
  learnerId: string,
): Promise<OpenSitting | null> {
  const { db } = context;
  const [row] = await quick(db).sitting(db, { id, learnerId });
  return row ? opened(row, context) : null;
}

/** True if the session of the ticket still exists. */
export async function isSignedIn(
  { db, now }: Pick<Context, 'db' | 'now'>,
  token: string,
  userId: string,
): Promise<boolean> {
  const [row] = await quick(db).session(db, { token, userId });
  return row !== undefined && row.expiresAt > now();
}

interface Recorded {
  readonly n: number;
  readonly edition: number;
  readonly question: number;
  readonly body: Move;
}

/** The record of an attempt: its checkpoints, the moves after them, its edition, and the indices of its questions. */
export interface SittingRecord {
  readonly moves: readonly Recorded[];
  readonly checkpoints: ReadonlyMap<number, { readonly n: number; readonly body: Checkpoint }>;
  readonly edition: OpenEdition;
  readonly asked: readonly number[];
}

/** The condition that a move counts: it is not a final check of an attempt that was reopened. */
export const moveCounts = sql`not (${move.ending} and ${move.n} <= (select reopened.reopened_after from sitting reopened where reopened.id = ${move.sittingId}))`;

/** Reads the record of an attempt; `question`: only the moves of that question. */
export async function recordOf(db: Database, open: OpenSitting, question?: number): Promise<SittingRecord> {
  const of = (table: typeof move | typeof checkpoint) =>
    question === undefined ? undefined : eq(table.question, question);
  const marks = await db
    .select({ question: checkpoint.question, n: checkpoint.n, body: checkpoint.body })
    .from(checkpoint)
    .where(and(eq(checkpoint.sittingId, open.id), eq(checkpoint.edition, open.edition), of(checkpoint)));
  const checkpoints = new Map(marks.map((mark) => [mark.question, mark]));
  const since = sql`${move.n} > coalesce((select seen.n from checkpoint seen where seen.sitting_id = ${move.sittingId} and seen.question = ${move.question} and seen.edition = ${open.edition}), 0)`;
  const moves = await db
    .select({ n: move.n, edition: move.edition, body: move.body, question: move.question })
    .from(move)
    .where(and(eq(move.sittingId, open.id), of(move), since, moveCounts))
    .orderBy(asc(move.n));
  return { moves, checkpoints, ...(await askedOf(db, open)) };
}

/** The edition of an attempt and the indices of its questions. */
export async function askedOf(db: Database, open: OpenSitting): Promise<Pick<SittingRecord, 'edition' | 'asked'>> {
  const edition = await editionOf(db, open.releaseId, open.edition);
  const began = open.began === open.edition ? edition : await editionOf(db, open.releaseId, open.began);
  return { edition, asked: began.asked(drawer(open.seed, 'questions')) };
}

/** The state of a question: its checkpoint and the moves after it. */
function standingIn({ edition, moves, checkpoints }: SittingRecord, open: OpenSitting, question: number): Standing {
  const model = drawnFor(edition.models[question] as OpenEdition['models'][number], open.seed, question);
  const from = checkpoints.get(question);
  const mine = moves.filter((move) => move.question === question);
  const judged =
    mine.some((candidate) => candidate.edition !== open.edition) || open.reopenedAfter > 0 || !edition.ruled
      ? rejudge
      : replay;
  return judged(
    model,
    mine.map(({ body }) => body),
    from ? standingFrom(model, from.body) : untouched(model),
  );
}

interface Given {
  /** The highest feedback level; left out: that of a running attempt. */
  readonly feedbackLevel?: FeedbackLevel | undefined;
  /** The state and the learner edition, if they are known. */
  readonly standing?: Standing | undefined;
  readonly sent?: LearnerEdition | undefined;
}

/** One question of an attempt by its index; null: no such index. */
export function atOf(
  open: OpenSitting,
  record: SittingRecord,
  place: number,
  { feedbackLevel, standing, sent }: Given = {},
): At | null {
  const { edition, asked } = record;
  const question = asked[place];
  const model = question === undefined ? undefined : edition.models[question];
  if (question === undefined || !model) return null;
  const saying = drawnFor(
    edition.withFeedback(feedbackLevel ?? (edition.deferred ? 'nothing' : open.feedbackLevel))[question] ?? model,
    open.seed,
    question,
  );
  return {
    sitting: open,
    place,
    question,
    points: edition.points[question] ?? 0,
    goBack: edition.goBack,
    aids: edition.aids,
    deferred: edition.deferred,
    model: saying,
    edition: sent ?? learnerEdition(drawnFor(model, open.seed, question).question, drawer(open.seed, question)),
    modelAnswer: drawnAnswer(saying, edition.modelAnswers[question] ?? null),
    standing: standing ?? standingIn(record, open, question),
  };
}
