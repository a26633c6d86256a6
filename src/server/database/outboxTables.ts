import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { OutboxState } from '../../contract';
import { moment } from './columns';

/**
 * What has to arrive at another system. A row is written in the transaction that gives rise to it, by triggers (see the
 * migrations). It is sent by `outbox/outbox.ts`, and stays when it has arrived, so that the same is
 * not sent twice.
 */
export const outbox = sqliteTable(
  'outbox',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    kind: text('kind', { enum: ['score', 'statement'] }).notNull(),
    /** Where it goes: the line of a score, the record store of a statement. */
    place: text('place').notNull(),
    /** What it is about: the learner of a score; of statements the learner, a slash, and the release. */
    subject: text('subject').notNull(),
    /** Raised by each change: what was sent before it has not arrived as it is now. */
    version: integer('version').notNull().default(1),
    /** When it came about. Later than that of any earlier version, and the same in each try. */
    at: moment('at').notNull(),
    state: text('state').$type<OutboxState>().notNull().default('waiting'),
    tries: integer('tries').notNull().default(0),
    /** The next try. */
    dueAt: moment('due_at').notNull(),
    /** A process is sending it, until this time. */
    leasedUntil: moment('leased_until'),
    /** Why it has not arrived, as a sentence; empty: it was not tried yet. */
    reason: text('reason').notNull().default(''),
    /** Of a score what arrived last; of statements the ids of those that have arrived or are refused for good. */
    body: text('body', { mode: 'json' }).$type<unknown>(),
  },
  (t) => [
    uniqueIndex('outbox_of').on(t.kind, t.place, t.subject),
    index('outbox_due').on(t.state, t.dueAt),
    index('outbox_subject').on(t.subject),
  ],
);

/** The record store that statements are sent to (xAPI): one row, or none. */
export const recordStore = sqliteTable('record_store', {
  id: text('id').primaryKey(),
  address: text('address').notNull(),
  key: text('key').notNull(),
  /** Encrypted by the secret of the installation. */
  secret: text('secret').notNull(),
  /** Learners' names go along. */
  names: integer('names', { mode: 'boolean' }).notNull(),
  /** What came about earlier is not sent. */
  since: moment('since').notNull(),
  /** The version of xAPI that it takes. */
  version: text('version').notNull().default('1.0.3'),
});
