import { and, asc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import type { InvitationRow } from '../../contract';
import { installationSettings } from '../accounts/installation';
import type { As, Context, Learner, Teacher } from '../context';
import { user } from '../database/accountTables';
import type { Queries } from '../database/open';
import { course, courseGroup, courseInvitation, courseLearner, groupMember } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { isTaughtBy } from './access';

/** Those of some accounts that the teacher knows: they made the account, or teach that learner in another course. */
export async function knownLearners(as: As<Teacher>, ids: readonly string[]): Promise<ReadonlySet<string>> {
  const known = new Set<string>();
  for (let from = 0; from < ids.length; from += 500) {
    const some = ids.slice(from, from + 500);
    const rows = await as.db
      .select({ id: user.id })
      .from(user)
      .where(
        and(
          inArray(user.id, some),
          or(
            eq(user.madeBy, as.person.id),
            inArray(
              user.id,
              as.db
                .select({ id: courseLearner.learnerId })
                .from(courseLearner)
                .innerJoin(course, eq(course.id, courseLearner.courseId))
                .where(isTaughtBy(as)),
            ),
          ),
        ),
      );
    for (const { id } of rows) known.add(id);
  }
  return known;
}

/** True if the teacher may enrol an account at once. Otherwise its owner is invited. */
export async function mayEnrol(as: As<Teacher>, ids: readonly string[]): Promise<(id: string) => boolean> {
  if ((await installationSettings(as)).directEnrolment) return () => true;
  const known = await knownLearners(as, ids);
  return (id) => known.has(id);
}

/** Rows written by one statement. */
const AT_ONCE = 200;

/** Invites learners to a course. Repeating it changes only the groups they would join. */
export async function invite(
  { db, person, now }: Pick<As<Teacher>, 'person' | 'now'> & { readonly db: Queries },
  courseId: string,
  learners: readonly { readonly id: string; readonly groups: readonly string[] }[],
): Promise<void> {
  const rows = learners.map(({ id, groups }) => ({
    courseId,
    learnerId: id,
    by: person.id,
    at: now(),
    groups: [...groups],
  }));
  for (let i = 0; i < rows.length; i += AT_ONCE)
    await db
      .insert(courseInvitation)
      .values(rows.slice(i, i + AT_ONCE))
      .onConflictDoUpdate({
        target: [courseInvitation.courseId, courseInvitation.learnerId],
        set: { groups: sql`excluded.groups` },
      });
}

/** The invitations of a learner. */
export const listInvitations = ({
  db,
  person,
}: Pick<As<Learner>, 'person' | keyof Context>): Promise<InvitationRow[]> =>
  db
    .select({ courseId: course.id, course: course.title, teacher: user.name })
    .from(courseInvitation)
    .innerJoin(course, eq(course.id, courseInvitation.courseId))
    .innerJoin(user, eq(user.id, courseInvitation.by))
    .where(and(eq(courseInvitation.learnerId, person.id), isNull(course.archivedAt)))
    .orderBy(asc(course.title));

/** The learner accepts an invitation, and is enrolled, or declines it. */
export async function answerInvitation(
  { db, person, now }: As<Learner>,
  courseId: string,
  yes: boolean,
): Promise<Result<null>> {
  const learnerId = person.id;
  return db.transaction(async (tx): Promise<Result<null>> => {
    const [asked] = await tx
      .delete(courseInvitation)
      .where(and(eq(courseInvitation.courseId, courseId), eq(courseInvitation.learnerId, learnerId)))
      .returning({ groups: courseInvitation.groups });
    const isIn =
      (await tx.query.courseLearner.findFirst({
        where: and(eq(courseLearner.courseId, courseId), eq(courseLearner.learnerId, learnerId)),
      })) !== undefined;
    if (!asked) return isIn && yes ? ok(null) : fail('notFound');
    if (!yes) return ok(null);
    await tx.insert(courseLearner).values({ courseId, learnerId, addedAt: now() }).onConflictDoNothing();
    const groups = await tx
      .select({ id: courseGroup.id })
      .from(courseGroup)
      .where(and(eq(courseGroup.courseId, courseId), inArray(courseGroup.id, asked.groups)));
    if (groups.length > 0)
      await tx
        .insert(groupMember)
        .values(groups.map(({ id }) => ({ groupId: id, learnerId })))
        .onConflictDoNothing();
    return ok(null);
  });
}

/** The number of open invitations to a course. */
export async function countInvited({ db }: Pick<Context, 'db'>, courseId: string): Promise<number> {
  const [row] = await db
    .select({ n: sql<number>`count(*)` })
    .from(courseInvitation)
    .where(eq(courseInvitation.courseId, courseId));
  return row?.n ?? 0;
}
