import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { JobState } from '../../contract';
import { moment, owner } from './columns';

/**
 * Work that takes longer than a request: any process takes it, one at a time, and holds it by a lease that it renews.
 * `id` is the client's.
 */
export const job = sqliteTable(
  'job',
  {
    id: text('id').primaryKey(),
    kind: text('kind').notNull(),
    ownerId: owner('owner_id'),
    input: text('input', { mode: 'json' }).$type<unknown>().notNull(),
    state: text('state').$type<JobState>().notNull().default('waiting'),
    /** So many of so many parts are done. */
    done: integer('done').notNull().default(0),
    total: integer('total').notNull().default(0),
    attempts: integer('attempts').notNull().default(0),
    /** Until when whoever works on it has it: then another may take it. */
    leasedUntil: moment('leased_until'),
    /** What came of it, as an endpoint would answer. */
    result: text('result', { mode: 'json' }).$type<unknown>(),
    createdAt: moment('created_at').notNull(),
    finishedAt: moment('finished_at'),
  },
  (t) => [index('job_to_do').on(t.state, t.createdAt)],
);
