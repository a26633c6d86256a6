import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { AuditWhat, Removable } from '../../contract';
import { user } from './accountTables';
import { moment, owner } from './columns';

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
    /** The zone its times are meant in (IANA); null: none is said. */
    zone: text('zone'),
    /**
     * How often its name, zone and join code, its units, and its weight categories were saved: a write names the
     * revision it was made on.
     */
    revision: integer('revision').notNull().default(1),
    unitsRevision: integer('units_revision').notNull().default(1),
    categoriesRevision: integer('categories_revision').notNull().default(1),
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

/**
 * What releases of a course count together: their marks make so much of the whole, in parts of the sum of all weights.
 */
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

/**
 * A learner with an account who is asked into a course by a teacher who shares none with them: they say yes or no on
 * their first page.
 */
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
    /** Groups of the course they come into with it. */
    groups: text('groups', { mode: 'json' }).$type<string[]>().notNull().default([]),
  },
  (t) => [primaryKey({ columns: [t.courseId, t.learnerId] }), index('invitation_of_learner').on(t.learnerId)],
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

/**
 * Whose data of a course are being erased: there only within the transaction that does it. Moves can be deleted and
 * details of the audit list emptied for them alone (the database itself sees to it, see the migrations).
 */
export const erasing = sqliteTable(
  'erasing',
  { courseId: text('course_id').notNull(), learnerId: text('learner_id').notNull() },
  (t) => [primaryKey({ columns: [t.courseId, t.learnerId] })],
);

/**
 * A unit, a weight category or a group that was removed, with all that named it: what undoing needs. `id` is the
 * client's.
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
  /** The releases that named it. */
  readonly releases: readonly string[];
  /** Of a group: its learners. */
  readonly learners: readonly string[];
}
