import { randomUUID } from 'node:crypto';
import { and, eq, inArray } from 'drizzle-orm';
import type { As, Context, Role, Teacher } from '../context';
import { account, session, user } from '../database/accountTables';
import { fail, ok, type Result } from '../errors';
import { hash } from './password';

export interface NewPerson {
  readonly name: string;
  readonly username: string;
  readonly password: string;
  readonly role: Role;
  readonly madeBy: string | null;
}

/** Learners may have no e-mail; the tables want one. `.invalid` is never a real domain (RFC 2606). */
const placeholderEmail = () => `${randomUUID()}@accounts.invalid`;

const normal = (username: string) => username.trim().toLowerCase();

/** Makes an account. The name people sign in with is told apart without regard to case. */
export async function makePerson({ db, now }: Context, person: NewPerson): Promise<Result<{ id: string }>> {
  const username = normal(person.username);
  const taken = await db.query.user.findFirst({ where: eq(user.username, username) });
  if (taken) return fail('nameTaken', { problems: [{ path: 'username', message: `The user name "${username}" is taken.` }] });
  const password = await hash(person.password);
  const id = randomUUID();
  const at = now();
  await db.transaction(async (tx) => {
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
    await tx.insert(account).values({ id: randomUUID(), accountId: id, providerId: 'credential', userId: id, password, createdAt: at, updatedAt: at });
  });
  return ok({ id });
}

/** Sets a password and signs the account out everywhere. */
export async function setPassword({ db, now }: Context, userId: string, password: string): Promise<void> {
  const hashed = await hash(password);
  await db.transaction(async (tx) => {
    await tx
      .update(account)
      .set({ password: hashed, updatedAt: now() })
      .where(and(eq(account.userId, userId), eq(account.providerId, 'credential')));
    await tx.delete(session).where(eq(session.userId, userId));
  });
}

/** A teacher resets the password of a learner whose account they made. */
export async function resetLearnerPassword(as: As<Teacher>, learnerId: string, password: string): Promise<Result<null>> {
  const learner = await as.db.query.user.findFirst({ where: and(eq(user.id, learnerId), eq(user.role, 'learner'), eq(user.madeBy, as.person.id)) });
  if (!learner) return fail('notFound');
  await setPassword(as, learnerId, password);
  return ok(null);
}

const AT_ONCE = 500;

/** The names of people by their ids; who is not here any more is left out. */
export async function namesOf({ db }: Pick<Context, 'db'>, ids: Iterable<string>): Promise<ReadonlyMap<string, string>> {
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
