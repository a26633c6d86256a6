import { randomBytes, randomUUID } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import type { OneRosterPlan, OneRosterTaken } from '../../contract';
import type { RosterPackage } from '../../formats/oneroster/read';
import { isAdmin } from '../accounts/installation';
import { type PreparedPerson, preparePerson, storePerson } from '../accounts/people';
import { noteSecurity } from '../accounts/securityLog';
import type { As, Teacher } from '../context';
import { endEnrolments } from '../courses/roster';
import { account, user } from '../database/accountTables';
import type { Transaction } from '../database/open';
import {
  course,
  courseLearner,
  courseTeacher,
  oneRosterAccount,
  oneRosterClass,
  oneRosterEnrolment,
  oneRosterUser,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type ClassPlan, type Plan, planOf, type ToMake } from './plan';
import { accountKey, type Enrolment, type Known, knownOf, type Merged, merged } from './school';

const READ_MS = 30_000;
/** So many changes are told. */
const MAX_TOLD = 2000;
/** So many of the accounts that are made get a first password; hashing one takes its time. */
const MAX_PASSWORDS = 500;

/** An uploaded package beside what there is. */
interface Planned {
  readonly source: string;
  readonly known: Known;
  readonly said: Merged;
  readonly plan: Plan;
}

async function planned(as: As<Teacher>, file: string, source: string | undefined): Promise<Result<Planned>> {
  const read = await as.work.run('readOneRosterFile', file, READ_MS);
  if (!read.ok)
    return fail('invalid', { problems: [{ path: 'file', message: 'This package takes too long to read.' }] });
  const given: RosterPackage = read.value;
  const [whole] = given.problems.filter((problem) => problem.file === '');
  if (whole) return fail('invalid', { problems: [{ path: 'file', message: whole.message }] });
  const system = given.source ?? source;
  if (system === undefined || system === '')
    return fail('invalid', {
      problems: [{ path: 'source', message: 'The package does not say which system it is of: name it.' }],
    });
  const known = await knownOf(as, system);
  const said = merged(known, given);
  const plan = await planOf(as, known, said, as.now().toISOString().slice(0, 10));
  return ok({ source: system, known, said, plan });
}

/** What a package would change. */
export async function planOneRoster(
  as: As<Teacher>,
  file: string,
  source: string | undefined,
): Promise<Result<OneRosterPlan>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  const found = await planned(as, file, source);
  if (!found.ok) return found;
  const { plan, said } = found.value;
  return ok({
    source: found.value.source,
    changes: plan.changes.slice(0, MAX_TOLD),
    total: plan.changes.length,
    problems: [...said.problems],
  });
}

/** Takes a package: all of it or nothing. Taken again, it changes what has changed. */
export async function takeOneRoster(
  as: As<Teacher>,
  file: string,
  source: string | undefined,
  skipFaulty: boolean,
): Promise<Result<OneRosterTaken>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  const found = await planned(as, file, source);
  if (!found.ok) return found;
  const { plan, said, source: system } = found.value;
  if (said.problems.length > 0 && !skipFaulty)
    return fail('invalid', {
      problems: said.problems.map(({ file: name, line, column, message }) => ({
        path: `${name}${line === null ? '' : `[${line}]`}${column === null ? '' : `.${column}`}`,
        message,
      })),
    });
  const prepared = await prepareAll(as, plan.accounts);
  if (!prepared.ok) return prepared;
  const taken = await as.db.transaction((tx) => taking({ ...as, db: tx }, found.value, prepared.value));
  await noteSecurity(as, {
    ...{ what: 'oneRosterTaken', by: as.person.id, address: as.address },
    detail: `${system}: ${plan.changes.length} changes`,
  });
  return ok({
    ...{ source: system, problems: [...said.problems], ...taken },
    made: prepared.value
      .map(({ username, name, role, password }) => ({ name, username, password, role }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  });
}

type Prepared = ToMake & { readonly password: string; readonly person: PreparedPerson | null };

/** Accounts with first passwords; beyond a number without: their makers give them one later. */
async function prepareAll(as: As<Teacher>, accounts: readonly ToMake[]): Promise<Result<Prepared[]>> {
  const prepared: Prepared[] = [];
  for (const [i, made] of accounts.entries()) {
    if (i >= MAX_PASSWORDS) {
      prepared.push({ ...made, password: '', person: null });
      continue;
    }
    const password = randomBytes(9).toString('base64url');
    const person = await preparePerson({ ...made, password, madeBy: as.person.id });
    if (!person.ok) return person;
    prepared.push({ ...made, password, person: person.value });
  }
  return ok(prepared);
}

interface Taking extends Omit<As<Teacher>, 'db'> {
  readonly db: Transaction;
}

async function taking(
  as: Taking,
  { source, known, said, plan }: Planned,
  prepared: readonly Prepared[],
): Promise<Pick<OneRosterTaken, 'courses' | 'enrolled' | 'takenOff'>> {
  const { db } = as;
  const accounts = new Map(known.accounts);
  for (const made of prepared) {
    const personId = await stored(as, made);
    accounts.set(accountKey(made.userId, made.role), personId);
    await db.insert(oneRosterAccount).values({ source, sourcedId: made.userId, role: made.role, personId });
  }
  for (const { personId, name } of plan.renames)
    await db.update(user).set({ name, updatedAt: as.now() }).where(eq(user.id, personId));
  const courses: { id: string; title: string }[] = [];
  const on = new Set<string>();
  let takenOff = 0;
  for (const group of plan.classes) {
    const personOf = ({ userId, role }: Enrolment) => accounts.get(accountKey(userId, role)) ?? '';
    const ownerId = group.owner ? personOf(group.owner) : as.person.id;
    const courseId = group.courseId ?? (await madeCourse(as, group, ownerId));
    if (group.courseId === null) courses.push({ id: courseId, title: group.class.title });
    else await changedCourse(as, group, group.courseId, ownerId);
    await puttingOn(as, courseId, group, personOf, group.changesOwner || group.courseId === null ? ownerId : null);
    takenOff += await takingOff(as, courseId, group.leaves, personOf);
    for (const { sourcedId } of group.on) on.add(sourcedId);
    const before = known.courses.get(group.class.sourcedId);
    const row = { ...group.class, source, courseId };
    const owner = before && !group.changesOwner ? before.ownerId : ownerId;
    await db
      .insert(oneRosterClass)
      .values({ ...row, ownerId: owner })
      .onConflictDoUpdate({
        target: [oneRosterClass.source, oneRosterClass.sourcedId],
        set: { ...group.class, ownerId: owner },
      });
  }
  await keepSchool(db, source, said, on);
  const enrolled = plan.classes.reduce((n, { joins }) => n + joins.length, 0);
  return { courses, enrolled, takenOff };
}

/** An account, its password hashed; without one nobody can sign in with it yet. */
async function stored(as: Taking, { person, userId: _, role, name, username }: Prepared): Promise<string> {
  if (person) {
    const made = await storePerson(as, person);
    if (!made.ok) throw new Error(`The user name ${username} was taken meanwhile`);
    return made.value.id;
  }
  const made = await storePerson(as, {
    id: randomUUID(),
    role,
    name,
    username,
    madeBy: as.person.id,
    passwordHash: '',
  });
  if (!made.ok) throw new Error(`The user name ${username} was taken meanwhile`);
  await as.db
    .update(account)
    .set({ password: null })
    .where(and(eq(account.userId, made.value.id), eq(account.providerId, 'credential')));
  return made.value.id;
}

async function madeCourse({ db, person, now }: Taking, group: ClassPlan, ownerId: string): Promise<string> {
  const id = randomUUID();
  await db.insert(course).values({ id, title: group.class.title, ownerId, createdAt: now() });
  // Whoever takes it in sees what comes of it, and may leave.
  if (ownerId !== person.id)
    await db.insert(courseTeacher).values({ courseId: id, personId: person.id, addedAt: now() });
  return id;
}

async function changedCourse({ db, now }: Taking, group: ClassPlan, courseId: string, ownerId: string): Promise<void> {
  const { title, archives, changesOwner } = group;
  const changes = {
    ...(title === null ? {} : { title }),
    ...(archives === null ? {} : { archivedAt: archives ? now() : null }),
    ...(changesOwner ? { ownerId } : {}),
  };
  if (Object.keys(changes).length > 0) await db.update(course).set(changes).where(eq(course.id, courseId));
}

/** Puts those who join on a course; `ownerId`: whose it is by now, which makes nobody else of them. */
async function puttingOn(
  { db, now }: Taking,
  courseId: string,
  { on }: ClassPlan,
  personOf: (enrolment: Enrolment) => string,
  ownerId: string | null,
): Promise<void> {
  const owner = ownerId ?? (await db.query.course.findFirst({ where: eq(course.id, courseId) }))?.ownerId;
  for (const enrolment of on) {
    const personId = personOf(enrolment);
    if (enrolment.role === 'learner')
      await db.insert(courseLearner).values({ courseId, learnerId: personId, addedAt: now() }).onConflictDoNothing();
    else if (personId !== owner)
      await db.insert(courseTeacher).values({ courseId, personId, addedAt: now() }).onConflictDoNothing();
  }
  if (ownerId !== null)
    await db
      .delete(courseTeacher)
      .where(and(eq(courseTeacher.courseId, courseId), eq(courseTeacher.personId, ownerId)));
}

async function takingOff(
  { db }: Taking,
  courseId: string,
  leaves: readonly Enrolment[],
  personOf: (enrolment: Enrolment) => string,
): Promise<number> {
  if (leaves.length === 0) return 0;
  const of = (role: Enrolment['role']) => leaves.filter((enrolment) => enrolment.role === role).map(personOf);
  await endEnrolments(db, courseId, of('learner'));
  await db
    .delete(courseTeacher)
    .where(and(eq(courseTeacher.courseId, courseId), inArray(courseTeacher.personId, of('teacher'))));
  return leaves.length;
}

/** Rows written with one statement: SQLite takes so many values. */
const AT_ONCE = 500;

/** Keeps what the system says by now; `on`: the enrolments that are on a course. */
async function keepSchool(db: Transaction, source: string, said: Merged, on: ReadonlySet<string>): Promise<void> {
  await db.delete(oneRosterUser).where(eq(oneRosterUser.source, source));
  await db.delete(oneRosterEnrolment).where(eq(oneRosterEnrolment.source, source));
  const users = [...said.users.values()];
  for (let i = 0; i < users.length; i += AT_ONCE)
    await db.insert(oneRosterUser).values(users.slice(i, i + AT_ONCE).map((row) => ({ ...row, source })));
  const enrolments = [...said.enrolments.values()];
  for (let i = 0; i < enrolments.length; i += AT_ONCE)
    await db
      .insert(oneRosterEnrolment)
      .values(enrolments.slice(i, i + AT_ONCE).map((row) => ({ ...row, source, isOn: on.has(row.sourcedId) })));
}
