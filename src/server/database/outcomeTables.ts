import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { moment, owner } from './columns';

/** Learning outcomes that came together: a document of CASE, or a list. All teachers see them. */
export const framework = sqliteTable(
  'framework',
  {
    id: text('id').primaryKey(),
    /** Of a document of CASE; null: a list. */
    identifier: text('identifier'),
    title: text('title').notNull(),
    ownerId: owner('owner_id'),
    at: moment('at').notNull(),
  },
  (t) => [uniqueIndex('framework_identifier').on(t.identifier), index('framework_of_owner').on(t.ownerId)],
);

export const outcome = sqliteTable(
  'outcome',
  {
    id: text('id').primaryKey(),
    frameworkId: text('framework_id')
      .notNull()
      .references(() => framework.id, { onDelete: 'cascade' }),
    /** What it is known by in what it came in with: the identifier of CASE, or its code. */
    key: text('key').notNull(),
    code: text('code').notNull(),
    words: text('words').notNull(),
    /** The outcome it stands under, by id; null: it stands at the top. */
    parentId: text('parent_id'),
    /** The order in which those of a framework stand, parents before children. */
    position: integer('position').notNull(),
    /** What it came in with does not have it any more; it stays because questions have it. */
    withdrawn: integer('withdrawn', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [uniqueIndex('outcome_key').on(t.frameworkId, t.key), index('outcome_in_order').on(t.frameworkId, t.position)],
);

/**
 * The outcomes of questions, by the ids of their documents: a release has the question under the same id, also when it
 * is gone from the Vault.
 */
export const questionOutcome = sqliteTable(
  'question_outcome',
  {
    questionId: text('question_id').notNull(),
    outcomeId: text('outcome_id')
      .notNull()
      .references(() => outcome.id),
  },
  (t) => [primaryKey({ columns: [t.questionId, t.outcomeId] }), index('question_of_outcome').on(t.outcomeId)],
);
