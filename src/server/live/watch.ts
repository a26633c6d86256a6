import { and, asc, eq, sql } from 'drizzle-orm';
import type { LiveChange, LiveLearner, LiveView } from '../../contract';
import type { Move } from '../../core';
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
  /** Everything as it stands; resolves as soon as it is known. */
  view(): Promise<LiveView>;
  /** What has changed since an event; null: that cannot be told any more. */
  since(id: string): LiveEvent | null;
  /** Calls back with each change until the returned function is called. */
  subscribe(tell: (event: LiveEvent) => void): () => void;
}

interface Row {
  readonly kind: 'sitting' | 'move';
  readonly sitting: string;
  readonly row: number;
  readonly learner: string;
  readonly number: number;
  readonly seed: string;
  readonly edition: number;
  readonly began: number;
  readonly at: number;
  readonly finished: number | null;
  readonly body: string;
}

/**
 * Attempts that run or have ended since, and moves after a row of the table: rows are numbered in the order in which
 * they were stored, by whichever process. (The plus keeps SQLite from looking through all moves of the release.)
 */
const changesIn = (releaseId: string, since: number, row: number) => sql`
  select 'sitting' as kind, id as sitting, 0 as row, learner_id as learner, number, seed, edition, began,
    started_at as at, finished_at as finished, reopened_after as body
  from sitting where release_id = ${releaseId} and (finished_at is null or finished_at > ${since})
  union all
  select 'move', made.sitting_id, made.rowid, '', made.n, '', made.question, made.ending, made.at, null, made.body
  from move made where made.rowid > ${row} and +made.sitting_id in (select id from sitting where release_id = ${releaseId})
  order by row`;

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
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ended: ReturnType<typeof setTimeout> | undefined;

  const idNow = () => `${mark}-${event}`;
  const currentOf = (learnerId: string): LiveLearner => {
    const own = [...attempts.values()].filter((attempt) => attempt.learnerId === learnerId);
    const last = own.reduce<Followed | null>((best, one) => (best && best.number > one.number ? best : one), null);
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

  async function readRoster(): Promise<Set<string>> {
    const found = await db
      .select({ id: user.id, name: user.name })
      .from(courseLearner)
      .innerJoin(release, eq(release.courseId, courseLearner.courseId))
      .innerJoin(user, eq(user.id, courseLearner.learnerId))
      .where(and(eq(release.id, releaseId), isAssignedTo(db, sql`${courseLearner.learnerId}`)))
      .orderBy(asc(user.name), asc(user.id));
    const fresh = found.filter(({ id }) => !names.has(id));
    for (const { id, name } of fresh) names.set(id, name);
    return new Set(fresh.map(({ id }) => id));
  }
  async function readAbout(): Promise<void> {
    const [found] = await db
      .select({ release, course: course.title })
      .from(release)
      .innerJoin(course, eq(course.id, release.courseId))
      .where(eq(release.id, releaseId));
    if (!found) throw new Error(`There is no release ${releaseId}`);
    const { title, courseId, minutes, closesAt } = found.release;
    about = {
      id: releaseId,
      title,
      course: found.course,
      courseId,
      minutes,
      closesAt: closesAt?.toISOString() ?? null,
    };
    edition = await editionOf(db, releaseId, found.release.edition);
  }

  /** The attempt of a row; one that was reopened or judged anew is followed from its beginning. */
  async function attemptOf(found: Row): Promise<{ attempt: Followed; fresh: boolean; changed: boolean }> {
    const known = attempts.get(found.sitting);
    const reopenedAfter = Number(found.body);
    if (known && known.edition === found.edition && known.reopenedAfter === reopenedAfter) {
      const changed = known.finishedAt !== found.finished;
      const attempt = changed ? { ...known, finishedAt: found.finished } : known;
      attempts.set(found.sitting, attempt);
      return { attempt, fresh: false, changed };
    }
    const own = await editionOf(db, releaseId, found.edition);
    const asked = (await editionOf(db, releaseId, found.began)).asked(drawer(found.seed, 'questions'));
    const attempt: Followed = {
      sittingId: found.sitting,
      learnerId: found.learner,
      number: found.number,
      edition: found.edition,
      startedAt: found.at,
      finishedAt: found.finished,
      reopenedAfter,
      places: new Map(asked.map((question, place) => [question, place + 1])),
      modelOf: (question) => {
        const model = own.models[question];
        return model && drawnFor(model, found.seed, question);
      },
      ...{ last: 0, question: null, movedAt: null, standings: new Map() },
    };
    attempts.set(found.sitting, attempt);
    return { attempt, fresh: true, changed: true };
  }

  /** Moves of an attempt that is newly followed; later ones come with the others. */
  async function catchUp(attempt: Followed): Promise<void> {
    const made = await db.all<{ n: number; question: number; body: string; at: number }>(sql`
      select n, question, body, at from move where sitting_id = ${attempt.sittingId}
        and not (ending and n <= ${attempt.reopenedAfter}) order by n`);
    for (const [i, one] of made.entries()) {
      follow(attempt, { ...one, body: JSON.parse(one.body) as Move });
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
    }
  }

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
    if (looks++ % ROSTER_EVERY === 0) for (const id of await readRoster()) touched.add(id);
    const found = await db.all<Row>(changesIn(releaseId, begun, row));
    const caughtUp = new Set<string>();
    for (const one of found) {
      if (one.kind === 'sitting') {
        const { attempt, fresh, changed } = await attemptOf(one);
        if (!names.has(attempt.learnerId)) await nameOf(attempt.learnerId);
        if (fresh) {
          await catchUp(attempt);
          caughtUp.add(attempt.sittingId);
          for (const question of attempt.standings.keys()) questions.add(question);
        }
        if (changed) touched.add(attempt.learnerId);
        continue;
      }
      row = Math.max(row, one.row);
      const attempt = attempts.get(one.sitting);
      if (!attempt || caughtUp.has(one.sitting)) continue;
      follow(attempt, { n: one.number, question: one.edition, body: JSON.parse(one.body) as Move, at: one.at });
      touched.add(attempt.learnerId);
      questions.add(one.edition);
    }
    if (touched.size === 0 && questions.size === 0) return;
    const before = event++;
    for (const id of touched) rows.set(id, { row: currentOf(id), event });
    for (const question of questions) counted.set(question, event);
    const changed = { id: idNow(), change: changeOf(before) };
    for (const tell of told) tell(changed);
  }
  async function nameOf(learnerId: string): Promise<void> {
    const found = await db.query.user.findFirst({ columns: { name: true }, where: eq(user.id, learnerId) });
    names.set(learnerId, found?.name ?? 'somebody who is not here any more');
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
