import { and, eq, inArray } from 'drizzle-orm';
import type { Access, Right } from '../../contract';
import type { Question } from '../../core';
import type { As, Teacher } from '../context';
import { medium, question } from '../database/tables';
import { allows, shelvesSeen } from './shelves';

type Row = typeof question.$inferSelect;

/**
 * A question for which the teacher has the right: their own, or on a shelf shared with them. Deleted questions are the
 * owner's alone.
 */
export async function accessTo(
  as: As<Teacher>,
  id: string,
  right: Right,
): Promise<{ row: Row; access: Access } | null> {
  return (await accessToMany(as, [id], right)).get(id) ?? null;
}

/** As {@link accessTo}, of many questions at once; those without the right are left out. By their ids. */
export async function accessToMany(
  as: As<Teacher>,
  ids: readonly string[],
  right: Right,
): Promise<Map<string, { row: Row; access: Access }>> {
  const rows = await as.db.query.question.findMany({ where: inArray(question.id, [...ids]) });
  const seen = await shelvesSeen(as);
  return new Map(
    rows.flatMap((row) => {
      const access = row.ownerId === as.person.id ? 'own' : accessOnShelf(row, seen);
      return access && allows(access, right) ? [[row.id, { row, access }] as const] : [];
    }),
  );
}

const accessOnShelf = ({ deletedAt, shelfId }: Row, seen: Awaited<ReturnType<typeof shelvesSeen>>): Access | null =>
  deletedAt || shelfId === null ? null : (seen.get(shelfId)?.access ?? null);

/** Adds the media of a question to the teacher's own. */
export const adoptMedia = (as: As<Teacher>, { media }: Pick<Question, 'media'>, ownerId: string): Promise<void> =>
  adoptFiles(
    as,
    Object.values(media).map(({ hash }) => hash),
    ownerId,
  );

/** Adds somebody's files to the teacher's own. Their bytes are stored once. */
export async function adoptFiles(
  { db, person, now }: As<Teacher>,
  files: readonly string[],
  ownerId: string,
): Promise<void> {
  const hashes = [...new Set(files)];
  if (ownerId === person.id || hashes.length === 0) return;
  const rows = await db
    .select()
    .from(medium)
    .where(and(eq(medium.ownerId, ownerId), inArray(medium.hash, hashes)));
  if (rows.length > 0)
    await db
      .insert(medium)
      .values(rows.map((row) => ({ ...row, ownerId: person.id, createdAt: now() })))
      .onConflictDoNothing();
}

/**
 * Adds the colleague's media in a question to its owner's, so that everybody who uses the question can see them.
 * Returns those that neither has.
 */
export async function shareMedia(
  { db, person, now }: As<Teacher>,
  hashes: readonly string[],
  ownerId: string,
): Promise<readonly string[]> {
  if (hashes.length === 0) return [];
  const rows = await db
    .select()
    .from(medium)
    .where(and(inArray(medium.ownerId, [ownerId, person.id]), inArray(medium.hash, [...hashes])));
  const owned = new Set(rows.flatMap((row) => (row.ownerId === ownerId ? [row.hash] : [])));
  const given = rows.filter((row) => !owned.has(row.hash));
  if (given.length > 0)
    await db
      .insert(medium)
      .values(given.map((row) => ({ ...row, ownerId, createdAt: now() })))
      .onConflictDoNothing();
  const known = new Set(rows.map(({ hash }) => hash));
  return hashes.filter((hash) => !known.has(hash));
}
