import { randomBytes, randomUUID } from 'node:crypto';
import { and, asc, count, eq, inArray, type SQL, sql } from 'drizzle-orm';
import { type LearnerRow, ROSTER_PAGE, type RosterPage, type RosterPlan, type RosterTaken } from '../../contract';
import { normalUsername, type Problem } from '../../core';
import { type RosterLine, readRoster } from '../../formats/roster';
import { passwordProblem } from '../accounts/password';
import { type NewPerson, type PreparedPerson, preparePerson, storePerson } from '../accounts/people';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { literally } from '../database/like';
import { manyRows } from '../database/manyRows';
import type { Queries } from '../database/open';
import { courseGroup, courseLearner, groupMember, picturePassword } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { courseOf } from './access';
import { invite, knownLearners, mayEnrol } from './invitations';

/** The learners of a course with these words in the name or user name. */
function onRoster(courseId: string, words: string): SQL | undefined {
  const part = `%${literally(words.trim())}%`;
  return and(
    eq(courseLearner.courseId, courseId),
    ...(words.trim()
      ? [sql`(${user.name} like ${part} escape '\\' or ${user.username} like ${part} escape '\\')`]
      : []),
  );
}

/** A page of a course's learners, sorted by name; `words`: searched in names and user names. */
export async function listRoster(
  as: As<Teacher>,
  courseId: string,
  { words = '', from = 0 }: { words?: string; from?: number } = {},
): Promise<Result<RosterPage>> {
  const { db, person } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const where = onRoster(courseId, words);
  const [[total], rows] = await Promise.all([
    db.select({ n: count() }).from(courseLearner).innerJoin(user, eq(user.id, courseLearner.learnerId)).where(where),
    db
      .select({
        ...{ id: user.id, name: user.name, username: user.displayUsername, madeBy: user.madeBy },
        pictures: picturePassword.learnerId,
      })
      .from(courseLearner)
      .innerJoin(user, eq(user.id, courseLearner.learnerId))
      .leftJoin(picturePassword, eq(picturePassword.learnerId, user.id))
      .where(where)
      .orderBy(asc(user.name), asc(user.id))
      .limit(ROSTER_PAGE)
      .offset(from),
  ]);
  const members =
    rows.length === 0
      ? []
      : await groupsOf(
          as,
          courseId,
          rows.map(({ id }) => id),
        );
  return ok({
    rows: rows.map(({ madeBy, pictures, ...row }) => ({
      ...row,
      mine: madeBy === person.id,
      pictures: pictures !== null,
      groups: members.flatMap((member) => (member.learnerId === row.id ? [member.groupId] : [])),
    })),
    total: total?.n ?? 0,
    from,
  });
}

type Named = Pick<LearnerRow, 'id' | 'name' | 'username'>;

const named = ({ db }: Pick<As, 'db'>) =>
  db
    .select({ id: user.id, name: user.name, username: user.displayUsername })
    .from(courseLearner)
    .innerJoin(user, eq(user.id, courseLearner.learnerId));

/** All learners of a course, or of one of its groups, by name; `words`: searched in names and user names. */
export async function everybodyOn(as: Pick<As, 'db'>, courseId: string, words = '', group?: string): Promise<Named[]> {
  const inGroup = (id: string) =>
    as.db
      .select({ id: groupMember.learnerId })
      .from(groupMember)
      .innerJoin(courseGroup, eq(courseGroup.id, groupMember.groupId))
      .where(and(eq(groupMember.groupId, id), eq(courseGroup.courseId, courseId)));
  const query = named(as)
    .where(
      and(
        onRoster(courseId, words),
        group === undefined ? undefined : inArray(courseLearner.learnerId, inGroup(group)),
      ),
    )
    .orderBy(asc(user.name), asc(user.id));
  return manyRows<Named>(as.db, query, ['id', 'name', 'username']);
}

/** Those of some learners who are in a course, in the order given. */
export async function peopleIn(as: Pick<As, 'db'>, courseId: string, ids: readonly string[]): Promise<Named[]> {
  if (ids.length === 0) return [];
  const found = await named(as).where(and(eq(courseLearner.courseId, courseId), inArray(user.id, [...ids])));
  const byId = new Map(found.map((person) => [person.id, person]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}

const groupsOf = ({ db }: As<Teacher>, courseId: string, learners: readonly string[]) =>
  db
    .select({ groupId: groupMember.groupId, learnerId: groupMember.learnerId })
    .from(groupMember)
    .innerJoin(courseGroup, eq(courseGroup.id, groupMember.groupId))
    .where(and(eq(courseGroup.courseId, courseId), inArray(groupMember.learnerId, [...learners])));

/** Makes a learner's account and enrols it in the teacher's course. */
export async function makeLearner(
  as: As<Teacher>,
  courseId: string,
  learner: Pick<NewPerson, 'name' | 'username' | 'password'>,
): Promise<Result<{ id: string }>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const prepared = await preparePerson({ ...learner, role: 'learner', madeBy: as.person.id });
  if (!prepared.ok) return prepared;
  return as.db.transaction(async (tx) => {
    const made = await storePerson({ ...as, db: tx }, prepared.value);
    if (made.ok) await tx.insert(courseLearner).values({ courseId, learnerId: made.value.id, addedAt: as.now() });
    return made;
  });
}

/**
 * Ends the enrolment of learners. Their accounts, answers and marks stay, and are there again if they are enrolled
 * again.
 */
export async function removeLearner(
  as: As<Teacher>,
  courseId: string,
  learners: readonly string[],
): Promise<Result<{ removed: number }>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  return ok({ removed: await as.db.transaction((tx) => endEnrolments(tx, courseId, learners)) });
}

export async function endEnrolments(db: Queries, courseId: string, learners: readonly string[]): Promise<number> {
  const gone = await db
    .delete(courseLearner)
    .where(and(eq(courseLearner.courseId, courseId), inArray(courseLearner.learnerId, [...learners])))
    .returning({ id: courseLearner.learnerId });
  const groups = db.select({ id: courseGroup.id }).from(courseGroup).where(eq(courseGroup.courseId, courseId));
  await db
    .delete(groupMember)
    .where(and(inArray(groupMember.groupId, groups), inArray(groupMember.learnerId, [...learners])));
  return gone.length;
}

/** Longer lists, in characters, are read in a worker thread. Null: it takes too long. */
const SHORT = 50_000;
const READ_MS = 10_000;
async function readLong({ work }: As<Teacher>, text: string): Promise<ReturnType<typeof readRoster> | null> {
  if (text.length <= SHORT) return readRoster(text);
  const worked = await work.run('readRoster', text, READ_MS);
  return worked.ok ? worked.value : null;
}

/** A preview of importing a list. */
export async function planRoster(as: As<Teacher>, courseId: string, text: string): Promise<Result<RosterPlan>> {
  const found = await planned(as, courseId, text);
  return found.ok ? ok(found.value.plan) : found;
}

type PlannedLine = RosterLine & { readonly account: { readonly id: string; readonly name: string } | null };

/** A read list beside what there is. `enrols`: may this account be enrolled without being asked? */
interface Planned {
  readonly plan: RosterPlan;
  readonly taken: readonly PlannedLine[];
  readonly groups: readonly { readonly id: string; readonly title: string }[];
  readonly enrols: (id: string) => boolean;
}

async function planned(as: As<Teacher>, courseId: string, text: string): Promise<Result<Planned>> {
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const read = await readLong(as, text);
  if (!read)
    return fail('invalid', {
      problems: [{ path: 'text', message: 'This list takes too long to read: take it in parts.' }],
    });
  const wanted = read.lines.map(({ username }) => normalUsername(username));
  const known = new Map<string, { id: string; name: string; role: string }>();
  for (let i = 0; i < wanted.length; i += 500)
    for (const row of await db
      .select({ id: user.id, name: user.name, username: user.username, role: user.role })
      .from(user)
      .where(inArray(user.username, wanted.slice(i, i + 500))))
      known.set(row.username ?? '', row);
  const there = await everybodyOn(as, courseId);
  const thereIds = new Set(there.map(({ id }) => id));
  const groups = await db
    .select({ id: courseGroup.id, title: courseGroup.title })
    .from(courseGroup)
    .where(eq(courseGroup.courseId, courseId));
  const problems = [...read.problems];
  const taken: PlannedLine[] = [];
  for (const line of read.lines) {
    const account = known.get(normalUsername(line.username)) ?? null;
    const weak = !account && line.password !== '' ? passwordProblem(line.password, line.username) : null;
    if (account && account.role !== 'learner')
      problems.push({ line: line.line, message: `“${line.username}” is a teacher’s account.` });
    else if (weak) problems.push({ line: line.line, message: weak });
    else if (!account && line.name === '')
      problems.push({
        line: line.line,
        message: `There is no account “${line.username}” yet, and no name to make one with.`,
      });
    else taken.push({ ...line, account });
  }
  const accounts = taken.flatMap(({ account }) => account?.id ?? []);
  const listed = new Set(accounts);
  const taught = await knownLearners(as, accounts);
  const knows = (id: string) => taught.has(id) || thereIds.has(id);
  const enrols = await mayEnrol(as, accounts);
  const titles = new Set(groups.map(({ title }) => title.toLowerCase()));
  const plan: RosterPlan = {
    lines: taken.map(({ line, name, username, groups: of, account }) => ({
      line,
      // The full name of an account is shown only to a teacher who knows the person.
      name: account && knows(account.id) ? account.name : name,
      username,
      groups: of,
      will: !account ? 'make' : thereIds.has(account.id) ? 'stay' : enrols(account.id) ? 'join' : 'invite',
      knownAs: account && knows(account.id) && name !== '' && account.name !== name ? account.name : null,
    })),
    problems: problems.sort((a, b) => a.line - b.line),
    newGroups: [
      ...new Map(
        taken.flatMap((line) =>
          line.groups.filter((group) => !titles.has(group.toLowerCase())).map((group) => [group.toLowerCase(), group]),
        ),
      ).values(),
    ],
    others: there.filter(({ id }) => !listed.has(id)),
  };
  return ok({ plan, taken, groups, enrols: (id: string) => thereIds.has(id) || enrols(id) });
}

const MAX_MADE = 500;

/**
 * Imports a list: makes accounts, enrols learners and puts them into groups; `removeOthers`: ends the enrolment of
 * everybody else. All of it or nothing, so that no first password is lost. Repeating it changes nothing more.
 */
export async function importRoster(
  as: As<Teacher>,
  courseId: string,
  text: string,
  removeOthers: boolean,
): Promise<Result<RosterTaken>> {
  const found = await planned(as, courseId, text);
  if (!found.ok) return found;
  const { plan, taken, enrols } = found.value;
  if (plan.lines.filter(({ will }) => will === 'make').length > MAX_MADE)
    return fail('invalid', {
      problems: [
        { path: 'text', message: `At most ${MAX_MADE} new accounts are made at once: send the list in parts.` },
      ],
    });
  const newcomers = await newAccounts(as, taken);
  if (!newcomers.ok) return newcomers;
  return as.db.transaction(async (tx): Promise<Result<RosterTaken>> => {
    const within = { ...as, db: tx };
    const clash = await namesTaken(tx, newcomers.value);
    if (clash.length > 0) return fail('nameTaken', { problems: clash });
    const made = new Map<string, string>();
    for (const { line, prepared } of newcomers.value) {
      const stored = await storePerson(within, prepared);
      if (stored.ok) made.set(line.username, stored.value.id);
    }
    const groupIds = await withNewGroups(tx, courseId, found.value);
    const people = taken.map(({ username, groups, account }) => ({
      id: account?.id ?? made.get(username) ?? '',
      enrols: !account || enrols(account.id),
      groups: groups.map((group) => groupIds.get(group.toLowerCase()) ?? ''),
    }));
    const invited = people.filter((person) => !person.enrols);
    await invite(within, courseId, invited);
    await enrol(
      within,
      courseId,
      people.filter((person) => person.enrols),
    );
    const leaving = removeOthers ? plan.others.map(({ id }) => id) : [];
    const removed = leaving.length > 0 ? await endEnrolments(tx, courseId, leaving) : 0;
    return ok({
      made: newcomers.value
        .map(({ line: { name, username }, password }) => ({ name, username, password }))
        .sort((a, b) => a.name.localeCompare(b.name)),
      joined: plan.lines.filter(({ will }) => will === 'join').length,
      invited: invited.length,
      removed,
    });
  });
}

interface Newcomer {
  readonly line: RosterLine;
  readonly password: string;
  readonly prepared: PreparedPerson;
}

/** The accounts to make, their passwords hashed; a line without a password gets one. */
async function newAccounts(as: As<Teacher>, taken: readonly PlannedLine[]): Promise<Result<Newcomer[]>> {
  const newcomers: Newcomer[] = [];
  const problems: Problem[] = [];
  await Promise.all(
    taken.map(async ({ account, ...line }) => {
      if (account) return;
      const password = line.password || randomBytes(9).toString('base64url');
      const { name, username } = line;
      const prepared = await preparePerson({ name, username, password, role: 'learner', madeBy: as.person.id });
      if (prepared.ok) newcomers.push({ line, password, prepared: prepared.value });
      else problems.push(...(prepared.problems ?? []).map((problem) => ({ ...problem, path: `lines[${line.line}]` })));
    }),
  );
  return problems.length > 0 ? fail('invalid', { problems }) : ok(newcomers);
}

/** The names that somebody else has taken since the list was planned. */
async function namesTaken(db: Queries, newcomers: readonly Newcomer[]): Promise<Problem[]> {
  const lines = new Map(newcomers.map(({ line }) => [normalUsername(line.username), line.line]));
  const rows = await db
    .select({ username: user.username })
    .from(user)
    .where(inArray(user.username, [...lines.keys()]));
  return rows.map(({ username }) => ({
    path: `lines[${lines.get(username ?? '')}]`,
    message: `The user name “${username}” is taken.`,
  }));
}

/** Makes the groups that the list names and the course has not. The ids of all groups, by title in small letters. */
async function withNewGroups(
  db: Queries,
  courseId: string,
  { plan, groups }: Pick<Planned, 'plan' | 'groups'>,
): Promise<Map<string, string>> {
  const made = plan.newGroups.map((title) => ({ id: randomUUID(), courseId, title }));
  if (made.length > 0) await db.insert(courseGroup).values(made);
  return new Map([...groups, ...made].map(({ id, title }) => [title.toLowerCase(), id]));
}

/** Rows written by one statement. */
const AT_ONCE = 200;

async function enrol(
  { db, now }: Pick<As, 'now'> & { readonly db: Queries },
  courseId: string,
  people: readonly { readonly id: string; readonly groups: readonly string[] }[],
): Promise<void> {
  const addedAt = now();
  const learners = people.map(({ id }) => ({ courseId, learnerId: id, addedAt }));
  const members = people.flatMap(({ id, groups }) => groups.map((groupId) => ({ groupId, learnerId: id })));
  for (let i = 0; i < learners.length; i += AT_ONCE)
    await db
      .insert(courseLearner)
      .values(learners.slice(i, i + AT_ONCE))
      .onConflictDoNothing();
  for (let i = 0; i < members.length; i += AT_ONCE)
    await db
      .insert(groupMember)
      .values(members.slice(i, i + AT_ONCE))
      .onConflictDoNothing();
}
