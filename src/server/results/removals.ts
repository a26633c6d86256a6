import { and, eq, inArray, isNull, or } from 'drizzle-orm';
import type { CourseParts, Removable, RemovalEffects } from '../../contract';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { record } from '../courses/audit';
import { listParts, raise } from '../courses/parts';
import type { Database } from '../database/open';
import {
  category,
  courseGroup,
  groupMember,
  type Removed,
  release,
  releaseFor,
  removal,
  unit,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { overallMarks } from './gradebook';

async function found(
  db: Pick<Database, 'select'>,
  courseId: string,
  kind: Removable,
  id: string,
): Promise<Removed | null> {
  const table = { unit, category, group: courseGroup }[kind];
  const [row] = await db
    .select()
    .from(table)
    .where(and(eq(table.id, id), eq(table.courseId, courseId)));
  if (!row) return null;
  const naming =
    kind === 'group'
      ? await db.select({ id: releaseFor.releaseId }).from(releaseFor).where(eq(releaseFor.groupId, id))
      : await db
          .select({ id: release.id })
          .from(release)
          .where(eq(kind === 'unit' ? release.unitId : release.categoryId, id));
  const learners =
    kind === 'group'
      ? await db.select({ id: groupMember.learnerId }).from(groupMember).where(eq(groupMember.groupId, id))
      : [];
  const { title, weight, position } = row as { title: string; weight?: number; position?: number };
  return {
    row: { id, title, ...(weight === undefined ? {} : { weight }), ...(position === undefined ? {} : { position }) },
    releases: naming.map((one) => one.id),
    learners: learners.map((learner) => learner.id),
  };
}

/** A preview of the removal. */
export async function removalEffects(
  as: As<Teacher>,
  courseId: string,
  kind: Removable,
  id: string,
): Promise<Result<RemovalEffects>> {
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const removed = await found(db, courseId, kind, id);
  if (!removed) return fail('notFound');
  const releases =
    removed.releases.length === 0
      ? []
      : await db
          .select({ id: release.id, title: release.title })
          .from(release)
          .where(inArray(release.id, [...removed.releases]));
  const others =
    kind === 'group' && releases.length > 0
      ? await db
          .select()
          .from(releaseFor)
          .where(
            inArray(
              releaseFor.releaseId,
              releases.map((release) => release.id),
            ),
          )
      : [];
  const forNobody =
    kind === 'group'
      ? releases
          .filter((release) => !others.some((row) => row.releaseId === release.id && row.groupId !== id))
          .map(({ title }) => title)
      : [];
  return ok({
    releases,
    learners: removed.learners.length,
    forNobody,
    marks: kind === 'category' ? await marksWithout(as, courseId, id) : [],
  });
}

const MAX_MARKS = 2000;

async function marksWithout(as: As<Teacher>, courseId: string, categoryId: string): Promise<RemovalEffects['marks']> {
  const before = await overallMarks(as, courseId);
  const after = new Map(
    (await overallMarks(as, courseId, categoryId)).map((overallMark) => [overallMark.learnerId, overallMark.overall]),
  );
  return before
    .flatMap(({ learnerId, name, overall }) => {
      const then = after.get(learnerId) ?? null;
      return then === overall ? [] : [{ learnerId, name, before: overall, after: then }];
    })
    .slice(0, MAX_MARKS);
}

/**
 * Removes the part; what referred to it stays without. `id` is made by the client, so that a repeated request removes
 * once, and undoing can name it.
 */
export async function remove(
  as: As<Teacher>,
  courseId: string,
  asked: { id: string; kind: Removable; of: string },
): Promise<Result<CourseParts>> {
  const { db, person, now } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const done = await db.transaction(async (tx) => {
    const removed = await found(tx, courseId, asked.kind, asked.of);
    if (!removed)
      return (
        (await tx.query.removal.findFirst({ where: and(eq(removal.id, asked.id), eq(removal.courseId, courseId)) })) !==
        undefined
      );
    const table = { unit, category, group: courseGroup }[asked.kind];
    await tx.delete(table).where(eq(table.id, asked.of));
    if (asked.kind === 'unit') await raise(tx, courseId, 'unitsRevision', undefined);
    if (asked.kind === 'category') await raise(tx, courseId, 'categoriesRevision', undefined);
    await tx
      .insert(removal)
      .values({ id: asked.id, courseId, kind: asked.kind, content: removed, by: person.id, at: now() });
    await record(
      { ...as, db: tx },
      {
        courseId,
        what: 'removed',
        detail: {
          kind: asked.kind,
          title: removed.row.title,
          releases: removed.releases.length,
          learners: removed.learners.length,
        },
      },
    );
    return true;
  });
  return done ? listParts(as, courseId) : fail('notFound');
}

/**
 * Undoes a removal: the part is there again, and what referred to it does so again, if it has not got another since.
 */
export async function undoRemoval(as: As<Teacher>, courseId: string, id: string): Promise<Result<CourseParts>> {
  const { db, now } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const row = await db.query.removal.findFirst({ where: and(eq(removal.id, id), eq(removal.courseId, courseId)) });
  if (!row) return fail('notFound');
  if (row.undoneAt) return listParts(as, courseId);
  const { kind, content } = row;
  const { id: of, title, weight = 0, position = 0 } = content.row;
  const releases = [...content.releases];
  await db.transaction(async (tx) => {
    if (kind === 'group') {
      await tx.insert(courseGroup).values({ id: of, courseId, title }).onConflictDoNothing();
      const there = await tx
        .select({ id: release.id })
        .from(release)
        .where(and(inArray(release.id, releases), eq(release.everyone, false)));
      if (there.length > 0)
        await tx
          .insert(releaseFor)
          .values(there.map((row) => ({ releaseId: row.id, groupId: of, learnerId: null })))
          .onConflictDoNothing();
      if (content.learners.length > 0)
        await tx
          .insert(groupMember)
          .values(content.learners.map((learnerId) => ({ groupId: of, learnerId })))
          .onConflictDoNothing();
    } else if (kind === 'unit') {
      await tx.insert(unit).values({ id: of, courseId, title, position }).onConflictDoNothing();
      await tx
        .update(release)
        .set({ unitId: of })
        .where(and(inArray(release.id, releases), isNull(release.unitId)));
      await raise(tx, courseId, 'unitsRevision', undefined);
    } else {
      await tx.insert(category).values({ id: of, courseId, title, weight, position }).onConflictDoNothing();
      await tx
        .update(release)
        .set({ categoryId: of })
        .where(and(inArray(release.id, releases), or(isNull(release.categoryId), eq(release.categoryId, of))));
      await raise(tx, courseId, 'categoriesRevision', undefined);
    }
    await tx.update(removal).set({ undoneAt: now() }).where(eq(removal.id, id));
    await record({ ...as, db: tx }, { courseId, what: 'removalUndone', detail: { kind, title } });
  });
  return listParts(as, courseId);
}
