import { randomUUID } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import { normalUsername } from '../../core';
import type { As, Context, Role, Teacher } from '../context';
import { account, session, user } from '../database/accountTables';
import type { Queries } from '../database/open';
import { type Failure, fail, ok, type Result } from '../errors';
import { forgive } from './limit';
import { hash, passwordProblem } from './password';
import { noteSecurity } from './securityLog';

export interface NewPerson {
  readonly name: string;
  readonly username: string;
  readonly password: string;
  readonly role: Role;
  readonly madeBy: string | null;
}

/** Learners may have no e-mail; the tables want one. `.invalid` is never a real domain (RFC 2606). */
const placeholderEmail = () => `${randomUUID()}@accounts.invalid`;

/** A person whose password is hashed: ready to be stored. */
export interface PreparedPerson extends Omit<NewPerson, 'password'> {
  readonly id: string;
  readonly passwordHash: string;
}

/** Hashes the password, which takes too long for a transaction. */
export async function preparePerson(person: NewPerson): Promise<Result<PreparedPerson>> {
  const { password, ...rest } = person;
  const problem = passwordProblem(password, normalUsername(person.username));
  if (problem) return fail('invalid', { problems: [{ path: 'password', message: problem }] });
  return ok({ ...rest, id: randomUUID(), passwordHash: await hash(password) });
}

const nameTaken = (username: string): Failure =>
  fail('nameTaken', { problems: [{ path: 'username', message: `The user name "${username}" is taken.` }] });

/** Makes an account. User names that differ only in case are the same. */
export async function makePerson(context: Context, person: NewPerson): Promise<Result<{ id: string }>> {
  const username = normalUsername(person.username);
  if (await context.db.query.user.findFirst({ where: eq(user.username, username) })) return nameTaken(username);
  const prepared = await preparePerson(person);
  return prepared.ok ? storePerson(context, prepared.value) : prepared;
}

interface Stores {
  readonly db: Queries;
  readonly now: () => Date;
}

/** Stores an account and its password, or nothing. */
export function storePerson({ db, now }: Stores, person: PreparedPerson): Promise<Result<{ id: string }>> {
  const username = normalUsername(person.username);
  const { id } = person;
  const at = now();
  return db.transaction(async (tx) => {
    if (await tx.query.user.findFirst({ where: eq(user.username, username) })) return nameTaken(username);
    await tx.insert(user).values({
      id,
      name: person.name,
      email: placeholderEmail(),
      username,
      displayUsername: person.username.trim(),
      role: person.role,
      madeBy: person.madeBy,
      createdAt: at,
      updatedAt: at,
    });
    await noteSecurity({ db: tx, now }, { what: 'accountMade', userId: id, by: person.madeBy, detail: person.role });
    await tx.insert(account).values({
      id: randomUUID(),
      accountId: id,
      providerId: 'credential',
      userId: id,
      password: person.passwordHash,
      createdAt: at,
      updatedAt: at,
    });
    return ok({ id });
  });
}

/**
 * Sets a password, signs the account out everywhere, and unlocks it after wrong passwords. `by`: who did it; null: the
 * administrator's command.
 */
export async function setPassword(
  { db, now, address }: Context,
  userId: string,
  password: string,
  by: string | null,
): Promise<Result<null>> {
  const who = await db.query.user.findFirst({ columns: { username: true }, where: eq(user.id, userId) });
  const problem = passwordProblem(password, who?.username ?? '');
  if (problem) return fail('invalid', { problems: [{ path: 'password', message: problem }] });
  const hashed = await hash(password);
  await db.transaction(async (tx) => {
    await tx
      .update(account)
      .set({ password: hashed, updatedAt: now() })
      .where(and(eq(account.userId, userId), eq(account.providerId, 'credential')));
    await tx.delete(session).where(eq(session.userId, userId));
    if (who?.username) await forgive(tx, 'sign-in', who.username);
    await noteSecurity({ db: tx, now }, { what: 'passwordReset', userId, by, address });
  });
  return ok(null);
}

/** A teacher resets the password of a learner whose account they made. */
export async function resetLearnerPassword(
  as: As<Teacher>,
  learnerId: string,
  password: string,
): Promise<Result<null>> {
  const learner = await as.db.query.user.findFirst({
    where: and(eq(user.id, learnerId), eq(user.role, 'learner'), eq(user.madeBy, as.person.id)),
  });
  if (!learner) return fail('notFound');
  return setPassword(as, learnerId, password, as.person.id);
}

const AT_ONCE = 500;

/** The names of people by id; deleted accounts are left out. */
export async function namesOf(
  { db }: Pick<Context, 'db'>,
  ids: Iterable<string>,
): Promise<ReadonlyMap<string, string>> {
  const wanted = [...new Set(ids)];
  const names = new Map<string, string>();
  for (let i = 0; i < wanted.length; i += AT_ONCE)
    for (const row of await db
      .select({ id: user.id, name: user.name })
      .from(user)
      .where(inArray(user.id, wanted.slice(i, i + AT_ONCE))))
      names.set(row.id, row.name);
  return names;
}
