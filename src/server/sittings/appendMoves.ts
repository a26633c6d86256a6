import { type SQL, sql } from 'drizzle-orm';
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
  const [first, ...rest] = each.flat().map((statement) => db.run(statement));
  if (!first) return [];
  const results = rest.length === 0 ? [await first] : await db.batch([first, ...rest]);
  let at = 0;
  return each.map((statements) => {
    const stored = (results[at]?.rowsAffected ?? 0) > 0;
    at += statements.length;
    return stored;
  });
}

/** First the moves, if what was read is still true; then the rows that depend on them, if they were stored. */
function statementsOf({ sittingId, edition, question, at, moves, guard, standing }: Addition): SQL[] {
  const when = at.getTime();
  const rows = JSON.stringify(moves.map(({ n, id, body }) => [n, id, JSON.stringify(body)]));
  const last = moves.at(-1);
  const stored = sql`exists (select 1 from move made where made.sitting_id = ${sittingId} and made.n = ${last?.n ?? 0} and made.id = ${last?.id ?? ''})`;
  const all = [
    sql`insert into move (sitting_id, n, id, edition, question, body, at, ending)
      select ${sittingId}, row.value ->> 0, row.value ->> 1, ${edition}, ${question}, row.value ->> 2, ${when}, ${guard ? 0 : 1} from json_each(${rows}) row
      where exists (
        select 1 from sitting join release on release.id = sitting.release_id join course on course.id = release.course_id
        left join allowance on allowance.release_id = release.id and allowance.learner_id = sitting.learner_id
        where sitting.id = ${sittingId} and sitting.finished_at is null and sitting.edition = ${edition}${guard ? held(guard, when) : sql``})`,
  ];
  if (standing)
    all.push(sql`insert into standing (sitting_id, question, tries, mark, max, points, full_marks, ended, checked_at)
      select ${sittingId}, ${question}, ${standing.tries}, ${standing.mark}, ${standing.max}, ${standing.points}, ${standing.fullMarks ? 1 : 0}, ${standing.ended ? 1 : 0}, ${when} where ${stored}
      on conflict (sitting_id, question) do update set tries = excluded.tries, mark = excluded.mark, max = excluded.max, points = excluded.points,
        full_marks = excluded.full_marks, ended = excluded.ended, checked_at = excluded.checked_at`);
  const columns = [sql`moves = ${last?.n ?? 0}`];
  if (guard) columns.push(sql`first_move_at = coalesce(first_move_at, ${when}), last_move_at = ${when}`);
  if (moves.some(({ body: { kind } }) => kind === 'drop' || kind === 'put' || (kind === 'check' && guard)))
    columns.push(sql`acted = 1`);
  if (guard?.timed) columns.push(sql`used_ms = ${Math.round(guard.usedMs)}, used_at = ${Math.round(guard.steady)}`);
  if (standing) columns.push(summedStandings);
  all.push(sql`update sitting set ${sql.join(columns, sql`, `)} where id = ${sittingId} and ${stored}`);
  return all;
}

const held = ({ reached, reopenedAfter, usedMs, session }: Guard, when: number): SQL => sql`
  and sitting.reached = ${reached} and sitting.reopened_after = ${reopenedAfter}
  and coalesce(allowance.closes_at, release.closes_at, ${when} + 1) > ${when}
  and (release.minutes is null or ${usedMs} < (release.minutes + coalesce(allowance.more_minutes, 0)) * 60000)
  and course.archived_at is null
  and exists (select 1 from course_learner where course_learner.course_id = course.id and course_learner.learner_id = sitting.learner_id)
  and (release.everyone or exists (
    select 1 from release_for left join group_member on group_member.group_id = release_for.group_id
    where release_for.release_id = release.id and (release_for.learner_id = sitting.learner_id or group_member.learner_id = sitting.learner_id)))
  ${session === null ? sql`` : sql`and exists (select 1 from session where session.token = ${session} and session.user_id = sitting.learner_id and session.expires_at > ${when})`}`;

/** Drizzle wraps the driver's error. */
const says = (error: unknown, what: RegExp): boolean =>
  error instanceof Error && (what.test(error.message) || says(error.cause, what));
