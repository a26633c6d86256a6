import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Role } from '../context';
import { user } from './accountTables';
import { course } from './courseTables';

// What a school's system said last, by OneRoster: classes, people and enrolments under ids of its own (`sourcedId`),
// which are compared byte for byte. `source`: the system, by its code. Dates are texts as in 2026-09-01.

const source = () => text('source').notNull();
const sourcedId = () => text('sourced_id').notNull();

/** A class, and the course that was made for it. */
export const oneRosterClass = sqliteTable(
  'oneroster_class',
  {
    source: source(),
    sourcedId: sourcedId(),
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    title: text('title').notNull(),
    school: text('school').notNull(),
    /** Its last term, and when that ends; null: not known. */
    term: text('term'),
    endsOn: text('ends_on'),
    /** Whom an import made the owner: somebody else has it by hand. */
    ownerId: text('owner_id').notNull(),
    gone: integer('gone', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.source, t.sourcedId] }), index('oneroster_class_of_course').on(t.courseId)],
);

export const oneRosterUser = sqliteTable(
  'oneroster_user',
  {
    source: source(),
    sourcedId: sourcedId(),
    name: text('name').notNull(),
    username: text('username').notNull(),
    enabled: integer('enabled', { mode: 'boolean' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.source, t.sourcedId] })],
);

/** The account of somebody, one for each role. */
export const oneRosterAccount = sqliteTable(
  'oneroster_account',
  {
    source: source(),
    sourcedId: sourcedId(),
    role: text('role').$type<Role>().notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [
    primaryKey({ columns: [t.source, t.sourcedId, t.role] }),
    index('oneroster_account_of_person').on(t.personId),
  ],
);

export const oneRosterEnrolment = sqliteTable(
  'oneroster_enrolment',
  {
    source: source(),
    sourcedId: sourcedId(),
    classId: text('class_id').notNull(),
    userId: text('user_id').notNull(),
    role: text('role').$type<Role>().notNull(),
    isPrimary: integer('is_primary', { mode: 'boolean' }).notNull(),
    beginsOn: text('begins_on'),
    endsOn: text('ends_on'),
    /** It was put on the course by an import. */
    isOn: integer('is_on', { mode: 'boolean' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.source, t.sourcedId] }),
    index('oneroster_enrolment_of_class').on(t.source, t.classId),
    index('oneroster_enrolment_of_user').on(t.source, t.userId),
  ],
);
