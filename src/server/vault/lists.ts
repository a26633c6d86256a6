import { and, desc, eq } from 'drizzle-orm';
import type { As, Teacher } from '../context';
import { stockList } from '../database/tables';
import { fail, ok, type Result } from '../errors';

export interface ListRow {
  id: string;
  title: string;
  /** Of words, pairs or more: the cells of each line. */
  rows: readonly (readonly string[])[];
  changedAt: Date;
}

/** The teacher's stock lists, the one changed last first. */
export async function listLists({ db, person }: As<Teacher>): Promise<ListRow[]> {
  const found = await db.query.stockList.findMany({ where: eq(stockList.ownerId, person.id), orderBy: desc(stockList.changedAt) });
  return found.map(({ id, title, rows, changedAt }) => ({ id, title, rows, changedAt }));
}

/** A new list. `id` is the client's, so that making it twice makes it once. */
export async function makeList(as: As<Teacher>, { id, title, rows }: { id: string; title: string; rows: string[][] }): Promise<Result<{ id: string }>> {
  const at = as.now();
  await as.db.insert(stockList).values({ id, title, rows, ownerId: as.person.id, createdAt: at, changedAt: at }).onConflictDoNothing();
  return (await own(as, id)) ? ok({ id }) : fail('notFound');
}

/** Keeps a list as it is given. */
export async function keepList(as: As<Teacher>, id: string, { title, rows }: { title: string; rows: string[][] }): Promise<Result<{ id: string }>> {
  if (!(await own(as, id))) return fail('notFound');
  await as.db.update(stockList).set({ title, rows, changedAt: as.now() }).where(eq(stockList.id, id));
  return ok({ id });
}

/** Takes a list away; the questions made from it stay as they are. */
export async function removeList(as: As<Teacher>, id: string): Promise<Result<null>> {
  await as.db.delete(stockList).where(and(eq(stockList.id, id), eq(stockList.ownerId, as.person.id)));
  return ok(null);
}

const own = ({ db, person }: As<Teacher>, id: string) => db.query.stockList.findFirst({ where: and(eq(stockList.id, id), eq(stockList.ownerId, person.id)) });
