import { and, asc, count, eq, inArray, notInArray } from 'drizzle-orm';
import type { As, Teacher } from '../context';
import { category, courseGroup, groupMember, unit } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { courseOf, isOnRoster } from './access';

export interface UnitRow {
  readonly id: string;
  readonly title: string;
}
export interface CategoryRow extends UnitRow {
  readonly weight: number;
}
export interface GroupRow extends UnitRow {
  readonly learners: number;
}
export interface CourseParts {
  units: UnitRow[];
  categories: CategoryRow[];
  groups: GroupRow[];
}

/** What a course is divided into: units, weight categories, groups of learners. */
export async function listParts(as: As<Teacher>, courseId: string): Promise<Result<CourseParts>> {
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const [units, categories, groups] = await Promise.all([
    db.select({ id: unit.id, title: unit.title }).from(unit).where(eq(unit.courseId, courseId)).orderBy(asc(unit.position)),
    db.select({ id: category.id, title: category.title, weight: category.weight }).from(category).where(eq(category.courseId, courseId)).orderBy(asc(category.position)),
    db
      .select({ id: courseGroup.id, title: courseGroup.title, learners: count(groupMember.learnerId) })
      .from(courseGroup)
      .leftJoin(groupMember, eq(groupMember.groupId, courseGroup.id))
      .where(eq(courseGroup.courseId, courseId))
      .groupBy(courseGroup.id)
      .orderBy(asc(courseGroup.title)),
  ]);
  return ok({ units, categories, groups });
}

const ofAnother = (what: string) => fail('invalid', { problems: [{ path: 'id', message: `This ${what} belongs to another course.` }] });

/** Keeps the units as they are given, in their order. One that is left out goes; its releases stay, in no unit. */
export async function keepUnits(as: As<Teacher>, courseId: string, units: readonly UnitRow[]): Promise<Result<CourseParts>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const ids = units.map(({ id }) => id);
  const taken = ids.length === 0 ? [] : await as.db.select({ courseId: unit.courseId }).from(unit).where(inArray(unit.id, ids));
  if (taken.some((one) => one.courseId !== courseId)) return ofAnother('unit');
  await as.db.transaction(async (tx) => {
    await tx.delete(unit).where(and(eq(unit.courseId, courseId), notInArray(unit.id, ids)));
    for (const [position, { id, title }] of units.entries())
      await tx.insert(unit).values({ id, courseId, title, position }).onConflictDoUpdate({ target: unit.id, set: { title, position } });
  });
  return listParts(as, courseId);
}

/** Keeps the weight categories as they are given. One that is left out goes; its releases stay, in none. */
export async function keepCategories(as: As<Teacher>, courseId: string, categories: readonly CategoryRow[]): Promise<Result<CourseParts>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const ids = categories.map(({ id }) => id);
  const taken = ids.length === 0 ? [] : await as.db.select({ courseId: category.courseId }).from(category).where(inArray(category.id, ids));
  if (taken.some((one) => one.courseId !== courseId)) return ofAnother('category');
  await as.db.transaction(async (tx) => {
    await tx.delete(category).where(and(eq(category.courseId, courseId), notInArray(category.id, ids)));
    for (const [position, { id, title, weight }] of categories.entries())
      await tx.insert(category).values({ id, courseId, title, weight, position }).onConflictDoUpdate({ target: category.id, set: { title, weight, position } });
  });
  return listParts(as, courseId);
}

/** Makes a group, or names it anew. */
export async function keepGroup(as: As<Teacher>, courseId: string, id: string, title: string): Promise<Result<CourseParts>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const there = await as.db.query.courseGroup.findFirst({ where: eq(courseGroup.id, id) });
  if (there && there.courseId !== courseId) return ofAnother('group');
  await as.db.insert(courseGroup).values({ id, courseId, title }).onConflictDoUpdate({ target: courseGroup.id, set: { title } });
  return listParts(as, courseId);
}

/** A learner of the course is in a group, or no longer. */
export async function setMember(as: As<Teacher>, courseId: string, groupId: string, learnerId: string, isIn: boolean): Promise<Result<null>> {
  const { db } = as;
  const group = await db.query.courseGroup.findFirst({ where: and(eq(courseGroup.id, groupId), eq(courseGroup.courseId, courseId)) });
  if (!(await courseOf(as, courseId)) || !group || !(await isOnRoster(as, courseId, learnerId))) return fail('notFound');
  if (isIn) await db.insert(groupMember).values({ groupId, learnerId }).onConflictDoNothing();
  else await db.delete(groupMember).where(and(eq(groupMember.groupId, groupId), eq(groupMember.learnerId, learnerId)));
  return ok(null);
}

/** A group goes; its learners stay. A release that was for it alone is for nobody then. */
export async function removeGroup(as: As<Teacher>, courseId: string, id: string): Promise<Result<CourseParts>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  await as.db.delete(courseGroup).where(and(eq(courseGroup.id, id), eq(courseGroup.courseId, courseId)));
  return listParts(as, courseId);
}
