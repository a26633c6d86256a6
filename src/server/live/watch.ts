import { and, asc, eq, sql } from 'drizzle-orm';
import type { LiveChange, LiveLearner, LiveView } from '../../contract';
import type { Move, QuestionModel } from '../../core';
import type { Context } from '../context';
import { user } from '../database/accountTables';
import type { Database } from '../database/open';
import { course, courseLearner, release } from '../database/tables';
import { log } from '../log';
import { isAssignedTo } from '../releases/audience';
import { editionOf, type OpenEdition } from '../releases/editions';
import { drawer } from '../sittings/draw';
import { drawnFor } from '../sittings/drawn';
import { countsOf, type Followed, follow, liveLearner, liveQuestion, notBegun } from './follow';

/** How often the database is asked for all who watch one release, in milliseconds. */
const EVERY_MS = 1000;
/** A watch without watchers is kept so long for those who come back. */
const KEPT_MS = 30_000;
/** Attempts that ended longer ago are not part of what happens now. */
const PAST_MS = 12 * 60 * 60 * 1000;
/** So many moves are replayed before other requests run. */
const AT_ONCE = 200;
/** Between two looks at who is on the roster. */
const ROSTER_EVERY = 60;

const breathe = () => new Promise((resolve) => setImmediate(resolve));

/** A change with its id: the moves and the time up to which it goes. */
export interface LiveEvent {
  readonly id: string;
  readonly change: LiveChange;
}

/** One release, followed for everybody who watches it. */
export interface Watch {
  /** Resolves when it knows how everything stands. */
  readonly ready: Promise<void>;
  /** Everything as it stands now. */
  view(): Promise<LiveView>;
  /** What has changed since an event; null: that cannot be told any more. */
  since(id: string): LiveEvent | null;
  /** Calls back with each change until the returned function is called. */
  subscribe(tell: (event: LiveEvent) => void): () => void;
}

interface SittingRow {
  readonly sitting: string;
  readonly learner: string;
  readonly number: number;
  readonly seed: string;
  readonly edition: number;
  readonly began: number;
  readonly at: number;
  readonly finished: number | null;
  readonly reopened: number;
}
interface MoveRow {
  /** Null: of all attempts together. */
  readonly sitting: string | null;
  readonly row: number;
  readonly number: number;
  readonly question: number;
  readonly at: number;
  readonly body: string;
}

/** Attempts that run or have ended since. */
const isOfNow = (releaseId: string, since: number) =>
  sql`release_id = ${releaseId} and (finished_at is null or finished_at > ${since})`;

/**
 * Moves after a row of the table: rows are numbered in the order in which they were stored, by whichever process. (The
 * plus keeps SQLite from looking through all moves of the release.) Before them a row that changes with the attempts
 * themselves: most seconds none begins or ends, and they need not be read.
 */
const changesIn = (releaseId: string, since: number, row: number) => sql`
  select null as sitting, 0 as row, count(*) as number, sum(edition) as question, max(started_at) as at,
    sum(coalesce(finished_at, 0)) || ' ' || sum(reopened_after) as body
  from sitting where ${isOfNow(releaseId, since)}
  union all
  select made.sitting_id, made.rowid, made.n, made.question, made.at, made.body
  from move made where made.rowid > ${row} and +made.sitting_id in (select id from sitting where release_id = ${releaseId})
  order by row`;

const sittingsIn = (releaseId: string, since: number) => sql`
  select id as sitting, number, started_at as at, learner_id as learner, seed, edition, began, finished_at as finished,
    reopened_after as reopened
  from sitting where ${isOfNow(releaseId, since)}`;

/** Whom a release is assigned to, by name. */
const rosterOf = (db: Database, releaseId: string) =>
  db
    .select({ id: user.id, name: user.name })
    .from(courseLearner)
    .innerJoin(release, eq(release.courseId, courseLearner.courseId))
    .innerJoin(user, eq(user.id, courseLearner.learnerId))
    .where(and(eq(release.id, releaseId), isAssignedTo(db, sql`${courseLearner.learnerId}`)))
    .orderBy(asc(user.name), asc(user.id));

async function nameOf(db: Database, learnerId: string): Promise<string> {
  const found = await db.query.user.findFirst({ columns: { name: true }, where: eq(user.id, learnerId) });
  return found?.name ?? 'somebody who is not here any more';
}

async function aboutOf(db: Database, id: string): Promise<{ about: LiveView['release']; edition: number }> {
  const [found] = await db
    .select({ release, course: course.title })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .where(eq(release.id, id));
  if (!found) throw new Error(`There is no release ${id}`);
  const { title, courseId, minutes, closesAt, edition } = found.release;
  return {
    about: { id, title, course: found.course, courseId, minutes, closesAt: closesAt?.toISOString() ?? null },
    edition,
  };
}

/** An attempt before its first move. */
async function attemptFrom(db: Database, releaseId: string, found: SittingRow): Promise<Followed> {
  const { models } = await editionOf(db, releaseId, found.edition);
  const asked = (await editionOf(db, releaseId, found.began)).asked(drawer(found.seed, 'questions'));
  const drawn = new Map<number, QuestionModel>();
  return {
    sittingId: found.sitting,
    learnerId: found.learner,
    number: found.number,
    edition: found.edition,
    startedAt: found.at,
    finishedAt: found.finished,
    reopenedAfter: found.reopened,
    places: new Map(asked.map((question, place) => [question, place + 1])),
    modelOf: (question) => {
      const known = drawn.get(question);
      const model = models[question];
      if (known || !model) return known;
      const made = drawnFor(model, found.seed, question);
      drawn.set(question, made);
      return made;
    },
    ...{ last: 0, question: null, movedAt: null, standings: new Map() },
  };
}

/** The moves of an attempt that is newly followed; later ones come with the others. */
async function catchUp(db: Database, attempt: Followed): Promise<void> {
  const made = await db.all<{ n: number; question: number; body: string; at: number }>(sql`
    select n, question, body, at from move where sitting_id = ${attempt.sittingId}
      and not (ending and n <= ${attempt.reopenedAfter}) order by n`);
  for (const [i, one] of made.entries()) {
    follow(attempt, { ...one, body: JSON.parse(one.body) as Move });
    if (i % AT_ONCE === AT_ONCE - 1) await breathe();
  }
}

const watches = new WeakMap<Database, Map<string, Watch>>();

/** The watch of a release in this process: one for everybody. */
export function watchOf(context: Pick<Context, 'db' | 'now'>, releaseId: string): Watch {
  const all = watches.get(context.db) ?? new Map<string, Watch>();
  watches.set(context.db, all);
  const known = all.get(releaseId);
  if (known) return known;
  const made = makeWatch(context, releaseId, () => all.delete(releaseId));
  all.set(releaseId, made);
  return made;
}

function makeWatch({ db, now }: Pick<Context, 'db' | 'now'>, releaseId: string, onEnd: () => void): Watch {
  const attempts = new Map<string, Followed>();
  /** By learner: their latest attempt. */
  const lastOf = new Map<string, string>();
  const names = new Map<string, string>();
  /** By learner: their row, and the event in which it last changed. */
  const rows = new Map<string, { row: LiveLearner; event: number }>();
  /** By question: the event in which its counts last changed. */
  const counted = new Map<number, number>();
  const told = new Set<(event: LiveEvent) => void>();
  let about: LiveView['release'];
  let edition: OpenEdition;
  let row = 0;
  let event = 0;
  /** Of this watch: another process counts its events otherwise. */
  const mark = `${process.pid}-${now().getTime()}`;
  const begun = now().getTime() - PAST_MS;
  let looks = 0;
  /** What all attempts came to at the last look. */
  let attemptsThen = '';
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ended: ReturnType<typeof setTimeout> | undefined;

  const idNow = () => `${mark}-${event}`;
  const currentOf = (learnerId: string): LiveLearner => {
    const last = attempts.get(lastOf.get(learnerId) ?? '');
    const name = names.get(learnerId) ?? '';
    return last ? liveLearner(last, name) : notBegun(learnerId, name);
  };
  const changeOf = (since: number): LiveChange => ({
    learners: [...rows.values()].flatMap((known) => (known.event > since ? [known.row] : [])),
    counts: Object.fromEntries(
      [...counted].flatMap(([question, at]) => {
        const model = edition.models[question];
        return model && at > since ? [[question, countsOf(model, question, attempts.values())] as const] : [];
      }),
    ),
  });

  /** The attempt of a row; one that was reopened or judged anew is followed from its beginning. */
  async function attemptOf(found: SittingRow): Promise<{ attempt: Followed; isFresh: boolean; hasChanged: boolean }> {
    const known = attempts.get(found.sitting);
    if (!known || known.edition !== found.edition || known.reopenedAfter !== found.reopened) {
      const attempt = await attemptFrom(db, releaseId, found);
      attempts.set(found.sitting, attempt);
      const last = attempts.get(lastOf.get(found.learner) ?? '');
      if (!last || last.number <= found.number) lastOf.set(found.learner, found.sitting);
      return { attempt, isFresh: true, hasChanged: true };
    }
    const hasChanged = known.finishedAt !== found.finished;
    const attempt = hasChanged ? { ...known, finishedAt: found.finished } : known;
    attempts.set(found.sitting, attempt);
    return { attempt, isFresh: false, hasChanged };
  }
  const readAbout = async () => {
    const found = await aboutOf(db, releaseId);
    ({ about } = found);
    edition = await editionOf(db, releaseId, found.edition);
  };

  let looking: Promise<unknown> = Promise.resolve();
  /** One look after another. */
  const look = (): Promise<void> => {
    const next = looking.then(lookOnce);
    looking = next.catch(() => undefined);
    return next;
  };
  async function lookOnce(): Promise<void> {
    const touched = new Set<string>();
    const questions = new Set<number>();
    if (looks++ % ROSTER_EVERY === 0)
      for (const { id, name } of await rosterOf(db, releaseId))
        if (!names.has(id)) {
          names.set(id, name);
          touched.add(id);
        }
    const [all, ...moves] = await db.all<MoveRow>(changesIn(releaseId, begun, row));
    const caughtUp = new Set<string>();
    const attemptsNow = JSON.stringify(all);
    if (attemptsNow !== attemptsThen)
      for (const one of await db.all<SittingRow>(sittingsIn(releaseId, begun))) {
        const { attempt, isFresh, hasChanged } = await attemptOf(one);
        if (!names.has(attempt.learnerId)) names.set(attempt.learnerId, await nameOf(db, attempt.learnerId));
        if (isFresh) {
          await catchUp(db, attempt);
          caughtUp.add(attempt.sittingId);
          for (const question of attempt.standings.keys()) questions.add(question);
        }
        if (hasChanged) touched.add(attempt.learnerId);
      }
    attemptsThen = attemptsNow;
    for (const one of moves) {
      row = Math.max(row, one.row);
      const attempt = attempts.get(one.sitting ?? '');
      if (!attempt || caughtUp.has(attempt.sittingId)) continue;
      follow(attempt, { n: one.number, question: one.question, body: JSON.parse(one.body) as Move, at: one.at });
      touched.add(attempt.learnerId);
      questions.add(one.question);
    }
    if (touched.size === 0 && questions.size === 0) return;
    const before = event++;
    for (const id of touched) rows.set(id, { row: currentOf(id), event });
    for (const question of questions) counted.set(question, event);
    const changed = { id: idNow(), change: changeOf(before) };
    for (const tell of told) tell(changed);
  }
  const begin = async () => {
    await readAbout();
    const [last] = await db.all<{ row: number | null }>(sql`select max(rowid) as row from move`);
    row = last?.row ?? 0;
    await look();
  };
  const ready = begin();
  // Whoever asks is told of the failure.
  ready.catch(() => end());

  const tick = async () => {
    try {
      await ready;
      await look();
    } catch (error) {
      log.warn({ err: error, releaseId }, 'live could not look');
    }
    timer = told.size > 0 ? setTimeout(() => void tick(), EVERY_MS) : undefined;
  };
  function end(): void {
    clearTimeout(timer);
    clearTimeout(ended);
    onEnd();
  }
  const keep = () => {
    clearTimeout(ended);
    if (told.size > 0) return;
    ended = setTimeout(end, KEPT_MS);
    ended.unref();
  };

  return {
    ready,
    view: async () => {
      await ready;
      await look();
      keep();
      await readAbout();
      return {
        release: about,
        questions: edition.models.map(liveQuestion),
        learners: [...rows.values()].map(({ row }) => row),
        counts: Object.fromEntries(
          edition.models.map((model, question) => [question, countsOf(model, question, attempts.values())]),
        ),
        last: idNow(),
        now: now().toISOString(),
      };
    },
    since: (id) => {
      const at = id.startsWith(`${mark}-`) ? Number(id.slice(mark.length + 1)) : Number.NaN;
      return Number.isInteger(at) && at >= 0 && at <= event ? { id: idNow(), change: changeOf(at) } : null;
    },
    subscribe: (tell) => {
      told.add(tell);
      clearTimeout(ended);
      timer ??= setTimeout(() => void tick(), EVERY_MS);
      return () => {
        told.delete(tell);
        keep();
      };
    },
  };
}
