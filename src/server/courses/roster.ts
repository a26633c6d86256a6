import { randomBytes, randomUUID } from 'node:crypto';
import { and, asc, count, eq, inArray, type SQL, sql } from 'drizzle-orm';
import { type LearnerRow, ROSTER_PAGE, type RosterPage, type RosterPlan, type RosterTaken } from '../../contract';
import { type RosterLine, readRoster } from '../../formats/roster';
import { passwordProblem } from '../accounts/password';
import { makePerson, type NewPerson } from '../accounts/people';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { literally } from '../database/like';
import { courseGroup, courseLearner, groupMember } from '../database/tables';
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
      .select({ id: user.id, name: user.name, username: user.displayUsername, madeBy: user.madeBy })
      .from(courseLearner)
      .innerJoin(user, eq(user.id, courseLearner.learnerId))
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
    rows: rows.map(({ madeBy, ...row }) => ({
      ...row,
      mine: madeBy === person.id,
      groups: members.flatMap((member) => (member.learnerId === row.id ? [member.groupId] : [])),
    })),
    total: total?.n ?? 0,
    from,
  });
}

/** All learners of a course, sorted by name; `words`: searched in names and user names. */
export const everybodyOn = (
  { db }: Pick<As, 'db'>,
  courseId: string,
  words = '',
): Promise<Pick<LearnerRow, 'id' | 'name' | 'username'>[]> =>
  db
    .select({ id: user.id, name: user.name, username: user.displayUsername })
    .from(courseLearner)
    .innerJoin(user, eq(user.id, courseLearner.learnerId))
    .where(onRoster(courseId, words))
    .orderBy(asc(user.name), asc(user.id));

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
  const made = await makePerson(as, { ...learner, role: 'learner', madeBy: as.person.id });
  if (made.ok) await as.db.insert(courseLearner).values({ courseId, learnerId: made.value.id, addedAt: as.now() });
  return made;
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
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const gone = await db
    .delete(courseLearner)
    .where(and(eq(courseLearner.courseId, courseId), inArray(courseLearner.learnerId, [...learners])))
    .returning({ id: courseLearner.learnerId });
  const groups = db.select({ id: courseGroup.id }).from(courseGroup).where(eq(courseGroup.courseId, courseId));
  await db
    .delete(groupMember)
    .where(and(inArray(groupMember.groupId, groups), inArray(groupMember.learnerId, [...learners])));
  return ok({ removed: gone.length });
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

async function planned(as: As<Teacher>, courseId: string, text: string) {
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const read = await readLong(as, text);
  if (!read)
    return fail('invalid', {
      problems: [{ path: 'text', message: 'This list takes too long to read: take it in parts.' }],
    });
  const wanted = read.lines.map(({ username }) => username.toLowerCase());
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
  const taken: (RosterLine & { account: { id: string; name: string } | null })[] = [];
  for (const line of read.lines) {
    const account = known.get(line.username.toLowerCase()) ?? null;
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
 * everybody else. Repeating it changes nothing more.
 */
export async function importRoster(
  as: As<Teacher>,
  courseId: string,
  text: string,
  removeOthers: boolean,
): Promise<Result<RosterTaken>> {
  const { db, now } = as;
  const found = await planned(as, courseId, text);
  if (!found.ok) return found;
  const { plan, taken, groups, enrols } = found.value;
  if (plan.lines.filter(({ will }) => will === 'make').length > MAX_MADE)
    return fail('invalid', {
      problems: [
        { path: 'text', message: `At most ${MAX_MADE} new accounts are made at once: send the list in parts.` },
      ],
    });
  const groupIds = new Map(groups.map(({ id, title }) => [title.toLowerCase(), id]));
  for (const title of plan.newGroups) {
    const id = randomUUID();
    await db.insert(courseGroup).values({ id, courseId, title });
    groupIds.set(title.toLowerCase(), id);
  }
  const result: RosterTaken = {
    made: [],
    joined: plan.lines.filter(({ will }) => will === 'join').length,
    invited: 0,
    removed: 0,
  };
  await Promise.all(
    taken.map(async ({ name, username, password, groups: of, account }) => {
      let id = account?.id;
      if (id === undefined) {
        const first = password || randomBytes(9).toString('base64url');
        const made = await makePerson(as, { name, username, password: first, role: 'learner', madeBy: as.person.id });
        if (!made.ok) return;
        id = made.value.id;
        result.made.push({ name, username, password: first });
      } else if (!enrols(id)) {
        await invite(as, courseId, [{ id, groups: of.map((group) => groupIds.get(group.toLowerCase()) ?? '') }]);
        result.invited++;
        return;
      }
      await db.insert(courseLearner).values({ courseId, learnerId: id, addedAt: now() }).onConflictDoNothing();
      for (const group of of)
        await db
          .insert(groupMember)
          .values({ groupId: groupIds.get(group.toLowerCase()) ?? '', learnerId: id })
          .onConflictDoNothing();
    }),
  );
  result.made.sort((a, b) => a.name.localeCompare(b.name));
  const leaving = removeOthers ? plan.others.map(({ id }) => id) : [];
  for (let i = 0; i < leaving.length; i += 500) {
    const gone = await removeLearner(as, courseId, leaving.slice(i, i + 500));
    if (gone.ok) result.removed += gone.value.removed;
  }
  return ok(result);
}
