import { and, eq, inArray } from 'drizzle-orm';
import type { Question } from '../../core';
import type { As, Teacher } from '../context';
import { medium, question, type Right } from '../database/tables';
import { type Access, allows, shelvesSeen } from './shelves';

type Row = typeof question.$inferSelect;

/** A question the teacher may do so much with: their own, or on a shelf that is shared with them. What was deleted is its owner's alone. */
export async function accessTo(as: As<Teacher>, id: string, right: Right): Promise<{ row: Row; access: Access } | null> {
  const row = await as.db.query.question.findFirst({ where: eq(question.id, id) });
  if (!row) return null;
  if (row.ownerId === as.person.id) return { row, access: 'own' };
  if (row.deletedAt || row.shelfId === null) return null;
  const access = (await shelvesSeen(as)).get(row.shelfId)?.access;
  return access && allows(access, right) ? { row, access } : null;
}

/** The media of a question become the teacher's own too: their bytes are kept once, whoever's they are. */
export async function adoptMedia({ db, person, now }: As<Teacher>, { media }: Pick<Question, 'media'>, ownerId: string): Promise<void> {
  const hashes = [...new Set(Object.values(media).map(({ hash }) => hash))];
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
