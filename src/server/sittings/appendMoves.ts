import type { InStatement, InValue } from '@libsql/client';
import { fillPlaceholders, type Placeholder, type Query, type SQL, sql } from 'drizzle-orm';
import { SQLiteAsyncDialect } from 'drizzle-orm/sqlite-core';
import type { Move } from '../../core';
import type { Database } from '../database/open';
import { summedStandings } from './scores';

/** The rows of one request: its moves, and the question's standing if a check is among them. */
export interface Addition {
  readonly sittingId: string;
  readonly edition: number;
  readonly question: number;
  readonly at: Date;
  readonly moves: readonly { readonly n: number; readonly id: string; readonly body: Move }[];
  /**
   * What was read before the moves were judged: they are stored only if it is still true. Null: moves that are made as
   * an attempt ends.
   */
  readonly guard: Guard | null;
  readonly standing: {
    readonly tries: number;
    readonly mark: number;
    readonly max: number;
    readonly points: number;
    readonly fullMarks: boolean;
    readonly ended: boolean;
  } | null;
}
interface Guard {
  readonly reached: number;
  readonly reopenedAfter: number;
  readonly timed: boolean;
  readonly usedMs: number;
  readonly steady: number;
  readonly session: string | null;
}

/**
 * `taken`: another request has stored a move with the same number. `refused`: what was read is not true any more. In
 * both cases: read again.
 */
export type Appended = 'stored' | 'taken' | 'refused';

interface Waiting {
  readonly addition: Addition;
  readonly stored: (done: Appended) => void;
  readonly failed: (error: unknown) => void;
}

/** Moves of one transaction. */
const MAX_MOVES = 1000;
const lines = new WeakMap<Database, Waiting[]>();

/**
 * Appends moves, all or nothing. A move's number is part of the primary key, so of two requests that continue from the
 * same state only the first is stored, and the other gets `taken`. Requests that arrive together share one transaction:
 * when a class checks at once, one flush of the disk serves several.
 */
export function appendMoves(db: Database, addition: Addition): Promise<Appended> {
  return new Promise((stored, failed) => {
    const line = lines.get(db);
    const waiting = { addition, stored, failed };
    if (line) {
      line.push(waiting);
      return;
    }
    const fresh = [waiting];
    lines.set(db, fresh);
    void storeAll(db, fresh);
  });
}

async function storeAll(db: Database, line: Waiting[]): Promise<void> {
  while (line.length > 0) {
    // Requests that have already arrived join the batch.
    await new Promise((resolve) => setImmediate(resolve));
    await storeTogether(db, takeFrom(line));
  }
  lines.delete(db);
}

function takeFrom(line: Waiting[]): Waiting[] {
  let moves = 0;
  let end = 0;
  for (const { addition } of line) {
    moves += addition.moves.length;
    if (end > 0 && moves > MAX_MOVES) break;
    end++;
  }
  return line.splice(0, end);
}

async function storeTogether(db: Database, together: readonly Waiting[]): Promise<void> {
  try {
    const done = await write(
      db,
      together.map(({ addition }) => addition),
    );
    together.forEach(({ stored }, i) => {
      stored(done[i] ? 'stored' : 'refused');
    });
  } catch (error) {
    const [only] = together;
    if (together.length > 1) for (const one of together) await storeTogether(db, [one]);
    else if (only && says(error, /UNIQUE constraint failed: move\./)) only.stored('taken');
    else only?.failed(error);
  }
}

/** Stores additions in one transaction; returns for each whether it was stored. */
async function write(db: Database, additions: readonly Addition[]): Promise<boolean[]> {
  const each = additions.map(statementsOf);
  const [first, ...rest] = each.flat();
  if (!first) return [];
  const results =
    rest.length === 0 ? [await db.$client.execute(first)] : await db.$client.batch([first, ...rest], 'write');
  let at = 0;
  return each.map((statements) => {
    const stored = (results[at]?.rowsAffected ?? 0) > 0;
    at += statements.length;
    return stored;
  });
}

const value = (name: string): Placeholder => sql.placeholder(name);
const dialect = new SQLiteAsyncDialect();

/** What the statements of an addition depend on beside its values. */
interface Shape {
  readonly guarded: boolean;
  readonly timed: boolean;
  readonly session: boolean;
  readonly acted: boolean;
  readonly standing: boolean;
}
/** The texts of statements by their shape: they are built once. */
const shapes = new Map<string, readonly Query[]>();

/** First the moves, if what was read is still true; then the rows that depend on them, if they were stored. */
function statementsOf(addition: Addition): InStatement[] {
  const { sittingId, edition, question, at, moves, guard, standing } = addition;
  const last = moves.at(-1);
  const shape: Shape = {
    guarded: guard !== null,
    timed: guard?.timed ?? false,
    session: guard !== null && guard.session !== null,
    acted: moves.some(
      ({ body: { kind } }) => kind === 'drop' || kind === 'put' || (kind === 'check' && guard !== null),
    ),
    standing: standing !== null,
  };
  const values = {
    ...{ sittingId, edition, question, when: at.getTime(), lastN: last?.n ?? 0, lastId: last?.id ?? '' },
    rows: JSON.stringify(moves.map(({ n, id, body }) => [n, id, JSON.stringify(body)])),
    ...(guard && {
      ...{ reached: guard.reached, reopenedAfter: guard.reopenedAfter, session: guard.session },
      ...{ usedMs: guard.usedMs, usedWhole: Math.round(guard.usedMs), steady: Math.round(guard.steady) },
    }),
    ...(standing && {
      ...{ tries: standing.tries, mark: standing.mark, max: standing.max, points: standing.points },
      ...{ fullMarks: standing.fullMarks ? 1 : 0, ended: standing.ended ? 1 : 0 },
    }),
  };
  const key = Object.values(shape).map(Number).join('');
  const texts = shapes.get(key) ?? textsOf(shape);
  shapes.set(key, texts);
  return texts.map(({ sql: text, params }) => ({ sql: text, args: fillPlaceholders(params, values) as InValue[] }));
}

function textsOf({ guarded, timed, session, acted, standing }: Shape): Query[] {
  const [sittingId, when] = [value('sittingId'), value('when')];
  const stored = sql`exists (select 1 from move made where made.sitting_id = ${sittingId} and made.n = ${value('lastN')} and made.id = ${value('lastId')})`;
  const all = [
    sql`insert into move (sitting_id, n, id, edition, question, body, at, ending)
      select ${sittingId}, row.value ->> 0, row.value ->> 1, ${value('edition')}, ${value('question')}, row.value ->> 2, ${when}, ${sql.raw(guarded ? '0' : '1')} from json_each(${value('rows')}) row
      where exists (
        select 1 from sitting join release on release.id = sitting.release_id join course on course.id = release.course_id
        left join allowance on allowance.release_id = release.id and allowance.learner_id = sitting.learner_id
        where sitting.id = ${sittingId} and sitting.finished_at is null and sitting.edition = ${value('edition')}${guarded ? held(session) : sql``})`,
  ];
  if (standing)
    all.push(sql`insert into standing (sitting_id, question, tries, mark, max, points, full_marks, ended, checked_at)
      select ${sittingId}, ${value('question')}, ${value('tries')}, ${value('mark')}, ${value('max')}, ${value('points')}, ${value('fullMarks')}, ${value('ended')}, ${when} where ${stored}
      on conflict (sitting_id, question) do update set tries = excluded.tries, mark = excluded.mark, max = excluded.max, points = excluded.points,
        full_marks = excluded.full_marks, ended = excluded.ended, checked_at = excluded.checked_at`);
  const columns = [sql`moves = ${value('lastN')}`];
  if (guarded) columns.push(sql`first_move_at = coalesce(first_move_at, ${when}), last_move_at = ${when}`);
  if (acted) columns.push(sql`acted = 1`);
  if (timed) columns.push(sql`used_ms = ${value('usedWhole')}, used_at = ${value('steady')}`);
  if (standing) columns.push(summedStandings);
  all.push(sql`update sitting set ${sql.join(columns, sql`, `)} where id = ${sittingId} and ${stored}`);
  return all.map((statement) => dialect.sqlToQuery(statement));
}

/** What was read before the moves were judged is still true. */
const held = (session: boolean): SQL => sql`
  and sitting.reached = ${value('reached')} and sitting.reopened_after = ${value('reopenedAfter')}
  and coalesce(allowance.closes_at, release.closes_at, ${value('when')} + 1) > ${value('when')}
  and (release.minutes is null or ${value('usedMs')} < (release.minutes + coalesce(allowance.more_minutes, 0)) * 60000)
  and course.archived_at is null
  and exists (select 1 from course_learner where course_learner.course_id = course.id and course_learner.learner_id = sitting.learner_id)
  and (release.everyone or exists (
    select 1 from release_for left join group_member on group_member.group_id = release_for.group_id
    where release_for.release_id = release.id and (release_for.learner_id = sitting.learner_id or group_member.learner_id = sitting.learner_id)))
  ${session ? sql`and exists (select 1 from session where session.token = ${value('session')} and session.user_id = sitting.learner_id and session.expires_at > ${value('when')})` : sql``}`;

/** Drizzle wraps the driver's error. */
const says = (error: unknown, what: RegExp): boolean =>
  error instanceof Error && (what.test(error.message) || says(error.cause, what));
