import { and, asc, countDistinct, eq, isNotNull } from 'drizzle-orm';
import type { GoesOutside } from '../../contract';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { ltiContext, ltiLine, ltiLinePerson, outbox, platform, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';

/** What of a course goes to platforms, for its teachers to show. */
export async function goesOutside(as: As<Teacher>, courseId: string): Promise<Result<GoesOutside>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const contexts = await as.db
    .select({ id: ltiContext.id, name: platform.name, issuer: platform.issuer, roster: ltiContext.membershipsUrl })
    .from(ltiContext)
    .innerJoin(platform, eq(platform.id, ltiContext.platformId))
    .where(eq(ltiContext.courseId, courseId))
    .orderBy(asc(platform.name));
  const platforms = await Promise.all(
    contexts.map(async ({ id, name, issuer, roster }) => {
      const [releases, [people], [arrived]] = await Promise.all([
        as.db
          .selectDistinct({ title: release.title })
          .from(ltiLine)
          .innerJoin(release, eq(release.id, ltiLine.releaseId))
          .where(and(eq(ltiLine.contextId, id), eq(ltiLine.takesScores, true), eq(release.practice, false)))
          .orderBy(asc(release.title)),
        as.db
          .select({ n: countDistinct(ltiLinePerson.learnerId) })
          .from(ltiLinePerson)
          .innerJoin(ltiLine, eq(ltiLine.id, ltiLinePerson.lineId))
          .where(eq(ltiLine.contextId, id)),
        as.db
          .select({ n: countDistinct(outbox.id) })
          .from(outbox)
          .innerJoin(ltiLine, and(eq(outbox.kind, 'score'), eq(outbox.place, ltiLine.id)))
          .where(and(eq(ltiLine.contextId, id), isNotNull(outbox.body))),
      ]);
      return {
        ...{ name, issuer, roster: roster !== null, releases: releases.map(({ title }) => title) },
        ...{ learners: people?.n ?? 0, arrived: arrived?.n ?? 0 },
      };
    }),
  );
  return ok({ platforms });
}
