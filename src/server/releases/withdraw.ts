import { and, eq, inArray } from 'drizzle-orm';
import type { SettingsView } from '../../contract';
import type { As, Teacher } from '../context';
import { isTaughtBy, releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { course, edition, release, releaseQuestion } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { adoptFiles, adoptMedia } from '../vault/access';
import { openSettings } from './settings';

/**
 * Withdraws a release, or brings it back: its learners do not see it, and it does not count. Their work stays. Repeating
 * it changes nothing.
 */
export async function setWithdrawn(
  as: As<Teacher>,
  releaseId: string,
  withdrawn: boolean,
): Promise<Result<SettingsView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { courseId, withdrawnAt } = found.row;
  if ((withdrawnAt !== null) !== withdrawn)
    await as.db.transaction(async (tx) => {
      await tx
        .update(release)
        .set({ withdrawnAt: withdrawn ? as.now() : null })
        .where(eq(release.id, releaseId));
      await record({ ...as, db: tx }, { courseId, releaseId, what: 'settings', detail: { withdrawn } });
    });
  return openSettings(as, releaseId);
}

/** A copy of a release: `id` is made by the client, so that a repeated request makes one. */
export interface ReleaseCopy {
  readonly id: string;
  readonly courseId: string;
}

/**
 * Publishes the questions of a release, as they count now, to other courses of the teacher's. The settings are the same;
 * units, weight categories and groups are a course's own, and dates that have passed are left out.
 */
export async function copyRelease(
  as: As<Teacher>,
  releaseId: string,
  copies: readonly ReleaseCopy[],
): Promise<Result<{ made: number }>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { row } = found;
  const taught = await as.db
    .select({ id: course.id, archivedAt: course.archivedAt })
    .from(course)
    .where(
      and(
        inArray(
          course.id,
          copies.map(({ courseId }) => courseId),
        ),
        isTaughtBy(as),
      ),
    );
  const open = new Set(taught.flatMap(({ id, archivedAt }) => (archivedAt === null ? [id] : [])));
  const problems = copies.flatMap(({ courseId }, i) =>
    open.has(courseId) ? [] : [{ path: `copies[${i}].courseId`, message: 'This is not a course that you teach.' }],
  );
  if (problems.length > 0) return fail('invalid', { problems });
  const now = await as.db.query.edition.findFirst({
    where: and(eq(edition.releaseId, releaseId), eq(edition.number, row.edition)),
  });
  if (!now) return fail('notFound');
  const { content } = now;
  for (const question of content.questions) await adoptMedia(as, question, row.releasedBy);
  await adoptFiles(
    as,
    (content.sources ?? []).flatMap(({ medium }) => medium?.hash ?? []),
    row.releasedBy,
  );
  const at = as.now();
  const later = (date: Date | null) => (date !== null && date > at ? date : null);
  const made = await as.db.transaction(async (tx) => {
    let count = 0;
    for (const { id, courseId } of copies) {
      const [stored] = await tx
        .insert(release)
        .values({
          ...row,
          ...{ id, courseId, releasedBy: as.person.id, createdAt: at, edition: 1, revision: 1, withdrawnAt: null },
          ...{ unitId: null, categoryId: null, everyone: true },
          ...{ opensAt: later(row.opensAt), dueAt: later(row.dueAt), closesAt: later(row.closesAt) },
          // Feedback once it has closed needs a time at which it closes.
          ...(row.feedbackTime === 'closed' && later(row.closesAt) === null
            ? { feedbackTime: 'finished' as const }
            : {}),
        })
        .onConflictDoNothing()
        .returning({ id: release.id });
      if (!stored) continue;
      await tx
        .insert(releaseQuestion)
        .values(content.questions.map((question) => ({ releaseId: id, questionId: question.id })))
        .onConflictDoNothing();
      await tx.insert(edition).values({ releaseId: id, number: 1, content, createdAt: at });
      count++;
    }
    return count;
  });
  return ok({ made });
}
