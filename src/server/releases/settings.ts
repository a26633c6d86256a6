import { and, eq, inArray, sql } from 'drizzle-orm';
import {
  type Allowed,
  defersFeedback,
  type ReleaseAudience,
  type ReleaseSettings,
  type SettingsView,
} from '../../contract';
import { type Problem, scheduleProblems } from '../../core';
import type { As, Teacher } from '../context';
import { isOnRoster, releaseOf } from '../courses/access';
import { record } from '../courses/audit';
import { user } from '../database/accountTables';
import type { Database } from '../database/open';
import { allowance, category, courseGroup, courseLearner, release, releaseFor, unit } from '../database/tables';
import { type Failure, fail, ok, type Result } from '../errors';

/** The settings that contradict one another, or name something of another course. */
export async function settingsProblems(db: Database, courseId: string, settings: ReleaseSettings): Promise<Problem[]> {
  const { unitId, categoryId, audience } = settings;
  const problems: Problem[] = scheduleProblems(settings);
  const say = (path: string, message: string) => problems.push({ path, message });
  if (
    unitId !== null &&
    !(await db.query.unit.findFirst({ where: and(eq(unit.id, unitId), eq(unit.courseId, courseId)) }))
  )
    say('unitId', 'This unit is not in the course.');
  if (
    categoryId !== null &&
    !(await db.query.category.findFirst({ where: and(eq(category.id, categoryId), eq(category.courseId, courseId)) }))
  )
    say('categoryId', 'This category is not in the course.');
  if (audience) {
    if (audience.groups.length + audience.learners.length === 0)
      say('audience', 'Choose a group or a learner, or all.');
    const groups = await db
      .select({ id: courseGroup.id })
      .from(courseGroup)
      .where(and(eq(courseGroup.courseId, courseId), inArray(courseGroup.id, [...audience.groups])));
    const learners = await db
      .select({ id: courseLearner.learnerId })
      .from(courseLearner)
      .where(and(eq(courseLearner.courseId, courseId), inArray(courseLearner.learnerId, [...audience.learners])));
    if (groups.length < new Set(audience.groups).size || learners.length < new Set(audience.learners).size)
      say('audience', 'A group or a learner is not in the course.');
  }
  return problems;
}

/** The settings as a row of `release`. */
export const settingsRow = ({ audience, title: _, ...row }: ReleaseSettings) => ({
  ...row,
  everyone: audience === null,
});

export const audienceRows = (releaseId: string, audience: ReleaseAudience | null) => [
  ...[...new Set(audience?.groups)].map((groupId) => ({ releaseId, groupId, learnerId: null })),
  ...[...new Set(audience?.learners)].map((learnerId) => ({ releaseId, groupId: null, learnerId })),
];

export async function openSettings(as: As<Teacher>, releaseId: string): Promise<Result<SettingsView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { row } = found;
  const [whom, allowances] = await Promise.all([
    as.db.select().from(releaseFor).where(eq(releaseFor.releaseId, releaseId)),
    as.db
      .select({
        learnerId: allowance.learnerId,
        name: user.name,
        moreMinutes: allowance.moreMinutes,
        moreSittings: allowance.moreSittings,
        dueAt: allowance.dueAt,
        closesAt: allowance.closesAt,
      })
      .from(allowance)
      .innerJoin(user, eq(user.id, allowance.learnerId))
      .where(eq(allowance.releaseId, releaseId))
      .orderBy(user.name),
  ]);
  const {
    title,
    unitId,
    opensAt,
    dueAt,
    closesAt,
    minutes,
    sittings,
    counts,
    practice,
    categoryId,
    passMark,
    feedbackLevel,
    feedbackTime,
  } = row;
  const audience = row.everyone
    ? null
    : {
        groups: whom.flatMap(({ groupId }) => groupId ?? []),
        learners: whom.flatMap(({ learnerId }) => learnerId ?? []),
      };
  return ok({
    settings: {
      title,
      unitId,
      opensAt,
      dueAt,
      closesAt,
      minutes,
      sittings,
      counts,
      practice,
      categoryId,
      passMark,
      feedbackLevel,
      feedbackTime,
      audience,
    },
    courseId: row.courseId,
    withdrawnAt: row.withdrawnAt,
    revision: row.revision,
    allowances,
  });
}

/**
 * Changes the settings of a release; `from`: the revision they were changed on. Whether feedback is deferred stays as
 * it was published, because marks depend on it.
 */
export async function changeSettings(
  as: As<Teacher>,
  releaseId: string,
  settings: ReleaseSettings,
  from?: number,
): Promise<Result<SettingsView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  if (from !== undefined && found.row.revision !== from) return movedOn(as, releaseId);
  const problems = await settingsProblems(as.db, found.row.courseId, settings);
  if (defersFeedback(settings) !== defersFeedback(found.row))
    problems.push({
      path: 'feedbackTime',
      message:
        'Whether learners get feedback at once is fixed when it is published, because marks depend on it. Publish it again to change that.',
    });
  if (problems.length > 0) return fail('invalid', { problems });
  const saved = await as.db.transaction(async (tx) => {
    const changed = await tx
      .update(release)
      .set({
        ...settingsRow(settings),
        ...(settings.title ? { title: settings.title } : {}),
        revision: sql`${release.revision} + 1`,
      })
      .where(and(eq(release.id, releaseId), from === undefined ? undefined : eq(release.revision, from)))
      .returning({ id: release.id });
    if (changed.length === 0) return false;
    await tx.delete(releaseFor).where(eq(releaseFor.releaseId, releaseId));
    const rows = audienceRows(releaseId, settings.audience);
    if (rows.length > 0) await tx.insert(releaseFor).values(rows);
    const { counts, practice, categoryId, sittings, minutes, opensAt, dueAt, closesAt } = settings;
    await record(
      { ...as, db: tx },
      {
        courseId: found.row.courseId,
        releaseId,
        what: 'settings',
        detail: { counts, practice, categoryId, sittings, minutes, opensAt, dueAt, closesAt },
      },
    );
    return true;
  });
  return saved ? openSettings(as, releaseId) : movedOn(as, releaseId);
}

/** The conflict: the settings as they are now, and their revision. */
async function movedOn(as: As<Teacher>, releaseId: string): Promise<Failure> {
  const now = await openSettings(as, releaseId);
  return now.ok
    ? fail('changedMeanwhile', { detail: { revision: now.value.revision, content: now.value.settings } })
    : now;
}

/** Allows one learner more time, another date or more attempts; null removes the allowance. */
export async function setAllowance(
  as: As<Teacher>,
  releaseId: string,
  learnerId: string,
  allowed: Allowed | null,
): Promise<Result<SettingsView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { courseId } = found.row;
  if (!(await isOnRoster(as, courseId, learnerId))) return fail('notFound');
  await as.db.transaction(async (tx) => {
    const its = and(eq(allowance.releaseId, releaseId), eq(allowance.learnerId, learnerId));
    if (allowed === null) await tx.delete(allowance).where(its);
    else
      await tx
        .insert(allowance)
        .values({ releaseId, learnerId, ...allowed })
        .onConflictDoUpdate({ target: [allowance.releaseId, allowance.learnerId], set: { ...allowed } });
    await record(
      { ...as, db: tx },
      { courseId, releaseId, learnerId, what: 'allowed', detail: { ...(allowed ?? { asForAll: true }) } },
    );
  });
  return openSettings(as, releaseId);
}
