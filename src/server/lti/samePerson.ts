import { and, eq, notExists, sql } from 'drizzle-orm';
import { countOne, forgive, LIMITS } from '../accounts/limit';
import { verify } from '../accounts/password';
import { noteSecurity } from '../accounts/securityLog';
import type { As, Context } from '../context';
import { account, user } from '../database/accountTables';
import type { Queries } from '../database/open';
import { course, courseTeacher, ltiLaunch, ltiPerson, question, questionSet, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { launchOf } from './waitingLaunch';

/** The name of the teacher who may be the same person; null: nobody is asked about. */
export async function maybeSame(as: As, launchId: string): Promise<{ name: string; username: string } | null> {
  const launch = await launchOf(as, launchId);
  if (!launch?.maybe) return null;
  const them = await as.db.query.user.findFirst({ where: eq(user.id, launch.maybe) });
  return them ? { name: them.name, username: them.displayUsername ?? '' } : null;
}

/**
 * A teacher whose first launch made an account says that they have one here, by its password: the platform's person is
 * that account from now on, and the course of the launch is theirs. `password` null: they have none. Whom to sign in,
 * and the page to open.
 */
export async function answerSamePerson(
  as: As,
  launchId: string,
  password: string | null,
): Promise<Result<{ personId: string; path: string }>> {
  const { db, person, now, address } = as;
  const launch = await launchOf(as, launchId);
  if (!launch?.maybe) return fail('notFound');
  const { maybe: theirs, path } = launch;
  if (password === null) {
    await db.update(ltiLaunch).set({ maybe: null }).where(eq(ltiLaunch.id, launchId));
    return ok({ personId: person.id, path });
  }
  const them = await db.query.user.findFirst({ where: and(eq(user.id, theirs), eq(user.role, 'teacher')) });
  const credential = await db.query.account.findFirst({
    where: and(eq(account.userId, theirs), eq(account.providerId, 'credential')),
  });
  if (!them?.username || !credential?.password) return fail('notFound');
  // The same counter as at sign-in, before the password is checked.
  if ((await countOne(db, 'sign-in', them.username, now().getTime())) > LIMITS['sign-in'].max) return fail('tooMany');
  if (!(await verify({ hash: credential.password, password })))
    return fail('wrongPassword', {
      problems: [{ path: 'password', message: 'That is not the password of this account.' }],
    });
  await forgive(db, 'sign-in', them.username);
  await db.transaction(async (tx) => {
    await joinAccounts({ db: tx, now }, person.id, theirs);
    await tx.update(ltiLaunch).set({ maybe: null, personId: theirs }).where(eq(ltiLaunch.id, launchId));
    await removeIfEmpty(tx, person.id);
  });
  await noteSecurity(as, { what: 'accountsJoined', userId: theirs, by: theirs, address, detail: 'with a platform’s' });
  return ok({ personId: theirs, path });
}

/** Gives what an account that a launch made has to another: who it is for platforms, and its courses. */
async function joinAccounts(
  { db, now }: { readonly db: Queries; readonly now: Context['now'] },
  made: string,
  theirs: string,
): Promise<void> {
  await db.update(ltiPerson).set({ personId: theirs }).where(eq(ltiPerson.personId, made));
  await db.update(course).set({ ownerId: theirs }).where(eq(course.ownerId, made));
  const taught = await db.select().from(courseTeacher).where(eq(courseTeacher.personId, made));
  await db.delete(courseTeacher).where(eq(courseTeacher.personId, made));
  for (const { courseId } of taught)
    await db.insert(courseTeacher).values({ courseId, personId: theirs, addedAt: now() }).onConflictDoNothing();
}

/** Removes the account that a launch made, unless something was made with it meanwhile. */
async function removeIfEmpty(db: Queries, made: string): Promise<void> {
  const has = (table: typeof question | typeof questionSet) =>
    db.select({ one: sql`1` }).from(table).where(eq(table.ownerId, made));
  const released = db.select({ one: sql`1` }).from(release).where(eq(release.releasedBy, made));
  await db
    .delete(user)
    .where(and(eq(user.id, made), notExists(has(question)), notExists(has(questionSet)), notExists(released)));
}
