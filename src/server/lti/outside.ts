import { and, asc, countDistinct, eq, isNotNull, sql } from 'drizzle-orm';
import type { GoesOutside } from '../../contract';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { ltiContext, ltiLine, ltiLinePerson, outbox, platform, recordStore, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';

/** What of a course goes to platforms and to the record store, for its teachers to show. */
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
  return ok({ platforms, store: await storeOf(as, courseId) });
}

/** What goes to the record store of the installation; null: there is none. */
async function storeOf({ db }: Pick<As<Teacher>, 'db'>, courseId: string): Promise<GoesOutside['store']> {
  const [store] = await db.select().from(recordStore);
  if (!store) return null;
  const learner = sql`substr(${outbox.subject}, 1, instr(${outbox.subject}, '/') - 1)`;
  const [people] = await db
    .select({ n: sql<number>`count(distinct ${learner})` })
    .from(outbox)
    .innerJoin(release, sql`${release.id} = substr(${outbox.subject}, instr(${outbox.subject}, '/') + 1)`)
    .where(and(eq(outbox.kind, 'statement'), eq(release.courseId, courseId), isNotNull(outbox.body)));
  const { address, names, since } = store;
  return { address, names, since, learners: people?.n ?? 0 };
}
