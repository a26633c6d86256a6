import {
  type AnySQLiteColumn,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { MediumKind, MediumType, Right, SetSource } from '../../contract';
import type { Aid, Edit, FindingCounts, Kind, Section } from '../../core';
import type { WordPicture } from '../../core/kinds';
import { user } from './accountTables';
import { moment, owner, questionDocument } from './columns';

/** A shelf of the Vault; `parentId` null: at the top. */
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
    document: questionDocument('document').notNull(),
    revision: integer('revision').notNull(),
    findings: text('findings', { mode: 'json' }).$type<FindingCounts>().notNull(),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    deletedAt: moment('deleted_at'),
    /** A starting point for new questions. */
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
 * The searchable words of a question. Triggers update the full-text index `question_search` (FTS5) over them (see the
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
 * Every batch of edits to a question, by the revision it made. `batchId` is made by the client: a repeated batch counts
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
    /** What the question as it stood then is called, by its author or because it was published. */
    name: text('name'),
  },
  (t) => [
    primaryKey({ columns: [t.questionId, t.revision] }),
    uniqueIndex('revision_batch').on(t.questionId, t.batchId),
  ],
);

/** A teacher's picture, sound or film; its bytes are stored once by their SHA-256, whoever uploaded them. */
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
    /** The headings of its sections, in their order; their questions are rows of `set_question`. */
    sections: text('sections', { mode: 'json' }).$type<SectionHead[]>().notNull().default([]),
    /** True if learners may return to earlier questions. */
    goBack: integer('go_back', { mode: 'boolean' }).notNull(),
    /** Learners' aids with every question of it, beside those that a question allows itself. */
    aids: text('aids', { mode: 'json' }).$type<Aid[]>().notNull().default([]),
    /** Sources, each beside the questions with these ids. */
    sources: text('sources', { mode: 'json' }).$type<SetSource[]>().notNull().default([]),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    /** The revision: a write names the one it was made on. */
    revision: integer('revision').notNull().default(1),
    /** Null: it is not deleted. */
    deletedAt: moment('deleted_at'),
  },
  (t) => [index('set_of_owner').on(t.ownerId, t.changedAt)],
);

export type SectionHead = Omit<Section<never>, 'questions'>;

/** The questions of sets. `section`: the index of the section it is in; `position`: its place in the whole set. */
export const setQuestion = sqliteTable(
  'set_question',
  {
    setId: text('set_id')
      .notNull()
      .references(() => questionSet.id, { onDelete: 'cascade' }),
    questionId: text('question_id')
      .notNull()
      .references(() => question.id, { onDelete: 'cascade' }),
    section: integer('section').notNull(),
    position: integer('position').notNull(),
    /** Null: as many as its marks. */
    points: real('points'),
  },
  (t) => [primaryKey({ columns: [t.setId, t.questionId] }), index('set_of_question').on(t.questionId)],
);

/** A reusable list of words or pairs: the cells of each line. */
export const stockList = sqliteTable(
  'stock_list',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    title: text('title').notNull(),
    rows: text('rows', { mode: 'json' }).$type<string[][]>().notNull(),
    /** Pictures of the owner's media, by word. */
    pictures: text('pictures', { mode: 'json' }).$type<WordPicture[]>().notNull().default([]),
    createdAt: moment('created_at').notNull(),
    changedAt: moment('changed_at').notNull(),
    /** The revision: a write names the one it was made on. */
    revision: integer('revision').notNull().default(1),
  },
  (t) => [index('list_of_owner').on(t.ownerId, t.changedAt)],
);
