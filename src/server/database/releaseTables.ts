import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Counts, EditionSection, FeedbackTime, MarkChange, SourceContent } from '../../contract';
import type { Checkpoint, Digest, FeedbackLevel, ModelPlacement, Move, Question } from '../../core';
import { user } from './accountTables';
import { moment, owner } from './columns';
import { category, course, courseGroup, unit } from './courseTables';

export const release = sqliteTable(
  'release',
  {
    id: text('id').primaryKey(),
    courseId: text('course_id')
      .notNull()
      .references(() => course.id),
    title: text('title').notNull(),
    releasedBy: owner('released_by'),
    createdAt: moment('created_at').notNull(),
    unitId: text('unit_id').references(() => unit.id, { onDelete: 'set null' }),
    /** Nobody begins before it; null: from the start. */
    opensAt: moment('opens_at'),
    /** What is finished after it is late; null: nothing is. */
    dueAt: moment('due_at'),
    /** Nothing is taken after it; null: it stays open. */
    closesAt: moment('closes_at'),
    /** How long a sitting may take, in minutes; null: as long as it likes. */
    minutes: integer('minutes'),
    /** How many a learner may have; null: any number. */
    sittings: integer('sittings').default(1),
    /** Which of several sittings counts. */
    counts: text('counts').$type<Counts>().notNull().default('best'),
    /** It does not count. */
    practice: integer('practice', { mode: 'boolean' }).notNull().default(false),
    categoryId: text('category_id').references(() => category.id, { onDelete: 'set null' }),
    /** How much learners are told of an answer, at most (the author of a question may tell less), and when. */
    feedbackLevel: text('feedback_level').$type<FeedbackLevel>().notNull().default('modelAnswer'),
    feedbackTime: text('feedback_time').$type<FeedbackTime>().notNull().default('atOnce'),
    /** It is for all of the course; else for those of `release_for`. */
    everyone: integer('everyone', { mode: 'boolean' }).notNull().default(true),
    /** The edition new sittings are of. */
    edition: integer('edition').notNull().default(1),
    /** How often its settings were saved: a write names the revision it was made on. */
    revision: integer('revision').notNull().default(1),
  },
  (t) => [
    index('release_of_course').on(t.courseId, t.createdAt),
    index('release_of_unit').on(t.unitId),
    index('release_of_category').on(t.categoryId),
  ],
);

const ofRelease = () =>
  text('release_id')
    .notNull()
    .references(() => release.id);
const ofLearner = () =>
  text('learner_id')
    .notNull()
    .references(() => user.id, { onDelete: 'cascade' });

/** Whom a release is for, where it is not for all: a group or a learner a row. */
export const releaseFor = sqliteTable(
  'release_for',
  {
    releaseId: ofRelease(),
    groupId: text('group_id').references(() => courseGroup.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id').references(() => user.id, { onDelete: 'cascade' }),
  },
  // One of the two is always null, and SQLite's nulls differ from one another.
  (t) => [
    uniqueIndex('release_for_one').on(t.releaseId, sql`coalesce(${t.groupId}, '')`, sql`coalesce(${t.learnerId}, '')`),
    index('release_for_group').on(t.groupId),
    index('release_for_learner').on(t.learnerId),
  ],
);

/** What one learner is allowed beyond the others. Null: as for all. */
export const allowance = sqliteTable(
  'allowance',
  {
    releaseId: ofRelease(),
    learnerId: ofLearner(),
    moreMinutes: integer('more_minutes').notNull().default(0),
    dueAt: moment('due_at'),
    closesAt: moment('closes_at'),
    moreSittings: integer('more_sittings').notNull().default(0),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] }), index('allowance_of_learner').on(t.learnerId)],
);

/**
 * A mark a teacher set by hand, in points, in place of what the sittings came to. `outOf`: what there was to be had
 * when it was set, which later editions leave alone; null: what there is.
 */
export const markOverride = sqliteTable(
  'mark_override',
  {
    releaseId: ofRelease(),
    learnerId: ofLearner(),
    points: real('points').notNull(),
    outOf: real('out_of'),
    reason: text('reason').notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] }), index('mark_by_hand_of_learner').on(t.learnerId)],
);

/** What applying an edition did to marks, learner by learner, in points. */
export const regrade = sqliteTable(
  'regrade',
  {
    releaseId: ofRelease(),
    edition: integer('edition').notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
    changes: text('changes', { mode: 'json' }).$type<MarkChange[]>().notNull(),
    /** How many sittings were left as they were, since their marks would have fallen. */
    spared: integer('spared').notNull().default(0),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.edition] })],
);

/**
 * By which rules moves are taken. 2: hidden zones, and in deferred feedback those that welcome by the key, turn nothing
 * away. Moves that were made by earlier rules are taken as far as they can be.
 */
export const MOVE_RULES = 2;

/** What an edition holds: the questions of its set, whole, as they were. */
export interface EditionContent {
  readonly questions: readonly Question[];
  /**
   * By question, one full-mark arrangement where learners may see it; left out in editions from before there was any.
   */
  readonly modelAnswers?: readonly (readonly ModelPlacement[] | null)[];
  readonly goBack?: boolean;
  /** {@link MOVE_RULES} as it was; left out in editions from before there were any. */
  readonly moveRules?: number;
  /** Nothing is told during a sitting: each question is checked once, at its end. */
  readonly quiet?: boolean;
  /** By question: it does not count, and is asked of nobody who has not come to it. */
  readonly struck?: readonly boolean[];
  /** By question, what it counts; left out in editions from before there were points: as many as its marks. */
  readonly points?: readonly number[];
  /** Parts of the questions, in their order; left out: one part with all of them. */
  readonly sections?: readonly EditionSection[];
  /** Each beside the questions named by their places. */
  readonly sources?: readonly (SourceContent & { readonly questions: readonly number[] })[];
}

/** Unchangeable: the database itself refuses to alter or delete one (see the migrations). */
export const edition = sqliteTable(
  'edition',
  {
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    number: integer('number').notNull(),
    content: text('content', { mode: 'json' }).$type<EditionContent>().notNull(),
    createdAt: moment('created_at').notNull(),
    /** Of a correction: what it is for, and by whom. */
    reason: text('reason').notNull().default(''),
    madeBy: text('made_by'),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.number] })],
);

export const sitting = sqliteTable(
  'sitting',
  {
    id: text('id').primaryKey(),
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id),
    number: integer('number').notNull(),
    /** What is drawn for this sitting (names, the tray's order) is drawn from it. */
    seed: text('seed').notNull(),
    startedAt: moment('started_at').notNull(),
    /**
     * The edition it is of and judged by: that of every move to come (the database itself sees to it, see the
     * migrations).
     */
    edition: integer('edition').notNull().default(1),
    /** The edition it was begun in, which says what it is asked. */
    began: integer('began').notNull().default(1),
    /** What all of its questions count, in points. */
    outOf: real('out_of').notNull().default(0),
    /** How many questions the learner has come to beyond the first. */
    reached: integer('reached').notNull().default(0),
    /**
     * When the learner said so, or time was up: from then on the database itself takes no move (see the migrations).
     */
    finishedAt: moment('finished_at'),
    /**
     * How much time it has used up to `usedAt`, in milliseconds, measured so that a clock that is set does not change
     * it. Null: it is counted from `startedAt`.
     */
    usedMs: integer('used_ms'),
    usedAt: integer('used_at'),
    /** It was opened again: the checks that ended it, up to the move of this number, do not count. */
    reopenedAfter: integer('reopened_after').notNull().default(0),
  },
  (t) => [
    uniqueIndex('sitting_of_learner').on(t.releaseId, t.learnerId, t.number),
    index('sitting_by_learner').on(t.learnerId),
  ],
);

/** Append-only: the truth of a sitting. `id` is made by the client, so that a move sent twice counts once. */
export const move = sqliteTable(
  'move',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    n: integer('n').notNull(),
    id: text('id').notNull(),
    edition: integer('edition').notNull(),
    question: integer('question').notNull(),
    body: text('body', { mode: 'json' }).$type<Move>().notNull(),
    at: moment('at').notNull(),
    /** A check of what was left unchecked, made when the sitting ended. */
    ending: integer('ending', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.n] }), uniqueIndex('move_id').on(t.sittingId, t.id)],
);

/**
 * A cache of where a question of a sitting stood after the moves up to `n`, judged by an edition: opening it goes on
 * from there. It can be worked out again from the moves.
 */
export const checkpoint = sqliteTable(
  'checkpoint',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    question: integer('question').notNull(),
    edition: integer('edition').notNull(),
    n: integer('n').notNull(),
    body: text('body', { mode: 'json' }).$type<Checkpoint>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.question] })],
);

/** A cache of what the moves say of one question of a sitting; it can be worked out again from them. */
export const standing = sqliteTable(
  'standing',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    question: integer('question').notNull(),
    tries: integer('tries').notNull(),
    mark: real('mark').notNull(),
    max: real('max').notNull(),
    /** What the mark is worth in the set. */
    points: real('points').notNull().default(0),
    fullMarks: integer('full_marks', { mode: 'boolean' }).notNull(),
    ended: integer('ended', { mode: 'boolean' }).notNull(),
    checkedAt: moment('checked_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.question] })],
);

/**
 * A cache of what a sitting's moves say, for the results of its release: worked out when it ends, and again once there
 * are moves beyond `upto`, or it is judged by another edition. `body`: by question; null: it was not touched.
 */
export const digest = sqliteTable('digest', {
  sittingId: text('sitting_id')
    .primaryKey()
    .references(() => sitting.id),
  edition: integer('edition').notNull(),
  upto: integer('upto').notNull(),
  body: text('body', { mode: 'json' }).$type<(Digest | null)[]>().notNull(),
});

/** Which questions of the Vault a release was made of. */
export const releaseQuestion = sqliteTable(
  'release_question',
  {
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id),
    questionId: text('question_id').notNull(),
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.questionId] }), index('release_of_question').on(t.questionId)],
);
