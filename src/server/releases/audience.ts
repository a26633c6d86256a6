import { and, eq, exists, isNull, or, type SQL, sql } from 'drizzle-orm';
import type { Appearance, Counts } from '../../contract';
import type { As, Context, Learner } from '../context';
import type { Database } from '../database/open';
import { allowance, course, courseLearner, groupMember, release, releaseFor } from '../database/tables';
import { type Time, timeFor } from './time';

/** The condition that a release is assigned to a learner: to the whole course, to one of their groups, or to them. */
export const isAssignedTo = (db: Database, learnerId: string | SQL) =>
  or(
    release.everyone,
    exists(
      db
        .select({ one: sql`1` })
        .from(releaseFor)
        .leftJoin(groupMember, eq(groupMember.groupId, releaseFor.groupId))
        .where(
          and(
            eq(releaseFor.releaseId, release.id),
            or(eq(releaseFor.learnerId, learnerId), eq(groupMember.learnerId, learnerId)),
          ),
        ),
    ),
  );

/** The condition that a learner sees a release: it is assigned to them, and not withdrawn. */
export const isShownTo = (db: Database, learnerId: string | SQL) =>
  and(isNull(release.withdrawnAt), isAssignedTo(db, learnerId));

/** A release a learner may open, with their own dates and time. */
export interface AccessibleRelease extends Time {
  readonly release: string;
  readonly course: string;
  /** The course's language; null: none is said. */
  readonly courseLang: string | null;
  readonly appearance: Appearance;
  readonly opensAt: Date | null;
  /** How many attempts they may have; null: any number. */
  readonly sittings: number | null;
  readonly counts: Counts;
}

export async function accessibleRelease(
  { db, person }: Pick<As<Learner>, keyof Context | 'person'>,
  releaseId: string,
): Promise<AccessibleRelease | null> {
  const [found] = await db
    .select({
      release: release.title,
      course: course.title,
      courseLang: course.lang,
      appearance: course.appearance,
      opensAt: release.opensAt,
      closesAt: release.closesAt,
      minutes: release.minutes,
      sittings: release.sittings,
      counts: release.counts,
      moreMinutes: allowance.moreMinutes,
      moreSittings: allowance.moreSittings,
      closesLater: allowance.closesAt,
    })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(courseLearner, and(eq(courseLearner.courseId, course.id), eq(courseLearner.learnerId, person.id)))
    .leftJoin(allowance, and(eq(allowance.releaseId, release.id), eq(allowance.learnerId, person.id)))
    .where(and(eq(release.id, releaseId), isNull(course.archivedAt), isShownTo(db, person.id)));
  if (!found) return null;
  const { moreMinutes, moreSittings, closesLater, closesAt, minutes, sittings, ...rest } = found;
  return {
    ...rest,
    ...timeFor({ closesAt, minutes }, { moreMinutes, closesAt: closesLater }),
    sittings: sittings === null ? null : sittings + (moreSittings ?? 0),
  };
}

/** The learners a release is assigned to; null: the whole course. */
export async function eligibleLearners(
  db: Database,
  { id, everyone }: { readonly id: string; readonly everyone: boolean },
): Promise<ReadonlySet<string> | null> {
  if (everyone) return null;
  const rows = await db
    .select({ learnerId: releaseFor.learnerId, member: groupMember.learnerId })
    .from(releaseFor)
    .leftJoin(groupMember, eq(groupMember.groupId, releaseFor.groupId))
    .where(eq(releaseFor.releaseId, id));
  return new Set(rows.flatMap(({ learnerId, member }) => learnerId ?? member ?? []));
}
