import { eq } from 'drizzle-orm';
import type { OneRosterProblem } from '../../contract';
import type { FileIn, RosterPackage, RosterRow } from '../../formats/oneroster/read';
import type { Context, Role } from '../context';
import { oneRosterAccount, oneRosterClass, oneRosterEnrolment, oneRosterUser } from '../database/tables';

// What a school's system says, as far as it matters here: what it said before, changed by what it says now.

export interface SchoolClass {
  readonly sourcedId: string;
  readonly title: string;
  readonly school: string;
  readonly term: string | null;
  readonly endsOn: string | null;
  readonly gone: boolean;
}
export interface SchoolUser {
  readonly sourcedId: string;
  readonly name: string;
  readonly username: string;
  readonly enabled: boolean;
}
export interface Enrolment {
  readonly sourcedId: string;
  readonly classId: string;
  readonly userId: string;
  readonly role: Role;
  readonly isPrimary: boolean;
  readonly beginsOn: string | null;
  readonly endsOn: string | null;
}
/** Where something is said: the file, and the line; null: nothing names it any more. */
export interface Said {
  readonly file: string;
  readonly line: number | null;
}

export interface School {
  readonly classes: ReadonlyMap<string, SchoolClass>;
  readonly users: ReadonlyMap<string, SchoolUser>;
  readonly enrolments: ReadonlyMap<string, Enrolment>;
}

/** What is known of a system here. */
export interface Known extends School {
  /** By class. */
  readonly courses: ReadonlyMap<string, { readonly courseId: string; readonly ownerId: string }>;
  /** By user and role: see {@link accountKey}. */
  readonly accounts: ReadonlyMap<string, string>;
  /** The enrolments that an import put on a course. */
  readonly on: ReadonlySet<string>;
}

export const accountKey = (userId: string, role: Role): string => `${role} ${userId}`;

export async function knownOf({ db }: Pick<Context, 'db'>, source: string): Promise<Known> {
  const [classes, users, accounts, enrolments] = await Promise.all([
    db.select().from(oneRosterClass).where(eq(oneRosterClass.source, source)),
    db.select().from(oneRosterUser).where(eq(oneRosterUser.source, source)),
    db.select().from(oneRosterAccount).where(eq(oneRosterAccount.source, source)),
    db.select().from(oneRosterEnrolment).where(eq(oneRosterEnrolment.source, source)),
  ]);
  return {
    classes: new Map(classes.map((row) => [row.sourcedId, row])),
    users: new Map(users.map((row) => [row.sourcedId, row])),
    enrolments: new Map(enrolments.map((row) => [row.sourcedId, row])),
    courses: new Map(classes.map((row) => [row.sourcedId, row])),
    accounts: new Map(accounts.map((row) => [accountKey(row.sourcedId, row.role), row.personId])),
    on: new Set(enrolments.flatMap((row) => (row.isOn ? [row.sourcedId] : []))),
  };
}

export interface Merged extends School {
  /** Where each class, user and enrolment is said, by kind and id. */
  readonly saidAt: (kind: 'classes' | 'users' | 'enrollments', sourcedId: string) => Said;
  readonly problems: readonly OneRosterProblem[];
}

/** What the system says by now: bulk files say all there is, delta files what has changed. */
export function merged(known: School, { files, problems: read }: RosterPackage): Merged {
  const problems: OneRosterProblem[] = [...read];
  const lines = new Map<string, number>();
  const note = (file: FileIn, { line, values }: RosterRow) => lines.set(`${file} ${values.sourcedId}`, line);
  const say = (file: FileIn, line: number, column: string, message: string) =>
    problems.push({ file: `${file}.csv`, line, column, message });
  const kept = <Value>(file: FileIn, before: ReadonlyMap<string, Value>) =>
    new Map(files[file]?.mode === 'bulk' ? [] : before);

  const terms = new Map(files.academicSessions?.rows.map(({ values }) => [values.sourcedId ?? '', values]));
  const courses = files.courses && new Set(files.courses.rows.map(({ values }) => values.sourcedId ?? ''));
  // A class that is gone is not forgotten: its course is there.
  const classes = new Map(known.classes);
  if (files.classes?.mode === 'bulk') for (const [id, before] of classes) classes.set(id, { ...before, gone: true });
  for (const row of files.classes?.rows ?? []) {
    const { sourcedId = '', title = '', schoolSourcedId = '', termSourcedIds = '', courseSourcedId = '' } = row.values;
    note('classes', row);
    const before = classes.get(sourcedId);
    if (row.goes) {
      if (before) classes.set(sourcedId, { ...before, gone: true });
      continue;
    }
    if (files.courses?.mode === 'bulk' && !courses?.has(courseSourcedId)) {
      say('classes', row.line, 'courseSourcedId', `courses.csv has no “${courseSourcedId}”.`);
      continue;
    }
    const last = termSourcedIds
      .split(',')
      .flatMap((id) => {
        const found = terms.get(id.trim());
        return found ? [found] : [];
      })
      .toSorted((a, b) => (a.endDate ?? '').localeCompare(b.endDate ?? ''))
      .at(-1);
    classes.set(sourcedId, {
      ...{ sourcedId, title: title.slice(0, 200), school: schoolSourcedId, gone: false },
      term: last?.sourcedId ?? before?.term ?? null,
      endsOn: last?.endDate ?? before?.endsOn ?? null,
    });
  }

  const users = kept('users', known.users);
  for (const row of files.users?.rows ?? []) {
    const { sourcedId = '', username = '', enabledUser } = row.values;
    note('users', row);
    if (row.goes) users.delete(sourcedId);
    else users.set(sourcedId, { sourcedId, name: nameIn(row), username, enabled: enabledUser === 'true' });
  }

  const enrolments = kept('enrollments', known.enrolments);
  for (const row of files.enrollments?.rows ?? []) {
    const { sourcedId = '', classSourcedId = '', userSourcedId = '', role = '', ...values } = row.values;
    note('enrollments', row);
    if (row.goes) {
      enrolments.delete(sourcedId);
      continue;
    }
    // Whoever neither teaches nor learns becomes nobody here.
    const as = role === 'teacher' ? 'teacher' : role === 'student' ? 'learner' : null;
    if (!classes.has(classSourcedId))
      say('enrollments', row.line, 'classSourcedId', `There is no class “${classSourcedId}”.`);
    else if (!users.has(userSourcedId))
      say('enrollments', row.line, 'userSourcedId', `There is no user “${userSourcedId}”.`);
    else if (as === null) enrolments.delete(sourcedId);
    else
      enrolments.set(sourcedId, {
        ...{ sourcedId, classId: classSourcedId, userId: userSourcedId, role: as },
        isPrimary: values.primary === 'true',
        beginsOn: values.beginDate || null,
        endsOn: values.endDate || null,
      });
  }
  for (const { line, values } of files.roles?.rows ?? [])
    if (files.users?.mode === 'bulk' && !users.has(values.userSourcedId ?? ''))
      say('roles', line, 'userSourcedId', `users.csv has no “${values.userSourcedId}”.`);
  return {
    ...{ classes, users, enrolments },
    saidAt: (kind, sourcedId) => ({ file: `${kind}.csv`, line: lines.get(`${kind} ${sourcedId}`) ?? null }),
    problems: problems.toSorted((a, b) => a.file.localeCompare(b.file) || (a.line ?? 0) - (b.line ?? 0)),
  };
}

function nameIn({ values }: RosterRow): string {
  const given = values.preferredGivenName || values.givenName;
  const family = values.preferredFamilyName || values.familyName;
  return `${given} ${family}`.trim().slice(0, 200);
}

/** Is somebody on the roster of a class on this day, a text as in 2026-09-01? */
export function isOn(
  { classes, users }: School,
  { classId, userId, beginsOn, endsOn }: Enrolment,
  day: string,
): boolean {
  return (
    classes.get(classId)?.gone === false &&
    users.get(userId)?.enabled === true &&
    (beginsOn === null || beginsOn <= day) &&
    (endsOn === null || day <= endsOn)
  );
}

/** Who is to own the course of a class: its primary teacher, else the one who is named first; null: nobody teaches. */
export function teacherOf(on: readonly Enrolment[]): Enrolment | null {
  const teachers = on.filter(({ role }) => role === 'teacher');
  return teachers.find(({ isPrimary }) => isPrimary) ?? teachers[0] ?? null;
}
