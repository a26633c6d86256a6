import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { ListRow } from '../../contract';
import type { WordPicture } from '../../core/kinds';
import type { As, Teacher } from '../context';
import { medium, stockList } from '../database/tables';
import { type Failure, fail, ok, type Result } from '../errors';

interface Content {
  readonly title: string;
  readonly rows: string[][];
  readonly pictures?: WordPicture[] | undefined;
}

/** The teacher's stock lists, latest change first. */
export async function listLists({ db, person }: As<Teacher>): Promise<ListRow[]> {
  const found = await db.query.stockList.findMany({
    where: eq(stockList.ownerId, person.id),
    orderBy: desc(stockList.changedAt),
  });
  return found.map(({ id, title, rows, pictures, changedAt, revision }) => ({
    id,
    title,
    rows,
    pictures,
    changedAt,
    revision,
  }));
}

/** A new list. `id` is made by the client, so that a repeated request makes one. */
export async function makeList(
  as: As<Teacher>,
  { id, title, rows, pictures = [] }: Content & { readonly id: string },
): Promise<Result<{ id: string }>> {
  const problems = await pictureProblems(as, pictures);
  if (problems.length > 0) return fail('invalid', { problems });
  const at = as.now();
  await as.db
    .insert(stockList)
    .values({ id, title, rows, pictures, ownerId: as.person.id, createdAt: at, changedAt: at })
    .onConflictDoNothing();
  return (await own(as, id)) ? ok({ id }) : fail('notFound');
}

/** Saves a list; `from`: the revision it was changed on. */
export async function saveList(
  as: As<Teacher>,
  id: string,
  { title, rows, pictures = [] }: Content,
  from?: number,
): Promise<Result<{ id: string; revision: number }>> {
  const there = await own(as, id);
  if (!there) return fail('notFound');
  if (from !== undefined && there.revision !== from) return movedOn(there);
  const problems = await pictureProblems(as, pictures);
  if (problems.length > 0) return fail('invalid', { problems });
  const [saved] = await as.db
    .update(stockList)
    .set({ title, rows, pictures, changedAt: as.now(), revision: sql`${stockList.revision} + 1` })
    .where(and(eq(stockList.id, id), from === undefined ? undefined : eq(stockList.revision, from)))
    .returning({ revision: stockList.revision });
  if (saved) return ok({ id, revision: saved.revision });
  const now = await own(as, id);
  return now ? movedOn(now) : fail('notFound');
}

const movedOn = ({ revision, title, rows, pictures }: typeof stockList.$inferSelect): Failure =>
  fail('changedMeanwhile', { detail: { revision, content: { title, rows, pictures } } });

/** Deletes a list; questions made from it stay as they are. */
export async function removeList(as: As<Teacher>, id: string): Promise<Result<null>> {
  await as.db.delete(stockList).where(and(eq(stockList.id, id), eq(stockList.ownerId, as.person.id)));
  return ok(null);
}

/** Each picture has to be one of the teacher's own media. */
async function pictureProblems(
  { db, person }: As<Teacher>,
  pictures: readonly WordPicture[],
): Promise<{ path: string; message: string }[]> {
  if (pictures.length === 0) return [];
  const hashes = [...new Set(pictures.map(({ hash }) => hash))];
  const known = await db.query.medium.findMany({
    where: and(eq(medium.ownerId, person.id), eq(medium.kind, 'picture'), inArray(medium.hash, hashes)),
  });
  const own = new Set(known.map(({ hash }) => hash));
  return pictures.flatMap(({ hash }, i) =>
    own.has(hash) ? [] : [{ path: `pictures[${i}]`, message: 'This picture is not among your media.' }],
  );
}

const own = ({ db, person }: As<Teacher>, id: string) =>
  db.query.stockList.findFirst({ where: and(eq(stockList.id, id), eq(stockList.ownerId, person.id)) });
