import { and, desc, eq, gt, isNotNull, isNull, sql } from 'drizzle-orm';
import type { DraftRow, DueRow, EndedRow, StuckRow, TodayView, TriedRow } from '../../contract';
import { type Digest, usedTrialAndError } from '../../core';
import type { As, Teacher } from '../context';
import { isTaughtBy } from '../courses/access';
import { assignedLearners } from '../courses/assigned';
import { user } from '../database/accountTables';
import { course, digest, look, question, release, sitting } from '../database/tables';
import { ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { drawer } from '../sittings/draw';
import { drawnFor } from '../sittings/drawn';

const DAY_MS = 86_400_000;
/** What is due within this is shown. */
const AHEAD_MS = 7 * DAY_MS;
/** Whoever has never looked sees what came within this. */
const BEFORE_MS = 7 * DAY_MS;
/** Without a move for so long an attempt that runs is stuck; after a day it is left. */
const STUCK_MS = 20 * 60_000;
const MOST_ROWS = 12;
/** So many attempts at most are looked through for trial and error. */
const MOST_LOOKED = 300;

/** What asks for the teacher. `given`: when the news begins; left out, with the last look. */
export async function todayOf(as: As<Teacher>, given?: Date): Promise<TodayView> {
  const { db, person, now } = as;
  const at = now().getTime();
  const looked = given ?? (await db.query.look.findFirst({ where: eq(look.personId, person.id) }))?.at;
  const since = looked ?? new Date(at - BEFORE_MS);
  const [due, ended, stuck, tried, drafts, any] = await Promise.all([
    dueOf(as, at),
    endedOf(as, since.getTime()),
    stuckOf(as, at),
    triedOf(as, since),
    draftsOf(as),
    db.query.question.findFirst({ columns: { id: true }, where: eq(question.ownerId, person.id) }),
  ]);
  return { at: now(), since, due, ended, stuck, tried, drafts, isNew: any === undefined };
}

/** Notes that the teacher has looked. */
export async function noteLook({ db, person, now }: As<Teacher>): Promise<Result<{ since: Date }>> {
  const at = now();
  await db.insert(look).values({ personId: person.id, at }).onConflictDoUpdate({ target: look.personId, set: { at } });
  return ok({ since: at });
}

const taught = (as: As<Teacher>) => sql`${course.archivedAt} is null and ${isTaughtBy(as)}`;

async function dueOf(as: As<Teacher>, at: number): Promise<DueRow[]> {
  const rows = await as.db.all<{
    id: string;
    title: string;
    course: string;
    due: number | null;
    closes: number | null;
    learners: number;
    finished: number;
    begun: number;
  }>(sql`
    select release.id as id, release.title as title, course.title as course, release.due_at as due, release.closes_at as closes,
      ${assignedLearners} as learners,
      (select count(distinct sat.learner_id) from sitting sat where sat.release_id = release.id and sat.finished_at is not null) as finished,
      (select count(distinct sat.learner_id) from sitting sat where sat.release_id = release.id and sat.finished_at is null) as begun
    from release join course on course.id = release.course_id
    where ${taught(as)} and not release.practice and release.withdrawn_at is null
      and ((release.due_at > ${at} and release.due_at <= ${at + AHEAD_MS}) or (release.closes_at > ${at} and release.closes_at <= ${at + AHEAD_MS}))
    order by min(coalesce(nullif(max(coalesce(release.due_at, 0), ${at}), ${at}), 9e15), coalesce(release.closes_at, 9e15))`);
  return rows.map(({ id, title, course: of, due, closes, ...counts }) => {
    const isDue = due !== null && due > at;
    return {
      ...{ releaseId: id, title, course: of },
      at: new Date(isDue ? due : (closes ?? at)),
      closes: !isDue,
      ...counts,
    };
  });
}

async function endedOf(as: As<Teacher>, since: number): Promise<EndedRow[]> {
  return as.db.all<EndedRow>(sql`
    select release.id as "releaseId", release.title as title, course.title as course, count(*) as ended,
      sum(sitting.out_of > 0 and sitting.points >= sitting.out_of) as "fullMarks"
    from sitting join release on release.id = sitting.release_id join course on course.id = release.course_id
    where ${taught(as)} and sitting.finished_at > ${since}
    group by release.id order by max(sitting.finished_at) desc limit ${MOST_ROWS}`);
}

async function stuckOf(as: As<Teacher>, at: number): Promise<StuckRow[]> {
  const rows = await as.db.all<{
    releaseId: string;
    title: string;
    course: string;
    sittingId: string;
    name: string;
    seed: string;
    began: number;
    question: number;
    since: number;
  }>(sql`
    select release.id as "releaseId", release.title as title, course.title as course, sitting.id as "sittingId",
      user.name as name, sitting.seed as seed, sitting.began as began, last.question as question, last.at as since
    from sitting join release on release.id = sitting.release_id join course on course.id = release.course_id
      join user on user.id = sitting.learner_id
      join move last on last.sitting_id = sitting.id and last.n = sitting.moves
    where ${taught(as)} and sitting.finished_at is null and (release.closes_at is null or release.closes_at > ${at})
      and last.at <= ${at - STUCK_MS} and last.at > ${at - DAY_MS}
    order by last.at desc limit ${MOST_ROWS}`);
  return Promise.all(
    rows.map(async ({ seed, began, question: index, since, ...row }) => {
      const asked = (await editionOf(as.db, row.releaseId, began)).asked(drawer(seed, 'questions'));
      return { ...row, place: asked.indexOf(index) + 1, since: new Date(since) };
    }),
  );
}

async function triedOf(as: As<Teacher>, since: Date): Promise<TriedRow[]> {
  const rows = await as.db
    .select({
      releaseId: release.id,
      title: release.title,
      course: course.title,
      sittingId: sitting.id,
      name: user.name,
      seed: sitting.seed,
      edition: digest.edition,
      body: digest.body,
    })
    .from(sitting)
    .innerJoin(release, eq(release.id, sitting.releaseId))
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(user, eq(user.id, sitting.learnerId))
    .innerJoin(digest, eq(digest.sittingId, sitting.id))
    .where(and(taught(as), isNotNull(sitting.finishedAt), gt(sitting.finishedAt, since)))
    .orderBy(desc(sitting.finishedAt))
    .limit(MOST_LOOKED);
  const found: TriedRow[] = [];
  for (const { seed, edition, body, ...row } of rows) {
    if (found.length >= MOST_ROWS) break;
    const { models } = await editionOf(as.db, row.releaseId, edition);
    const at = (body as (Digest | null)[]).findIndex((one, q) => {
      const model = models[q];
      return one !== null && model !== undefined && usedTrialAndError(drawnFor(model, seed, q), one) !== null;
    });
    const model = models[at];
    if (model) found.push({ ...row, question: model.question.title });
  }
  return found;
}

async function draftsOf({ db, person }: As<Teacher>): Promise<DraftRow[]> {
  const errors = sql<number>`json_extract(${question.findings}, '$.error')`;
  return db
    .select({ id: question.id, title: question.title, errors, changedAt: question.changedAt })
    .from(question)
    .where(and(eq(question.ownerId, person.id), isNull(question.deletedAt), gt(errors, 0)))
    .orderBy(desc(question.changedAt))
    .limit(5);
}
