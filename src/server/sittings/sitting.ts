import { randomBytes, randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { As, Learner } from '../context';
import { course, courseLearner, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { standingOf } from './standing';
import { type SittingView, viewOf } from './view';

/** The learner opens a release: their sitting of it, begun now or gone on with. */
export async function sit(as: As<Learner>, releaseId: string): Promise<Result<SittingView>> {
  const { db, person, now } = as;
  const [found] = await db
    .select({ title: release.title, course: course.title })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(courseLearner, eq(courseLearner.courseId, course.id))
    .where(and(eq(release.id, releaseId), eq(courseLearner.learnerId, person.id)));
  if (!found) return fail('notFound');
  const begun = { id: randomUUID(), releaseId, learnerId: person.id, number: 1, seed: randomBytes(12).toString('base64url'), startedAt: now() };
  // Two tabs opened at once begin one sitting.
  await db.insert(sitting).values(begun).onConflictDoNothing();
  const mine = await db.query.sitting.findFirst({ where: and(eq(sitting.releaseId, releaseId), eq(sitting.learnerId, person.id), eq(sitting.number, 1)) });
  if (!mine) return fail('unexpected');
  const at = await standingOf(as, mine, 0);
  return at ? ok({ ...viewOf(at), release: found.title, course: found.course }) : fail('unexpected');
}
