import { type AnySQLiteColumn, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Digest, Draw, Edit, FindingCounts, Kind, ModelPlacement, Move, Question, Section, Tells } from '../../core';
import type { WordPicture } from '../../core/kinds';
import type { MediumKind, MediumType } from '../media/kinds';
import { user } from './accountTables';

const moment = (name: string) => integer(name, { mode: 'timestamp_ms' });
const owner = (name: string) =>
  text(name)
    .notNull()
    .references(() => user.id);

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
  (t) => [index('shelf_of_owner').on(t.ownerId)],
);

/** What a colleague may do with what stands on a shelf and on those in it: look at it, use it in sets and copies, or change it. */
export const RIGHTS = ['see', 'use', 'edit'] as const;
export type Right = (typeof RIGHTS)[number];

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
  (t) => [index('question_of_owner').on(t.ownerId, t.deletedAt, t.changedAt), index('question_on_shelf').on(t.shelfId, t.deletedAt, t.changedAt)],
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

/** What a question is found by. The full-text index `question_search` (FTS5) is over it and kept by triggers (see the migrations); `n` is its row there. */
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

/** Every batch of edits a question took, by the revision it led to. `batchId` is the client's: a batch sent twice counts once. */
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
  (t) => [primaryKey({ columns: [t.questionId, t.revision] }), uniqueIndex('revision_batch').on(t.questionId, t.batchId)],
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

export const course = sqliteTable(
  'course',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    ownerId: owner('owner_id'),
    createdAt: moment('created_at').notNull(),
    /** Put away: its teachers see it, its learners do not. */
    archivedAt: moment('archived_at'),
    /** Who knows it may join until then. */
    joinCode: text('join_code').unique(),
    joinUntil: moment('join_until'),
  },
  (t) => [index('course_of_owner').on(t.ownerId)],
);

/** Who teaches a course beside its owner. */
export const courseTeacher = sqliteTable(
  'course_teacher',
  {
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    addedAt: moment('added_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.courseId, t.personId] }), index('course_of_teacher').on(t.personId)],
);

const inCourse = () =>
  text('course_id')
    .notNull()
    .references(() => course.id, { onDelete: 'cascade' });

/** A part of a course, in an order. */
export const unit = sqliteTable('unit', { id: text('id').primaryKey(), courseId: inCourse(), title: text('title').notNull(), position: integer('position').notNull() }, (t) => [
  index('unit_of_course').on(t.courseId),
]);

/** What releases of a course count together: their marks make so much of the whole, in parts of the sum of all weights. */
export const category = sqliteTable(
  'category',
  { id: text('id').primaryKey(), courseId: inCourse(), title: text('title').notNull(), weight: real('weight').notNull(), position: integer('position').notNull() },
  (t) => [index('category_of_course').on(t.courseId)],
);

export const courseGroup = sqliteTable('course_group', { id: text('id').primaryKey(), courseId: inCourse(), title: text('title').notNull() }, (t) => [
  index('group_of_course').on(t.courseId),
]);

export const groupMember = sqliteTable(
  'group_member',
  {
    groupId: text('group_id')
      .notNull()
      .references(() => courseGroup.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.groupId, t.learnerId] }), index('group_of_learner').on(t.learnerId)],
);

export const courseLearner = sqliteTable(
  'course_learner',
  {
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    addedAt: moment('added_at').notNull(),
  },
  (t) => [primaryKey({ columns: [t.courseId, t.learnerId] }), index('course_of_learner').on(t.learnerId)],
);

export type SetSource = SourceContent & { readonly id: string; readonly questions: readonly string[] };

/** A question of a set, with the points it counts there; null: as many as its marks. */
export interface SetEntry {
  readonly id: string;
  readonly points: number | null;
}
export type SetSection = Section<SetEntry>;

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
  },
  (t) => [index('list_of_owner').on(t.ownerId, t.changedAt)],
);

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
    tells: text('tells').$type<Tells>().notNull().default('modelAnswer'),
    tellsWhen: text('tells_when').$type<TellsWhen>().notNull().default('atOnce'),
    /** It is for all of the course; else for those of `release_for`. */
    everyone: integer('everyone', { mode: 'boolean' }).notNull().default(true),
    /** The edition new sittings are of. */
    edition: integer('edition').notNull().default(1),
  },
  (t) => [index('release_of_course').on(t.courseId, t.createdAt)],
);

export const COUNTS = ['best', 'last', 'first', 'average'] as const;
export type Counts = (typeof COUNTS)[number];
/** When: with each check; once a sitting is finished; once the release has closed. */
export const TELLS_WHEN = ['atOnce', 'finished', 'closed'] as const;
export type TellsWhen = (typeof TELLS_WHEN)[number];

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
  (t) => [uniqueIndex('release_for_one').on(t.releaseId, t.groupId, t.learnerId)],
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
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] })],
);

/** A mark a teacher set by hand, in points of the release, in place of what the sittings came to. */
export const markOverride = sqliteTable(
  'mark_override',
  { releaseId: ofRelease(), learnerId: ofLearner(), points: real('points').notNull(), reason: text('reason').notNull(), by: owner('by'), at: moment('at').notNull() },
  (t) => [primaryKey({ columns: [t.releaseId, t.learnerId] })],
);

/** Who changed marks, or what they rest on: append-only (the database itself sees to it, see the migrations). */
export const audit = sqliteTable(
  'audit',
  {
    n: integer('n').primaryKey({ autoIncrement: true }),
    courseId: text('course_id').notNull(),
    releaseId: text('release_id'),
    learnerId: text('learner_id'),
    by: text('by').notNull(),
    at: moment('at').notNull(),
    what: text('what').$type<AuditWhat>().notNull(),
    detail: text('detail', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
  },
  (t) => [index('audit_of_course').on(t.courseId, t.n)],
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
  },
  (t) => [primaryKey({ columns: [t.releaseId, t.edition] })],
);
export interface MarkChange {
  readonly sittingId: string;
  readonly learnerId: string;
  readonly before: { readonly points: number; readonly outOf: number };
  readonly after: { readonly points: number; readonly outOf: number };
}
export type AuditWhat = 'markSet' | 'markSetBack' | 'editionMade' | 'editionApplied' | 'allowed' | 'settings' | 'erased';

/** Material that stands beside questions of a set. `captions`: WebVTT, of a film or a sound. */
export interface SourceContent {
  readonly title: string;
  readonly text: string;
  readonly medium: { readonly hash: string; readonly kind: MediumKind; readonly description: string } | null;
  readonly captions: string;
  /** Of a film that lies elsewhere. */
  readonly address?: string | undefined;
}

/** `count`: how many of the questions are its own. */
export interface EditionSection {
  readonly title: string;
  readonly draw: Draw | null;
  readonly count: number;
}

/** What an edition holds: the questions of its set, whole, as they were. */
export interface EditionContent {
  readonly questions: readonly Question[];
  /** By question, one full-mark arrangement where learners may see it; left out in editions from before there was any. */
  readonly modelAnswers?: readonly (readonly ModelPlacement[] | null)[];
  readonly goBack?: boolean;
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
    /** The edition it is of and judged by: that of every move to come (the database itself sees to it, see the migrations). */
    edition: integer('edition').notNull().default(1),
    /** The edition it was begun in, which says what it is asked. */
    began: integer('began').notNull().default(1),
    /** What all of its questions count, in points. */
    outOf: real('out_of').notNull().default(0),
    /** How many questions the learner has come to beyond the first. */
    reached: integer('reached').notNull().default(0),
    /** When the learner said so, or time was up: from then on the database itself takes no move (see the migrations). */
    finishedAt: moment('finished_at'),
  },
  (t) => [uniqueIndex('sitting_of_learner').on(t.releaseId, t.learnerId, t.number)],
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
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.n] }), uniqueIndex('move_id').on(t.sittingId, t.id)],
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

/** A cache of what a sitting's moves say of one question, for the results of its release: worked out again once there are moves beyond `upto`, or it is judged by another edition. */
export const digest = sqliteTable(
  'digest',
  {
    sittingId: text('sitting_id')
      .notNull()
      .references(() => sitting.id),
    question: integer('question').notNull(),
    edition: integer('edition').notNull(),
    upto: integer('upto').notNull(),
    body: text('body', { mode: 'json' }).$type<Digest>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.sittingId, t.question] })],
);
