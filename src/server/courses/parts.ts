import { and, asc, count, eq, inArray, or, sql } from 'drizzle-orm';
import type { CategoryRow, CourseParts, UnitRow } from '../../contract';
import type { As, Teacher } from '../context';
import type { Database, Transaction } from '../database/open';
import { category, course, courseGroup, groupMember, unit } from '../database/tables';
import { type Failure, fail, ok, type Result } from '../errors';
import { courseOf, isOnRoster } from './access';
import { record } from './audit';

/** The units of a course, in their order. */
export const unitsIn = (db: Database, courseId: string) =>
  db
    .select({ id: unit.id, title: unit.title })
    .from(unit)
    .where(eq(unit.courseId, courseId))
    .orderBy(asc(unit.position));

/** The weight categories of a course, in their order. */
export const categoriesIn = (db: Database, courseId: string) =>
  db
    .select({ id: category.id, title: category.title, weight: category.weight })
    .from(category)
    .where(eq(category.courseId, courseId))
    .orderBy(asc(category.position));

/** The parts of a course: units, weight categories, groups of learners. */
export async function listParts(as: As<Teacher>, courseId: string): Promise<Result<CourseParts>> {
  const { db } = as;
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const { unitsRevision, categoriesRevision } = found.row;
  const [units, categories, groups] = await Promise.all([
    unitsIn(db, courseId),
    categoriesIn(db, courseId),
    db
      .select({
        id: courseGroup.id,
        title: courseGroup.title,
        revision: courseGroup.revision,
        learners: count(groupMember.learnerId),
      })
      .from(courseGroup)
      .leftJoin(groupMember, eq(groupMember.groupId, courseGroup.id))
      .where(eq(courseGroup.courseId, courseId))
      .groupBy(courseGroup.id)
      .orderBy(asc(courseGroup.title)),
  ]);
  return ok({
    units,
    categories,
    groups,
    unitsRevision,
    categoriesRevision,
    zone: found.row.zone,
    releaseDefaults: found.row.releaseDefaults,
  });
}

const refused = (message: string) => fail('invalid', { problems: [{ path: 'id', message }] });

/** The conflict: the list as it is now, and its revision. */
async function movedOn(as: As<Teacher>, courseId: string, what: 'units' | 'categories'): Promise<Failure> {
  const parts = await listParts(as, courseId);
  return parts.ok
    ? fail('changedMeanwhile', {
        detail: { revision: parts.value[`${what}Revision`], content: { [what]: parts.value[what] } },
      })
    : parts;
}

/**
 * Saves the units in the given order. `from`: the revision they were changed on. It removes none: see `removals.ts`.
 */
export async function saveUnits(
  as: As<Teacher>,
  courseId: string,
  units: readonly UnitRow[],
  from?: number,
): Promise<Result<CourseParts>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  if (from !== undefined && found.row.unitsRevision !== from) return movedOn(as, courseId, 'units');
  const there = await as.db
    .select({ id: unit.id, courseId: unit.courseId })
    .from(unit)
    .where(
      or(
        eq(unit.courseId, courseId),
        inArray(
          unit.id,
          units.map(({ id }) => id),
        ),
      ),
    );
  if (there.some((row) => row.courseId !== courseId)) return refused('This unit belongs to another course.');
  if (there.some(({ id }) => !units.some((unit) => unit.id === id)))
    return refused('A unit is removed by itself, not by leaving it out.');
  const saved = await as.db.transaction(async (tx) => {
    if (!(await raise(tx, courseId, 'unitsRevision', from))) return false;
    for (const [position, { id, title }] of units.entries())
      await tx
        .insert(unit)
        .values({ id, courseId, title, position })
        .onConflictDoUpdate({ target: unit.id, set: { title, position } });
    return true;
  });
  return saved ? listParts(as, courseId) : movedOn(as, courseId, 'units');
}

/** Saves the weight categories. A changed weight is recorded, because marks depend on it. */
export async function saveCategories(
  as: As<Teacher>,
  courseId: string,
  categories: readonly CategoryRow[],
  from?: number,
): Promise<Result<CourseParts>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  if (from !== undefined && found.row.categoriesRevision !== from) return movedOn(as, courseId, 'categories');
  const there = await as.db
    .select()
    .from(category)
    .where(
      or(
        eq(category.courseId, courseId),
        inArray(
          category.id,
          categories.map(({ id }) => id),
        ),
      ),
    );
  if (there.some((row) => row.courseId !== courseId)) return refused('This category belongs to another course.');
  if (there.some(({ id }) => !categories.some((category) => category.id === id)))
    return refused('A category is removed by itself, not by leaving it out.');
  const weights = categories.flatMap(({ id, title, weight }) => {
    const before = there.find((row) => row.id === id)?.weight ?? null;
    return before === weight ? [] : [{ title, before, weight }];
  });
  const saved = await as.db.transaction(async (tx) => {
    if (!(await raise(tx, courseId, 'categoriesRevision', from))) return false;
    for (const [position, { id, title, weight }] of categories.entries())
      await tx
        .insert(category)
        .values({ id, courseId, title, weight, position })
        .onConflictDoUpdate({ target: category.id, set: { title, weight, position } });
    if (weights.length > 0) await record({ ...as, db: tx }, { courseId, what: 'categories', detail: { weights } });
    return true;
  });
  return saved ? listParts(as, courseId) : movedOn(as, courseId, 'categories');
}

/** Raises a revision of a course, if the write was made on the present one. */
export async function raise(
  tx: Transaction,
  courseId: string,
  field: 'revision' | 'unitsRevision' | 'categoriesRevision',
  from: number | undefined,
): Promise<boolean> {
  const raised = await tx
    .update(course)
    .set({ [field]: sql`${course[field]} + 1` })
    .where(and(eq(course.id, courseId), from === undefined ? undefined : eq(course[field], from)))
    .returning({ id: course.id });
  return raised.length > 0;
}

/** Makes or renames a group. `from`: the revision it was changed on; null: it is new. */
export async function saveGroup(
  as: As<Teacher>,
  courseId: string,
  { id, title, from }: { id: string; title: string; from?: number | null | undefined },
): Promise<Result<CourseParts>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const there = await as.db.query.courseGroup.findFirst({ where: eq(courseGroup.id, id) });
  if (there && there.courseId !== courseId) return refused('This group belongs to another course.');
  const same = there?.title === title;
  if (!same && from !== undefined) {
    if (there && from === null)
      return fail('changedMeanwhile', { detail: { revision: there.revision, content: { id, title: there.title } } });
    if (!there && from !== null) return fail('changedMeanwhile', { detail: { revision: null, content: null } });
  }
  if (same) return listParts(as, courseId);
  const saved = await as.db
    .insert(courseGroup)
    .values({ id, courseId, title })
    .onConflictDoUpdate({
      target: courseGroup.id,
      set: { title, revision: sql`${courseGroup.revision} + 1` },
      setWhere: typeof from === 'number' ? eq(courseGroup.revision, from) : undefined,
    })
    .returning({ id: courseGroup.id });
  if (saved.length > 0) return listParts(as, courseId);
  const now = await as.db.query.courseGroup.findFirst({ where: eq(courseGroup.id, id) });
  return fail('changedMeanwhile', {
    detail: { revision: now?.revision ?? null, content: now ? { id, title: now.title } : null },
  });
}

/** Puts a learner of the course into a group, or takes them out. */
export async function setMember(
  as: As<Teacher>,
  courseId: string,
  groupId: string,
  learnerId: string,
  isIn: boolean,
): Promise<Result<null>> {
  const { db } = as;
  const group = await db.query.courseGroup.findFirst({
    where: and(eq(courseGroup.id, groupId), eq(courseGroup.courseId, courseId)),
  });
  if (!(await courseOf(as, courseId)) || !group || !(await isOnRoster(as, courseId, learnerId)))
    return fail('notFound');
  if (isIn) await db.insert(groupMember).values({ groupId, learnerId }).onConflictDoNothing();
  else await db.delete(groupMember).where(and(eq(groupMember.groupId, groupId), eq(groupMember.learnerId, learnerId)));
  return ok(null);
}
