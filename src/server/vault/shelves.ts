import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { type Access, RIGHTS, type Right, type ShelfRow } from '../../contract';
import { normalUsername } from '../../core';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { question, shelf, shelfShare } from '../database/tables';
import { fail, ok, type Result } from '../errors';

/** True if the access includes the right. */
export const allows = (access: Access, right: Right): boolean =>
  access === 'own' || RIGHTS.indexOf(access) >= RIGHTS.indexOf(right);

interface Seen {
  readonly id: string;
  readonly title: string;
  readonly parentId: string | null;
  readonly ownerId: string;
  readonly access: Access;
}

/**
 * Every shelf the teacher may see: their own, those shared with them, and the shelves on those, with the larger of two
 * rights.
 */
export async function shelvesSeen({ db, person }: As<Teacher>): Promise<Map<string, Seen>> {
  const shares = await db.select().from(shelfShare).where(eq(shelfShare.personId, person.id));
  const shared =
    shares.length === 0
      ? []
      : await db
          .select({ ownerId: shelf.ownerId })
          .from(shelf)
          .where(
            inArray(
              shelf.id,
              shares.map(({ shelfId }) => shelfId),
            ),
          );
  const all = await db
    .select()
    .from(shelf)
    .where(inArray(shelf.ownerId, [...new Set([person.id, ...shared.map(({ ownerId }) => ownerId)])]));
  const byId = new Map(all.map((row) => [row.id, row]));
  const rightOf = new Map(shares.map(({ shelfId, right }) => [shelfId, right]));
  const seen = new Map<string, Seen>();
  for (const { id, title, parentId, ownerId } of all) {
    if (ownerId === person.id) {
      seen.set(id, { id, title, parentId, ownerId, access: 'own' });
      continue;
    }
    let best: Right | null = null;
    for (let at: string | null = id; at !== null; at = byId.get(at)?.parentId ?? null) {
      const right = rightOf.get(at);
      if (right && (best === null || RIGHTS.indexOf(right) > RIGHTS.indexOf(best))) best = right;
    }
    if (best) seen.set(id, { id, title, parentId, ownerId, access: best });
  }
  return seen;
}

/** The shelves of the Vault, each with its number of questions. */
export async function listShelves(as: As<Teacher>): Promise<ShelfRow[]> {
  const seen = await shelvesSeen(as);
  if (seen.size === 0) return [];
  const ids = [...seen.keys()];
  const counts = await as.db
    .select({ shelfId: question.shelfId, n: sql<number>`count(*)` })
    .from(question)
    .where(and(inArray(question.shelfId, ids), isNull(question.deletedAt)))
    .groupBy(question.shelfId);
  const shares = await as.db
    .select({ shelfId: shelfShare.shelfId, right: shelfShare.right, username: user.username, name: user.name })
    .from(shelfShare)
    .innerJoin(user, eq(user.id, shelfShare.personId))
    .where(inArray(shelfShare.shelfId, ids));
  const owners = new Map(
    (
      await as.db
        .select({ id: user.id, name: user.name })
        .from(user)
        .where(inArray(user.id, [...new Set([...seen.values()].map(({ ownerId }) => ownerId))]))
    ).map(({ id, name }) => [id, name]),
  );
  const countOf = new Map(counts.map(({ shelfId, n }) => [shelfId, n]));
  return [...seen.values()]
    .map(({ id, title, parentId, ownerId, access }) => ({
      id,
      title,
      parentId: parentId !== null && seen.has(parentId) ? parentId : null,
      access,
      owner: owners.get(ownerId) ?? '',
      questions: countOf.get(id) ?? 0,
      shares:
        access === 'own'
          ? shares.flatMap((share) =>
              share.shelfId === id ? [{ username: share.username ?? '', name: share.name, right: share.right }] : [],
            )
          : [],
    }))
    .sort((a, b) => a.title.localeCompare(b.title));
}

const ownShelf = ({ db, person }: As<Teacher>, id: string) =>
  db.query.shelf.findFirst({ where: and(eq(shelf.id, id), eq(shelf.ownerId, person.id)) });

/** A new shelf. `id` is made by the client, so that a repeated request makes one. */
export async function makeShelf(
  as: As<Teacher>,
  { id, title, parentId }: { id: string; title: string; parentId: string | null },
): Promise<Result<{ id: string }>> {
  if (parentId !== null && !(await ownShelf(as, parentId))) return fail('notFound');
  await as.db
    .insert(shelf)
    .values({ id, title, parentId, ownerId: as.person.id, createdAt: as.now() })
    .onConflictDoNothing();
  return (await ownShelf(as, id)) ? ok({ id }) : fail('notFound');
}

/** Renames a shelf or moves it onto another; never onto itself or one beneath it. */
export async function changeShelf(
  as: As<Teacher>,
  id: string,
  change: { title?: string | undefined; parentId?: string | null | undefined },
): Promise<Result<null>> {
  if (!(await ownShelf(as, id))) return fail('notFound');
  const { parentId } = change;
  if (parentId && !(await ownShelf(as, parentId))) return fail('notFound');
  const changed = await as.db
    .update(shelf)
    .set({
      ...(change.title === undefined ? {} : { title: change.title }),
      ...(parentId === undefined ? {} : { parentId }),
    })
    .where(and(eq(shelf.id, id), parentId ? sql`${id} not in ${under(parentId)}` : undefined))
    .returning({ id: shelf.id });
  return changed.length > 0
    ? ok(null)
    : fail('invalid', { problems: [{ path: 'parentId', message: 'A shelf cannot stand on itself.' }] });
}

/**
 * A shelf and its ancestors, read in the statement that relies on them: of two teachers who put two shelves onto each
 * other at once, the second is refused.
 */
const under = (id: string) => sql`(
  with recursive beneath (id) as (select ${id} union select shelf.parent_id from shelf join beneath on shelf.id = beneath.id where shelf.parent_id is not null)
  select id from beneath
)`;

/** Removes a shelf. Its questions and shelves move to where it stood. Returns their ids, so that it can be undone. */
export async function removeShelf(
  as: As<Teacher>,
  id: string,
): Promise<Result<{ questions: string[]; shelves: string[] }>> {
  const found = await ownShelf(as, id);
  if (!found) return ok({ questions: [], shelves: [] });
  return as.db.transaction(async (tx) => {
    const questions = (
      await tx
        .update(question)
        .set({ shelfId: found.parentId })
        .where(eq(question.shelfId, id))
        .returning({ id: question.id })
    ).map((row) => row.id);
    const shelves = (
      await tx.update(shelf).set({ parentId: found.parentId }).where(eq(shelf.parentId, id)).returning({ id: shelf.id })
    ).map((row) => row.id);
    await tx.delete(shelf).where(eq(shelf.id, id));
    return ok({ questions, shelves });
  });
}

/**
 * Shares a shelf with a colleague by their user name, with a right, or (null) not any more. `from`: the right they had,
 * as far as the teacher knows.
 */
export async function shareShelf(
  as: As<Teacher>,
  id: string,
  { username, right, from }: { username: string; right: Right | null; from?: Right | null | undefined },
): Promise<Result<null>> {
  if (!(await ownShelf(as, id))) return fail('notFound');
  const colleague = await as.db.query.user.findFirst({
    where: and(eq(user.username, normalUsername(username)), eq(user.role, 'teacher')),
  });
  if (!colleague || colleague.id === as.person.id)
    return fail('invalid', {
      problems: [{ path: 'username', message: `No colleague has the user name "${username.trim()}".` }],
    });
  if (from !== undefined) {
    const there = await as.db.query.shelfShare.findFirst({
      where: and(eq(shelfShare.shelfId, id), eq(shelfShare.personId, colleague.id)),
    });
    const now = there?.right ?? null;
    if (now !== from && now !== right)
      return fail('changedMeanwhile', { detail: { revision: null, content: { right: now } } });
  }
  if (right === null)
    await as.db.delete(shelfShare).where(and(eq(shelfShare.shelfId, id), eq(shelfShare.personId, colleague.id)));
  else
    await as.db
      .insert(shelfShare)
      .values({ shelfId: id, personId: colleague.id, right })
      .onConflictDoUpdate({ target: [shelfShare.shelfId, shelfShare.personId], set: { right } });
  return ok(null);
}
