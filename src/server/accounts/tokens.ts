import { createHash, randomBytes } from 'node:crypto';
import { addDays } from 'date-fns';
import { and, desc, eq, gt, isNull, lt, or } from 'drizzle-orm';
import type { InferType } from 'yup';
import { type newToken, operationAt, scopeOf, type TokenMade, type TokenRow } from '../../contract';
import type { As, Context, Person, Teacher } from '../context';
import { accessToken, user } from '../database/accountTables';
import { type Failure, fail, ok, type Result } from '../errors';
import { mayOnceMore } from './limit';
import { noteSecurity } from './securityLog';

/** By which a token is known in a log or a file where it should not stand. */
const PREFIX = 'vault_drop_';
const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url');

const shown = ({ id, name, scopes, madeAt, expiresAt, usedAt }: typeof accessToken.$inferSelect): TokenRow => ({
  ...{ id, name, scopes, madeAt, expiresAt, usedAt },
});

/** The tokens of the teacher, the newest first. */
export async function listTokens({ db, person }: Pick<As<Teacher>, 'db' | 'person'>): Promise<TokenRow[]> {
  const rows = await db
    .select()
    .from(accessToken)
    .where(eq(accessToken.personId, person.id))
    .orderBy(desc(accessToken.madeAt));
  return rows.map(shown);
}

/** Makes a token. `id` is the client's: repeated before the token is used, the request makes it anew. */
export async function makeToken(
  as: As<Teacher>,
  { id, name, scopes, days }: InferType<typeof newToken>,
): Promise<Result<TokenMade>> {
  const { db, person, now, address } = as;
  const token = `${PREFIX}${randomBytes(32).toString('base64url')}`;
  const made = {
    name,
    hash: hashOf(token),
    scopes: [...new Set(scopes)],
    madeAt: now(),
    expiresAt: addDays(now(), days),
  };
  const [row] = await db
    .insert(accessToken)
    .values({ id, personId: person.id, ...made })
    .onConflictDoUpdate({
      target: accessToken.id,
      set: made,
      setWhere: and(eq(accessToken.personId, person.id), isNull(accessToken.usedAt)),
    })
    .returning();
  if (!row) return fail('nameTaken');
  await noteSecurity(as, { what: 'tokenMade', userId: person.id, by: person.id, address, detail: name });
  return ok({ ...shown(row), token });
}

/** Takes a token back. */
export async function takeTokenBack(as: As<Teacher>, id: string): Promise<Result<TokenRow[]>> {
  const { db, person, address } = as;
  const [gone] = await db
    .delete(accessToken)
    .where(and(eq(accessToken.id, id), eq(accessToken.personId, person.id)))
    .returning({ name: accessToken.name });
  if (!gone) return fail('notFound');
  await noteSecurity(as, { what: 'tokenTakenBack', userId: person.id, by: person.id, address, detail: gone.name });
  return ok(await listTokens(as));
}

/** The token of a request; null: it has none, and is the browser's of somebody. */
export function bearerOf(headers: Headers): string | null {
  const [scheme = '', token = '', ...more] = (headers.get('authorization') ?? '').split(' ');
  return scheme.toLowerCase() === 'bearer' && more.length === 0 ? token : null;
}

/** When a token was last used is kept to the minute. */
const USED_MS = 60_000;

/**
 * The teacher for whom a token asks for this, and why it may not: it does not hold, comes too often, or lacks the scope
 * of the endpoint. Pages are for browsers: a token opens none.
 */
export async function personOfToken(
  context: Pick<Context, 'db' | 'now'>,
  token: string,
  { method, pathname }: { readonly method: string; readonly pathname: string },
): Promise<Person | Failure> {
  const { db, now } = context;
  const at = now();
  const [found] = await db
    .select({ row: accessToken, person: user })
    .from(accessToken)
    .innerJoin(user, eq(user.id, accessToken.personId))
    .where(and(eq(accessToken.hash, hashOf(token)), gt(accessToken.expiresAt, at), eq(user.role, 'teacher')));
  if (!found)
    return fail('notSignedIn', { problems: [{ path: 'authorization', message: 'This token does not hold.' }] });
  const { row, person } = found;
  if (!(await mayOnceMore(context, 'token', row.id))) return fail('tooMany');
  const operation = operationAt(method, pathname);
  if (!operation) return fail('notFound');
  const scope = scopeOf(operation);
  if (scope === 'byHand')
    return fail('notAllowed', { problems: [{ path: 'authorization', message: 'This is done by signing in alone.' }] });
  if (scope !== null && !row.scopes.includes(scope))
    return fail('notAllowed', {
      problems: [{ path: 'authorization', message: `This token lacks the scope ${scope}.` }],
    });
  await db
    .update(accessToken)
    .set({ usedAt: at })
    .where(
      and(
        eq(accessToken.id, row.id),
        or(isNull(accessToken.usedAt), lt(accessToken.usedAt, new Date(at.getTime() - USED_MS))),
      ),
    );
  const { id, name, username } = person;
  return { ...{ id, name, username, role: 'teacher' }, twoFactor: person.twoFactorEnabled };
}
