import { and, asc, eq, inArray, lt, or, sql } from 'drizzle-orm';
import type { JobView } from '../../contract';
import type { As, Context, Teacher } from '../context';
import { job } from '../database/tables';
import { fail, ok, type Result } from '../errors';

/** The time after which another process may take a job whose lease was not renewed, in milliseconds. */
export const LEASE_MS = 30_000;
const MAX_ATTEMPTS = 3;

export interface NewJob {
  /** Made by the client, so that a repeated request makes one job. */
  readonly id: string;
  readonly kind: string;
  readonly ownerId: string;
  readonly input: unknown;
  /** The number of its parts. */
  readonly total: number;
  /** Do it once more if it has been done; left out: once is enough. */
  readonly again?: boolean;
}

export async function addJob(
  { db, now }: Context,
  { id, kind, ownerId, input, total, again = false }: NewJob,
): Promise<void> {
  const row = { id, kind, ownerId, input, total, createdAt: now() };
  const insert = db.insert(job).values(row);
  if (!again) await insert.onConflictDoNothing();
  else
    await insert.onConflictDoUpdate({
      target: job.id,
      set: { ...row, state: 'waiting', done: 0, attempts: 0, leasedUntil: null, result: null, finishedAt: null },
      setWhere: inArray(job.state, ['done', 'failed']),
    });
}

/** A job of the person's with its progress. */
export async function openJob({ db, person }: As<Teacher>, id: string): Promise<Result<JobView>> {
  const row = await db.query.job.findFirst({ where: and(eq(job.id, id), eq(job.ownerId, person.id)) });
  if (!row) return fail('notFound');
  const failure = row.state === 'failed' ? (row.result as { problems?: JobView['problems'] } | null) : null;
  return ok({
    id,
    state: row.state,
    done: row.done,
    total: row.total,
    problems: failure && (failure.problems ?? [{ path: '', message: 'It could not be done. Try again.' }]),
  });
}

export type JobRow = typeof job.$inferSelect;

/**
 * Takes the oldest waiting job, or one whose lease has run out, in one statement, so that only one of two processes
 * gets it.
 */
export async function takeJob({ db, now }: Pick<Context, 'db' | 'now'>): Promise<JobRow | null> {
  const at = now();
  const free = or(eq(job.state, 'waiting'), and(eq(job.state, 'running'), lt(job.leasedUntil, at)));
  const next = db
    .select({ id: job.id })
    .from(job)
    .where(and(free, lt(job.attempts, MAX_ATTEMPTS)))
    .orderBy(asc(job.createdAt))
    .limit(1);
  const [taken] = await db
    .update(job)
    .set({ state: 'running', leasedUntil: new Date(at.getTime() + LEASE_MS), attempts: sql`${job.attempts} + 1` })
    .where(and(sql`${job.id} = (${next})`, free))
    .returning();
  return taken ?? null;
}

/** Gives up jobs that were tried too often: each time the process ended. */
export async function failLost({ db, now }: Pick<Context, 'db' | 'now'>): Promise<void> {
  await db
    .update(job)
    .set({
      state: 'failed',
      finishedAt: now(),
      result: { problems: [{ path: '', message: 'It was tried three times and could not be done.' }] },
    })
    .where(and(eq(job.state, 'running'), lt(job.leasedUntil, now()), sql`${job.attempts} >= ${MAX_ATTEMPTS}`));
}

/** Renews the lease; `done`: how many parts are done by now. */
export async function renew({ db, now }: Pick<Context, 'db' | 'now'>, id: string, done?: number): Promise<void> {
  await db
    .update(job)
    .set({ leasedUntil: new Date(now().getTime() + LEASE_MS), ...(done === undefined ? {} : { done }) })
    .where(and(eq(job.id, id), eq(job.state, 'running')));
}

export async function endJob(
  { db, now }: Pick<Context, 'db' | 'now'>,
  id: string,
  result: Result<unknown>,
): Promise<void> {
  await db
    .update(job)
    .set({
      state: result.ok ? 'done' : 'failed',
      finishedAt: now(),
      result: result.ok ? null : { code: result.code, problems: result.problems ?? null },
      // The input is not needed any more: it is in the result.
      input: {},
      ...(result.ok ? { done: sql`${job.total}` } : {}),
    })
    .where(eq(job.id, id));
}
