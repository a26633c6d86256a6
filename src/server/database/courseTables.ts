import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Appearance, AuditWhat, ClassRound, FoundKind, ReleaseDefaults, Removable } from '../../contract';
import type { LetterGrade, Question } from '../../core';
import { user } from './accountTables';
import { moment, owner } from './columns';

export const course = sqliteTable(
  'course',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    ownerId: owner('owner_id'),
    createdAt: moment('created_at').notNull(),
    /** Archived: its teachers see it, its learners do not. */
    archivedAt: moment('archived_at'),
    /** Whoever knows the code may join until this time. */
    joinCode: text('join_code').unique(),
    joinUntil: moment('join_until'),
    /** With this code its small children sign in by pictures; null: they may not. */
    pictureCode: text('picture_code').unique(),
    /** The time zone of its times (IANA); null: none. */
    zone: text('zone'),
    /** The language its learners' pages speak (a tag); null: each question's, or the reader's. */
    lang: text('lang'),
    /** How its learners' pages look. */
    appearance: text('appearance').$type<Appearance>().notNull().default('paper'),
    /** The settings that its new releases begin with; what is left out is as everywhere. */
    releaseDefaults: text('release_defaults', { mode: 'json' }).$type<ReleaseDefaults>().notNull().default({}),
    /** Its letter grades; none: marks are numbers alone. */
    letters: text('letters', { mode: 'json' }).$type<LetterGrade[]>().notNull().default([]),
    /**
     * Revisions of the course itself, of its units and of its weight categories: a write names the revision it was made
     * on.
     */
    revision: integer('revision').notNull().default(1),
    unitsRevision: integer('units_revision').notNull().default(1),
    categoriesRevision: integer('categories_revision').notNull().default(1),
  },
  (t) => [index('course_of_owner').on(t.ownerId)],
);

/** The co-teachers of a course. */
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

/** A part of a course, in which releases stand. */
export const unit = sqliteTable(
  'unit',
  {
    id: text('id').primaryKey(),
    courseId: inCourse(),
    title: text('title').notNull(),
    position: integer('position').notNull(),
  },
  (t) => [index('unit_of_course').on(t.courseId)],
);

/** Releases that count together: their share of the overall mark, as a part of the sum of all weights. */
export const category = sqliteTable(
  'category',
  {
    id: text('id').primaryKey(),
    courseId: inCourse(),
    title: text('title').notNull(),
    weight: real('weight').notNull(),
    position: integer('position').notNull(),
  },
  (t) => [index('category_of_course').on(t.courseId)],
);

export const courseGroup = sqliteTable(
  'course_group',
  {
    id: text('id').primaryKey(),
    courseId: inCourse(),
    title: text('title').notNull(),
    revision: integer('revision').notNull().default(1),
  },
  (t) => [index('group_of_course').on(t.courseId)],
);

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

/** An invitation of a learner by a teacher who shares no course with them. They answer on their first page. */
export const courseInvitation = sqliteTable(
  'course_invitation',
  {
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    by: owner('by'),
    at: moment('at').notNull(),
    /** The groups they would join. */
    groups: text('groups', { mode: 'json' }).$type<string[]>().notNull().default([]),
  },
  (t) => [primaryKey({ columns: [t.courseId, t.learnerId] }), index('invitation_of_learner').on(t.learnerId)],
);

/**
 * The secret address under which somebody's calendar is read, without signing in: the SHA-256 of its secret. Who makes
 * another takes the one before back.
 */
export const calendarAddress = sqliteTable('calendar_address', {
  personId: text('person_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  secret: text('secret').notNull().unique(),
  madeAt: moment('made_at').notNull(),
});

/** The pictures a small child signs in with, hashed like a password. */
export const picturePassword = sqliteTable('picture_password', {
  learnerId: text('learner_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  hash: text('hash').notNull(),
  setAt: moment('set_at').notNull(),
});

/** When a teacher last looked at what asks for them. */
export const look = sqliteTable('look', {
  personId: text('person_id')
    .primaryKey()
    .references(() => user.id, { onDelete: 'cascade' }),
  at: moment('at').notNull(),
});

/**
 * What can be found by its words, of everybody's: questions, sets, courses, releases, and learners by course. Triggers
 * keep it and the full-text index `everything` (FTS5) over it (see the migrations); `n` is its row there.
 */
export const findable = sqliteTable(
  'findable',
  {
    n: integer('n').primaryKey({ autoIncrement: true }),
    kind: text('kind').$type<FoundKind>().notNull(),
    item: text('item').notNull(),
    /** The course; empty: it is in none. */
    place: text('place').notNull(),
    title: text('title').notNull(),
    words: text('words').notNull(),
  },
  (t) => [uniqueIndex('findable_item').on(t.kind, t.item, t.place)],
);

/** What a class did at the board, as its teacher kept it: the questions as they were, and the moves. */
export const classRecord = sqliteTable(
  'class_record',
  {
    id: text('id').primaryKey(),
    ownerId: owner('owner_id'),
    title: text('title').notNull(),
    at: moment('at').notNull(),
    content: text('content', { mode: 'json' }).$type<ClassRecordContent>().notNull(),
  },
  (t) => [index('class_record_of_owner').on(t.ownerId, t.at)],
);

export interface ClassRecordContent {
  readonly questions: readonly Question[];
  readonly rounds: readonly ClassRound[];
}

/** Who changed marks, or what marks depend on. Append-only: the database enforces it (see the migrations). */
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

/**
 * Learners whose data in a course is being erased: there are rows only within the transaction that does it. Only for
 * them does the database allow moves to be deleted and details of the audit list to be emptied (see the migrations).
 */
export const erasing = sqliteTable(
  'erasing',
  { courseId: text('course_id').notNull(), learnerId: text('learner_id').notNull() },
  (t) => [primaryKey({ columns: [t.courseId, t.learnerId] })],
);

/**
 * A removed unit, weight category or group with everything that referred to it, for undoing. `id` is made by the
 * client.
 */
export const removal = sqliteTable(
  'removal',
  {
    id: text('id').primaryKey(),
    courseId: inCourse(),
    kind: text('kind').$type<Removable>().notNull(),
    content: text('content', { mode: 'json' }).$type<Removed>().notNull(),
    by: owner('by'),
    at: moment('at').notNull(),
    undoneAt: moment('undone_at'),
  },
  (t) => [index('removal_of_course').on(t.courseId)],
);

export interface Removed {
  readonly row: { readonly id: string; readonly title: string; readonly weight?: number; readonly position?: number };
  /** The releases that referred to it. */
  readonly releases: readonly string[];
  /** Of a group: its learners. */
  readonly learners: readonly string[];
}
