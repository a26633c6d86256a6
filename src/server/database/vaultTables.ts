import {
  type AnySQLiteColumn,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { MediumKind, MediumType, Right, SetSection, SetSource } from '../../contract';
import type { Edit, FindingCounts, Kind, Question } from '../../core';
import type { WordPicture } from '../../core/kinds';
import { user } from './accountTables';
import { moment, owner } from './columns';

/** A folder of the Vault; `parentId` null: at the top. */
export const shelf = sqliteTable(
  'shelf',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    parentId: text('parent_id').references((): AnySQLiteColumn => shelf.id),
    title: text('title').notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (t) => [index('shelf_of_owner').on(t.ownerId), index('shelf_on_shelf').on(t.parentId)],
);

export const shelfShare = sqliteTable(
  'shelf_share',
  {
    shelfId: text('shelf_id')
      .notNull()
      .references(() => shelf.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    right: text('right').$type<Right>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.shelfId, t.personId] }), index('share_of_person').on(t.personId)],
);

export const question = sqliteTable(
  'question',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    title: text('title').notNull(),
    kind: text('kind').$type<Kind>().notNull(),
    document: text('document', { mode: 'json' }).$type<Question>().notNull(),
    revision: integer('revision').notNull(),
    findings: text('findings', { mode: 'json' }).$type<FindingCounts>().notNull(),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    deletedAt: moment('deleted_at'),
    /** Its owner begins others with it. */
    startingPoint: integer('starting_point', { mode: 'boolean' }).notNull().default(false),
    /** Null: on no shelf. */
    shelfId: text('shelf_id').references(() => shelf.id),
  },
  (t) => [
    index('question_of_owner').on(t.ownerId, t.deletedAt, t.changedAt),
    index('question_on_shelf').on(t.shelfId, t.deletedAt, t.changedAt),
  ],
);

export const questionTag = sqliteTable(
  'question_tag',
  {
    questionId: text('question_id')
      .notNull()
      .references(() => question.id, { onDelete: 'cascade' }),
    tag: text('tag').notNull(),
  },
  (t) => [primaryKey({ columns: [t.questionId, t.tag] }), index('tag_of_question').on(t.tag)],
);

/**
 * What a question is found by. The full-text index `question_search` (FTS5) is over it and kept by triggers (see the
 * migrations); `n` is its row there.
 */
export const questionWords = sqliteTable('question_words', {
  n: integer('n').primaryKey({ autoIncrement: true }),
  questionId: text('question_id')
    .notNull()
    .unique()
    .references(() => question.id, { onDelete: 'cascade' }),
  title: text('title').notNull(),
  words: text('words').notNull(),
  tags: text('tags').notNull(),
});

/**
 * Every batch of edits a question took, by the revision it led to. `batchId` is the client's: a batch sent twice counts
 * once.
 */
export const questionRevision = sqliteTable(
  'question_revision',
  {
    questionId: text('question_id')
      .notNull()
      .references(() => question.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    batchId: text('batch_id').notNull(),
    authorId: owner('author_id'),
    edits: text('edits', { mode: 'json' }).$type<Edit[]>().notNull(),
    at: moment('at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.questionId, t.revision] }),
    uniqueIndex('revision_batch').on(t.questionId, t.batchId),
  ],
);

/** A teacher's picture, sound or film; its bytes are kept once by their SHA-256, whoever sent them. */
export const medium = sqliteTable(
  'medium',
  {
    hash: text('hash').notNull(),
    ownerId: owner('owner_id'),
    name: text('name').notNull(),
    kind: text('kind').$type<MediumKind>().notNull(),
    type: text('type').$type<MediumType>().notNull(),
    weight: integer('weight').notNull(),
    width: integer('width'),
    height: integer('height'),
    createdAt: moment('created_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.ownerId, t.hash] })],
);

/** Questions in an order. */
export const questionSet = sqliteTable(
  'question_set',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    title: text('title').notNull(),
    sections: text('sections', { mode: 'json' }).$type<SetSection[]>().notNull().default([]),
    /** May learners go back to a question they have left? */
    goBack: integer('go_back', { mode: 'boolean' }).notNull(),
    /** Each beside the questions named by their ids. */
    sources: text('sources', { mode: 'json' }).$type<SetSource[]>().notNull().default([]),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    /** How often it was saved: a write names the revision it was made on. */
    revision: integer('revision').notNull().default(1),
  },
  (t) => [index('set_of_owner').on(t.ownerId, t.changedAt)],
);

/** A list of words or pairs kept for reuse: the cells of each line. */
export const stockList = sqliteTable(
  'stock_list',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    title: text('title').notNull(),
    rows: text('rows', { mode: 'json' }).$type<string[][]>().notNull(),
    /** Pictures of the owner's media, by the words they belong to. */
    pictures: text('pictures', { mode: 'json' }).$type<WordPicture[]>().notNull().default([]),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    /** How often it was saved: a write names the revision it was made on. */
    revision: integer('revision').notNull().default(1),
  },
  (t) => [index('list_of_owner').on(t.ownerId, t.changedAt)],
);
