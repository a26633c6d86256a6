import { and, eq, inArray, sql } from 'drizzle-orm';
import type { MediaUsage } from '../../contract';
import type { As, Context, Teacher } from '../context';
import { medium } from '../database/tables';
import { ok, type Result } from '../errors';

/** How many bytes of media a teacher has. */
export async function mediaUsed({ db }: Pick<Context, 'db'>, ownerId: string): Promise<number> {
  const [row] = await db
    .select({ bytes: sql<number>`coalesce(sum(${medium.weight}), 0)` })
    .from(medium)
    .where(eq(medium.ownerId, ownerId));
  return row?.bytes ?? 0;
}

/** The hashes of a teacher's media that are in use: by a question (deleted ones too), a set, a list, or a release. */
const usedBy = (ownerId: string) => sql`(
  select m.value ->> '$.hash' from question, json_each(question.document, '$.media') m where question.owner_id = ${ownerId}
  union select s.value ->> '$.medium.hash' from question_set, json_each(question_set.sources) s where question_set.owner_id = ${ownerId} and s.value ->> '$.medium.hash' is not null
  union select p.value ->> '$.hash' from stock_list, json_each(stock_list.pictures) p where stock_list.owner_id = ${ownerId}
  union select m.value ->> '$.hash' from edition join release on release.id = edition.release_id, json_each(edition.content, '$.questions') q, json_each(q.value, '$.media') m where release.released_by = ${ownerId}
  union select s.value ->> '$.medium.hash' from edition join release on release.id = edition.release_id, json_each(edition.content, '$.sources') s where release.released_by = ${ownerId} and s.value ->> '$.medium.hash' is not null
)`;

async function unusedOf({ db, person }: As<Teacher>): Promise<{ hash: string; weight: number }[]> {
  return db
    .select({ hash: medium.hash, weight: medium.weight })
    .from(medium)
    .where(and(eq(medium.ownerId, person.id), sql`${medium.hash} not in ${usedBy(person.id)}`));
}

export async function mediaUsage(as: As<Teacher>): Promise<Result<MediaUsage>> {
  const unused = await unusedOf(as);
  return ok({
    used: await mediaUsed(as, as.person.id),
    quota: as.config.mediaQuota,
    unused: { files: unused.length, bytes: unused.reduce((sum, { weight }) => sum + weight, 0) },
  });
}

const AT_ONCE = 500;

/** Deletes the teacher's unused media, and their bytes if nobody else has them. */
export async function clearUnused(as: As<Teacher>): Promise<Result<MediaUsage>> {
  const unused = (await unusedOf(as)).map(({ hash }) => hash);
  for (let from = 0; from < unused.length; from += AT_ONCE) {
    const some = unused.slice(from, from + AT_ONCE);
    // Checked again in the deleting statement: something may have started to use one meanwhile.
    const gone = await as.db
      .delete(medium)
      .where(
        and(
          eq(medium.ownerId, as.person.id),
          inArray(medium.hash, some),
          sql`${medium.hash} not in ${usedBy(as.person.id)}`,
        ),
      )
      .returning({ hash: medium.hash });
    for (const { hash } of gone)
      if (!(await as.db.query.medium.findFirst({ columns: { hash: true }, where: eq(medium.hash, hash) })))
        await as.files.remove(hash);
  }
  return mediaUsage(as);
}
