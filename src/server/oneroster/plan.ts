import { and, eq, inArray } from 'drizzle-orm';
import type { OneRosterChange } from '../../contract';
import { isUsername, normalUsername } from '../../core';
import type { Context, Role } from '../context';
import { user } from '../database/accountTables';
import { isAmong } from '../database/manyRows';
import { course, courseLearner, courseTeacher } from '../database/tables';
import { accountKey, type Enrolment, isOn, type Known, type Merged, type SchoolClass, teacherOf } from './school';

/** An account to make. */
export interface ToMake {
  readonly userId: string;
  readonly role: Role;
  readonly name: string;
  readonly username: string;
}

/** What a class becomes. */
export interface ClassPlan {
  readonly class: SchoolClass;
  /** Null: it is to be made. */
  readonly courseId: string | null;
  readonly title: string | null;
  /** True: it is archived; false: it is brought back; null: neither. */
  readonly archives: boolean | null;
  /** Whom the system has as its owner; `changes`: another than now. */
  readonly owner: Enrolment | null;
  readonly changesOwner: boolean;
  /** Those on it, and those of them who join. */
  readonly on: readonly Enrolment[];
  readonly joins: readonly Enrolment[];
  /** Those an import put on it, who are not on it any more. */
  readonly leaves: readonly Enrolment[];
}

export interface Plan {
  readonly changes: readonly OneRosterChange[];
  readonly classes: readonly ClassPlan[];
  readonly accounts: readonly ToMake[];
  /** Accounts whose names follow the system’s. */
  readonly renames: readonly { readonly personId: string; readonly name: string }[];
}

const KIND = { teacher: 'teaches', learner: 'learns' } as const;

/** What an import changes here. `day`: today, a text as in 2026-09-01. */
export async function planOf({ db }: Pick<Context, 'db'>, known: Known, said: Merged, day: string): Promise<Plan> {
  const changes: OneRosterChange[] = [];
  const byClass = new Map<string, Enrolment[]>();
  for (const enrolment of said.enrolments.values())
    byClass.set(enrolment.classId, [...(byClass.get(enrolment.classId) ?? []), enrolment]);
  const ids = [...known.courses.values()].map(({ courseId }) => courseId);
  const there = await rostersOf(db, ids);
  const wanted: Enrolment[] = [];
  const classes: ClassPlan[] = [];
  const nameOf = (userId: string) => said.users.get(userId)?.name ?? known.users.get(userId)?.name ?? userId;
  for (const group of said.classes.values()) {
    const kept = known.courses.get(group.sourcedId);
    const now = kept && there.get(kept.courseId);
    const before = known.classes.get(group.sourcedId);
    const on = (byClass.get(group.sourcedId) ?? []).filter((enrolment) => isOn(said, enrolment, day));
    if (!kept && group.gone) continue;
    wanted.push(...on);
    const at = said.saidAt('classes', group.sourcedId);
    const tell = (does: OneRosterChange['does'], words: string) =>
      changes.push({ ...at, sourcedId: group.sourcedId, does, words });
    const owner = teacherOf(on);
    const ownerAccount = owner && known.accounts.get(accountKey(owner.userId, 'teacher'));
    // A course that somebody owns by hand stays theirs.
    const changesOwner =
      now !== undefined && now.ownerId === kept?.ownerId && owner !== null && ownerAccount !== now.ownerId;
    const title = now && before && before.title !== group.title && now.title === before.title ? group.title : null;
    const archives = now && group.gone && !now.archived ? true : now && !group.gone && before?.gone ? false : null;
    if (!now) tell('make', `The course “${group.title}” is made${owner ? ` for ${nameOf(owner.userId)}` : ''}`);
    if (title !== null) tell('change', `The course “${before?.title}” is called “${title}”`);
    if (archives === true) tell('takeOff', `The course “${now?.title}” is archived: the class is gone`);
    if (archives === false) tell('change', `The course “${now?.title}” is brought back`);
    if (changesOwner && owner) tell('change', `The course “${group.title}” is ${nameOf(owner.userId)}’s`);
    const isThere = (enrolment: Enrolment) => {
      const personId = known.accounts.get(accountKey(enrolment.userId, enrolment.role));
      return personId !== undefined && (now?.people.has(personId) || now?.ownerId === personId);
    };
    const joins = on.filter((enrolment) => !isThere(enrolment));
    const stays = new Set(on.map(({ userId, role }) => accountKey(userId, role)));
    const leaves = [...known.on].flatMap((id) => {
      const enrolment = known.enrolments.get(id);
      return enrolment?.classId === group.sourcedId && !stays.has(accountKey(enrolment.userId, enrolment.role))
        ? [enrolment]
        : [];
    });
    for (const { sourcedId, userId, role } of joins)
      changes.push({
        ...{ ...said.saidAt('enrollments', sourcedId), sourcedId, does: 'enrol' },
        words: `${nameOf(userId)} ${KIND[role]} in “${group.title}”`,
      });
    for (const { sourcedId, userId, role } of leaves)
      changes.push({
        ...{ ...said.saidAt('enrollments', sourcedId), sourcedId, does: 'takeOff' },
        words: `${nameOf(userId)} ${KIND[role]} in “${group.title}” no more`,
      });
    classes.push({
      ...{ class: group, courseId: kept?.courseId ?? null, title, archives, owner, changesOwner, on, joins, leaves },
    });
  }
  const accounts = await accountsFor(db, known, said, wanted, changes);
  const renames = [...known.accounts].flatMap(([key, personId]) => {
    const userId = key.slice(key.indexOf(' ') + 1);
    const [was, is] = [known.users.get(userId)?.name, said.users.get(userId)?.name];
    if (is === undefined || was === is) return [];
    changes.push({
      ...{ ...said.saidAt('users', userId), sourcedId: userId, does: 'change' as const },
      words: `${was} is called ${is}`,
    });
    return [{ personId, name: is }];
  });
  const order = ['classes.csv', 'users.csv', 'enrollments.csv'];
  return {
    ...{ classes, accounts, renames },
    changes: changes.toSorted(
      (a, b) => order.indexOf(a.file) - order.indexOf(b.file) || (a.line ?? Infinity) - (b.line ?? Infinity),
    ),
  };
}

interface Roster {
  readonly title: string;
  readonly ownerId: string;
  readonly archived: boolean;
  readonly people: Set<string>;
}

async function rostersOf(db: Context['db'], ids: readonly string[]): Promise<Map<string, Roster>> {
  const [courses, learners, teachers] = await Promise.all([
    db.select().from(course).where(isAmong(course.id, ids)),
    db
      .select({ courseId: courseLearner.courseId, id: courseLearner.learnerId })
      .from(courseLearner)
      .where(isAmong(courseLearner.courseId, ids)),
    db
      .select({ courseId: courseTeacher.courseId, id: courseTeacher.personId })
      .from(courseTeacher)
      .where(isAmong(courseTeacher.courseId, ids)),
  ]);
  const rosters = new Map(
    courses.map((row): [string, Roster] => [
      row.id,
      { title: row.title, ownerId: row.ownerId, archived: row.archivedAt !== null, people: new Set() },
    ]),
  );
  for (const { courseId, id } of [...learners, ...teachers]) rosters.get(courseId)?.people.add(id);
  return rosters;
}

/** The accounts to make, with user names that are free. */
async function accountsFor(
  db: Context['db'],
  known: Known,
  said: Merged,
  wanted: readonly Enrolment[],
  changes: OneRosterChange[],
): Promise<ToMake[]> {
  const lacking = new Map<string, Enrolment>();
  for (const enrolment of wanted) {
    const key = accountKey(enrolment.userId, enrolment.role);
    if (!known.accounts.has(key) && !lacking.has(key)) lacking.set(key, enrolment);
  }
  const taken = new Set<string>();
  const wishes = [...lacking.values()].map(({ userId }) => usernameFrom(said.users.get(userId)?.username ?? ''));
  const stems = [...new Set(wishes.map(normalUsername))];
  for (let i = 0; i < stems.length; i += 500)
    for (const row of await db
      .select({ username: user.username })
      .from(user)
      .where(inArray(user.username, stems.slice(i, i + 500))))
      taken.add(row.username ?? '');
  const made: ToMake[] = [];
  for (const { userId, role } of lacking.values()) {
    const wish = said.users.get(userId);
    if (!wish) continue;
    const username = await freeName(db, usernameFrom(wish.username), taken);
    taken.add(normalUsername(username));
    made.push({ userId, role, name: wish.name, username });
    const other =
      username === wish.username
        ? ''
        : `: “${wish.username}” ${isUsername(wish.username) ? 'is taken' : 'does not fit'}`;
    changes.push({
      ...{ ...said.saidAt('users', userId), sourcedId: userId, does: 'make' },
      words: `${wish.name} gets an account as ${role}, “${username}”${other}`,
    });
  }
  return made;
}

const MAX_USERNAME = 50;

/** A user name as the system has it, or as near to it as one can be here. */
function usernameFrom(text: string): string {
  if (isUsername(text)) return text.trim();
  const signs = text
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9._@+-]/g, '')
    .replace(/^[^A-Za-z0-9]+/, '');
  const cut = signs.slice(0, MAX_USERNAME);
  // What is left may be too short, or nothing but signs.
  return isUsername(cut) ? cut : `person.${cut.replace(/[^A-Za-z0-9]/g, '')}`.replace(/\.$/, '');
}

/** The name, or the name with the lowest number behind it that nobody has. */
async function freeName(db: Context['db'], name: string, taken: ReadonlySet<string>): Promise<string> {
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? name : `${name}.${n}`;
    const normal = normalUsername(candidate);
    if (taken.has(normal)) continue;
    if (n === 1) return candidate;
    const [there] = await db
      .select({ id: user.id })
      .from(user)
      .where(and(eq(user.username, normal)));
    if (!there) return candidate;
  }
}
