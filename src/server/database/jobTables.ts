import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { JobState, MailDays } from '../../contract';
import { user } from './accountTables';
import { moment, owner } from './columns';

/**
 * Work that takes longer than a request. One process at a time works on it, under a lease that it renews. `id` is made
 * by the client.
 */
export const job = sqliteTable(
  'job',
  {
    id: text('id').primaryKey(),
    kind: text('kind').notNull(),
    ownerId: owner('owner_id'),
    input: text('input', { mode: 'json' }).$type<unknown>().notNull(),
    state: text('state').$type<JobState>().notNull().default('waiting'),
    /** Parts done, of all parts. */
    done: integer('done').notNull().default(0),
    total: integer('total').notNull().default(0),
    attempts: integer('attempts').notNull().default(0),
    /** The end of the lease: after it another process may take the job. */
    leasedUntil: moment('leased_until'),
    /** Its result, as an endpoint would answer. */
    result: text('result', { mode: 'json' }).$type<unknown>(),
    createdAt: moment('created_at').notNull(),
    finishedAt: moment('finished_at'),
  },
  (t) => [index('job_to_do').on(t.state, t.createdAt)],
);

/**
 * Today by e-mail, which a teacher asked for. Until `confirmedAt` nothing but `token` (its SHA-256 is here) is sent to
 * the address.
 */
export const morningMail = sqliteTable(
  'morning_mail',
  {
    personId: text('person_id')
      .primaryKey()
      .references(() => user.id, { onDelete: 'cascade' }),
    address: text('address').notNull(),
    token: text('token'),
    confirmedAt: moment('confirmed_at'),
    days: text('days').$type<MailDays>().notNull(),
    /** In the zone. */
    hour: integer('hour').notNull(),
    zone: text('zone').notNull(),
    /** The address of the application as the teacher reached it, for the links. */
    site: text('site').notNull(),
    nextAt: moment('next_at').notNull(),
    sentAt: moment('sent_at'),
    failedAt: moment('failed_at'),
  },
  (t) => [index('morning_mail_next').on(t.nextAt)],
);
