import { and, asc, eq, exists, gt, inArray, isNull, notExists, notInArray, or, sql } from 'drizzle-orm';
import type { Erased, LeftRow, PersonalCourse, PersonalData, PersonalRelease, PersonalSitting } from '../../contract';
import { isPut, isTyped, type Move, roundMark } from '../../core';
import { forgive } from '../accounts/limit';
import type { As, Context, Learner, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { record } from '../courses/audit';
import { securityEvent, session, user } from '../database/accountTables';
import type { Database, Transaction } from '../database/open';
import {
  allowance,
  audit,
  checkpoint,
  course,
  courseGroup,
  courseLearner,
  courseTeacher,
  digest,
  erasing,
  figures,
  gradeRemark,
  groupMember,
  ltiLine,
  ltiLinePerson,
  ltiPerson,
  markOverride,
  move,
  outbox,
  regrade,
  release,
  releaseFor,
  sitting,
  standing,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf, type OpenEdition } from '../releases/editions';
import { recall } from '../sittings/recent';
import { showsMarks } from './assignedReleases';
import { attemptScores } from './attemptScores';
import { arrivedAt, statementsAbout, storeWith } from './elsewhere';

const iso = (at: Date): string => at.toISOString();
const isoOrNull = (at: Date | null): string | null => at && iso(at);

/** All data of the learner who asks. Marks are in it as far as the learner may see them. */
export async function myData(as: As<Learner>): Promise<Result<PersonalData>> {
  const { db, person } = as;
  const sessions = await db.select().from(session).where(eq(session.userId, person.id)).orderBy(asc(session.createdAt));
  const courses = await db
    .select({ id: course.id, title: course.title })
    .from(course)
    .where(holds(as, person.id))
    .orderBy(asc(course.title));
  const data = await fileOf(as, person.id, courses, false);
  return data
    ? ok({
        ...data,
        signedIn: sessions.map((session) => ({
          since: iso(session.createdAt),
          until: iso(session.expiresAt),
          address: session.ipAddress,
          browser: session.userAgent,
        })),
      })
    : fail('notFound');
}

/** A learner's data in a course, for one of its teachers. */
export async function dataOf(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<PersonalData>> {
  const found = await courseOf(as, courseId);
  if (!found || !(await isHeld(as, courseId, learnerId))) return fail('notFound');
  const data = await fileOf(as, learnerId, [{ id: courseId, title: found.row.title }], true);
  return data ? ok(data) : fail('notFound');
}

/** The condition that a course has data of a learner: an enrolment, an attempt, a mark. */
const holds = ({ db }: Pick<Context, 'db'>, learnerId: string) =>
  or(
    inArray(
      course.id,
      db.select({ id: courseLearner.courseId }).from(courseLearner).where(eq(courseLearner.learnerId, learnerId)),
    ),
    ...[sitting, markOverride, gradeRemark, allowance].map((table) =>
      inArray(
        course.id,
        db
          .select({ id: release.courseId })
          .from(release)
          .innerJoin(table, eq(table.releaseId, release.id))
          .where(eq(table.learnerId, learnerId)),
      ),
    ),
  );
const isHeld = async (as: Pick<Context, 'db'>, courseId: string, learnerId: string) =>
  (
    await as.db
      .select({ id: course.id })
      .from(course)
      .where(and(eq(course.id, courseId), holds(as, learnerId)))
  ).length > 0;

/** `allMarks`: also the marks that the learner may not see. */
async function fileOf(
  context: Context,
  learnerId: string,
  courses: readonly { id: string; title: string }[],
  allMarks: boolean,
): Promise<PersonalData | null> {
  const who = await context.db.query.user.findFirst({ where: and(eq(user.id, learnerId), eq(user.role, 'learner')) });
  if (!who) return null;
  const told: PersonalCourse[] = [];
  for (const course of courses) told.push(await courseData(context, learnerId, course, allMarks));
  return {
    format: 'vault-drop/personal-data',
    version: 1,
    exportedAt: iso(context.now()),
    account: { name: who.name, username: who.displayUsername, createdAt: iso(who.createdAt) },
    courses: told,
  };
}

async function courseData(
  { db, now }: Context,
  learnerId: string,
  { id, title }: { id: string; title: string },
  allMarks: boolean,
): Promise<PersonalCourse> {
  const [place] = await db
    .select()
    .from(courseLearner)
    .where(and(eq(courseLearner.courseId, id), eq(courseLearner.learnerId, learnerId)));
  const groups = await db
    .select({ title: courseGroup.title })
    .from(groupMember)
    .innerJoin(courseGroup, eq(courseGroup.id, groupMember.groupId))
    .where(and(eq(courseGroup.courseId, id), eq(groupMember.learnerId, learnerId)));
  const rows = await db
    .select({ release, allowed: allowance, byHand: markOverride, remark: gradeRemark })
    .from(release)
    .leftJoin(allowance, and(eq(allowance.releaseId, release.id), eq(allowance.learnerId, learnerId)))
    .leftJoin(markOverride, and(eq(markOverride.releaseId, release.id), eq(markOverride.learnerId, learnerId)))
    .leftJoin(gradeRemark, and(eq(gradeRemark.releaseId, release.id), eq(gradeRemark.learnerId, learnerId)))
    .where(eq(release.courseId, id))
    .orderBy(asc(release.createdAt));
  const attempts = await attemptScores(
    db,
    and(
      inArray(
        sitting.releaseId,
        rows.map((row) => row.release.id),
      ),
      eq(sitting.learnerId, learnerId),
    ),
  );
  const releases: PersonalRelease[] = [];
  for (const { release: row, allowed, byHand, remark } of rows) {
    const came = attempts.filter(({ releaseId }) => releaseId === row.id);
    if (came.length === 0 && !allowed && !byHand && !remark) continue;
    const sittings: PersonalSitting[] = [];
    const told =
      allMarks || showsMarks(row, allowed?.closesAt ?? row.closesAt, await editionOf(db, row.id, row.edition), now());
    for (const attempt of came) {
      const edition = await editionOf(db, row.id, attempt.edition);
      sittings.push({
        number: attempt.number,
        startedAt: iso(attempt.startedAt),
        finishedAt: isoOrNull(attempt.finishedAt),
        points: told ? roundMark(attempt.points) : null,
        outOf: roundMark(attempt.outOf),
        moves: await movesOf(db, attempt.id, edition),
      });
    }
    releases.push({
      title: row.title,
      allowed: allowed && {
        moreMinutes: allowed.moreMinutes,
        moreSittings: allowed.moreSittings,
        dueAt: isoOrNull(allowed.dueAt),
        closesAt: isoOrNull(allowed.closesAt),
      },
      markByHand: byHand && { points: told ? byHand.points : null, reason: byHand.reason, at: iso(byHand.at) },
      excused: remark?.excused ?? false,
      note: remark?.note ?? '',
      sittings,
    });
  }
  return {
    title,
    onRosterSince: place ? iso(place.addedAt) : null,
    groups: groups.map((group) => group.title),
    releases,
  };
}

/** Moves read at once; other requests run in between. */
const AT_ONCE = 1000;
async function movesOf(db: Database, sittingId: string, { models }: OpenEdition): Promise<PersonalSitting['moves']> {
  const all: PersonalSitting['moves'] = [];
  for (let last = 0; ; ) {
    const rows = await db
      .select()
      .from(move)
      .where(and(eq(move.sittingId, sittingId), gt(move.n, last)))
      .orderBy(asc(move.n))
      .limit(AT_ONCE);
    for (const { n, at, question, body } of rows)
      all.push({
        n,
        at: iso(at),
        question: models[question]?.question.title ?? '',
        ...inLabels(body, models[question]),
      });
    if (rows.length < AT_ONCE) return all;
    last = rows.at(-1)?.n ?? last;
    await new Promise((resolve) => setImmediate(resolve));
  }
}

/** A move with labels instead of ids, if there are labels. */
function inLabels(
  body: Move,
  model: OpenEdition['models'][number] | undefined,
): Omit<PersonalSitting['moves'][number], 'n' | 'at' | 'question'> {
  if (body.kind !== 'drop' && body.kind !== 'put') return { kind: body.kind };
  const label = (list: readonly { readonly id: string; readonly label: string }[] | undefined, id: string) =>
    list?.find((candidate) => candidate.id === id)?.label || id;
  const zone = (id: string) => label(model?.question.zones, id);
  if (isTyped(body)) return { kind: body.kind, zone: zone(body.zone), text: body.text };
  const item = label(model?.question.items, body.item);
  return isPut(body)
    ? { kind: body.kind, item, zone: body.zone === null ? null : zone(body.zone) }
    : { kind: body.kind, item, x: body.x, y: body.y };
}

/**
 * Erases a learner's data in a course: attempts, marks, enrolment and groups. The audit list keeps only that something
 * was changed, when and by whom, under an id that leads nowhere. The account is deleted as well if it is in no other
 * course and was made in this one. Only the course's owner may do this.
 */
export async function eraseLearner(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<Erased>> {
  const { db } = as;
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  if (found.right !== 'own') return fail('notAllowed');
  if (!(await isHeld(as, courseId, learnerId))) {
    const before = await db.query.audit.findFirst({
      where: and(eq(audit.courseId, courseId), eq(audit.learnerId, learnerId), eq(audit.what, 'erased')),
    });
    return before
      ? ok({ account: before.detail.account === true, sittings: Number(before.detail.sittings), elsewhere: [] })
      : fail('notFound');
  }
  const erased = await db.transaction(async (tx) => {
    const releases = tx.select({ id: release.id }).from(release).where(eq(release.courseId, courseId));
    const mine = await tx
      .select({ id: sitting.id })
      .from(sitting)
      .where(and(eq(sitting.learnerId, learnerId), inArray(sitting.releaseId, releases)));
    const ids = mine.map(({ id }) => id);
    await tx.insert(erasing).values({ courseId, learnerId });
    const elsewhere = [...(await arrivedAt(tx, learnerId, releases)), ...(await storeWith(tx, learnerId, releases))];
    // With it goes what waits to be sent, and nothing more is (see the triggers).
    const lines = tx.select({ id: ltiLine.id }).from(ltiLine).where(inArray(ltiLine.releaseId, releases));
    await tx
      .delete(ltiLinePerson)
      .where(and(eq(ltiLinePerson.learnerId, learnerId), inArray(ltiLinePerson.lineId, lines)));
    for (const table of [digest, standing, checkpoint, move])
      await tx.delete(table).where(inArray(table.sittingId, ids));
    await tx.delete(sitting).where(inArray(sitting.id, ids));
    // What was typed is told in them.
    await tx.delete(figures).where(inArray(figures.releaseId, releases));
    for (const table of [allowance, gradeRemark, markOverride, releaseFor])
      await tx.delete(table).where(and(eq(table.learnerId, learnerId), inArray(table.releaseId, releases)));
    await tx.delete(outbox).where(statementsAbout(tx, learnerId, releases));
    const groups = tx.select({ id: courseGroup.id }).from(courseGroup).where(eq(courseGroup.courseId, courseId));
    await tx.delete(groupMember).where(and(eq(groupMember.learnerId, learnerId), inArray(groupMember.groupId, groups)));
    await tx
      .delete(courseLearner)
      .where(and(eq(courseLearner.courseId, courseId), eq(courseLearner.learnerId, learnerId)));
    for (const row of await tx.select().from(regrade).where(inArray(regrade.releaseId, releases))) {
      const changes = row.changes.filter((change) => change.learnerId !== learnerId);
      if (changes.length < row.changes.length)
        await tx
          .update(regrade)
          .set({ changes })
          .where(and(eq(regrade.releaseId, row.releaseId), eq(regrade.edition, row.edition)));
    }
    await tx
      .update(audit)
      .set({ detail: {} })
      .where(and(eq(audit.courseId, courseId), eq(audit.learnerId, learnerId)));
    const account = await eraseAccount(tx, learnerId, found.row);
    await record({ ...as, db: tx }, { courseId, learnerId, what: 'erased', detail: { sittings: ids.length, account } });
    await tx.delete(erasing);
    return { ids, account, elsewhere };
  });
  for (const id of erased.ids) recall(id);
  return ok({ account: erased.account, sittings: erased.ids.length, elsewhere: erased.elsewhere });
}

/** An account that a launch or a platform's roster made: nobody signs in to it in another way. */
const cameByPlatform = (tx: Transaction) =>
  and(
    isNull(user.madeBy),
    isNull(user.username),
    exists(tx.select({ one: sql`1` }).from(ltiPerson).where(eq(ltiPerson.personId, user.id))),
  );

/** Deletes the account if no course has data of it, and a teacher of this course made it or a platform did. */
async function eraseAccount(
  tx: Transaction,
  learnerId: string,
  { id: courseId, ownerId }: { readonly id: string; readonly ownerId: string },
): Promise<boolean> {
  const others = tx
    .select({ id: courseTeacher.personId })
    .from(courseTeacher)
    .where(eq(courseTeacher.courseId, courseId));
  const left = [courseLearner, sitting, markOverride, gradeRemark, allowance].map((table) =>
    notExists(tx.select({ one: sql`1` }).from(table).where(eq(table.learnerId, learnerId))),
  );
  const [gone] = await tx
    .delete(user)
    .where(
      and(
        eq(user.id, learnerId),
        eq(user.role, 'learner'),
        or(eq(user.madeBy, ownerId), inArray(user.madeBy, others), cameByPlatform(tx)),
        ...left,
      ),
    )
    .returning({ username: user.username });
  if (gone?.username) await forgive(tx, 'sign-in', gone.username);
  if (gone) await tx.delete(securityEvent).where(eq(securityEvent.userId, learnerId));
  return gone !== undefined;
}

/** Former learners: not enrolled any more, and the course still has data of them. */
export async function listFormerLearners(as: As<Teacher>, courseId: string): Promise<Result<LeftRow[]>> {
  const { db } = as;
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const on = db.select({ id: courseLearner.learnerId }).from(courseLearner).where(eq(courseLearner.courseId, courseId));
  const kept = [sitting, markOverride, gradeRemark, allowance].map((table) =>
    inArray(
      user.id,
      db
        .select({ id: table.learnerId })
        .from(table)
        .innerJoin(release, eq(release.id, table.releaseId))
        .where(eq(release.courseId, courseId)),
    ),
  );
  return ok(
    await db
      .select({ id: user.id, name: user.name, username: user.displayUsername })
      .from(user)
      .where(and(or(...kept), notInArray(user.id, on)))
      .orderBy(asc(user.name), asc(user.id)),
  );
}
