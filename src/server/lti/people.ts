import { randomUUID } from 'node:crypto';
import { and, count, eq } from 'drizzle-orm';
import { noteSecurity } from '../accounts/securityLog';
import type { Context, Role } from '../context';
import { user } from '../database/accountTables';
import type { Queries } from '../database/open';
import { ltiPerson } from '../database/tables';

/** Somebody as a platform names them. */
export interface Named {
  readonly issuer: string;
  readonly sub: string;
  readonly role: Role;
  /** Empty: the platform gives none. */
  readonly name: string;
}

export interface Known {
  readonly id: string;
  /** The account was made just now. */
  readonly isNew: boolean;
}

/**
 * The account of a platform's person: found by issuer, sub and role alone, never by a name or an e-mail; else made,
 * without a user name and a password. Its name follows the platform's.
 */
export async function personFor(
  { db, now }: { readonly db: Queries; readonly now: Context['now'] },
  { issuer, sub, role, name }: Named,
): Promise<Known> {
  const [found] = await db
    .select({ id: user.id, name: user.name, username: user.username })
    .from(ltiPerson)
    .innerJoin(user, eq(user.id, ltiPerson.personId))
    .where(and(eq(ltiPerson.issuer, issuer), eq(ltiPerson.sub, sub), eq(ltiPerson.role, role)));
  const at = now();
  if (found) {
    // Who had an account here before keeps the name they have here.
    if (name !== '' && name !== found.name && found.username === null)
      await db.update(user).set({ name, updatedAt: at }).where(eq(user.id, found.id));
    return { id: found.id, isNew: false };
  }
  const id = randomUUID();
  const [known] = await db
    .select({ n: count() })
    .from(ltiPerson)
    .where(and(eq(ltiPerson.issuer, issuer), eq(ltiPerson.role, role)));
  const unnamed = `${role === 'teacher' ? 'Teacher' : 'Learner'} ${(known?.n ?? 0) + 1}`;
  await db.insert(user).values({
    ...{ id, role, name: name || unnamed, createdAt: at, updatedAt: at },
    // The tables want an e-mail address; `.invalid` is never a real domain (RFC 2606).
    email: `${id}@accounts.invalid`,
  });
  await db.insert(ltiPerson).values({ issuer, sub, role, personId: id });
  await noteSecurity({ db, now }, { what: 'accountMade', userId: id, by: null, detail: `${role}, by a platform` });
  return { id, isNew: true };
}
