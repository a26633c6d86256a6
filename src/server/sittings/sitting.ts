import { randomBytes, randomUUID } from 'node:crypto';
import { and, eq, lt } from 'drizzle-orm';
import type { As, Learner } from '../context';
import { course, courseLearner, release, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf, newestEdition } from '../releases/editions';
import { closedIfOver, type Summary, summaryOf } from './finish';
import { recall } from './recent';
import { askedOf, atOf, endOf, type OpenSitting, recordOf, sittingOf, sittingsWhere } from './standing';
import { endsOf, placeOf, type SittingView, sourcesOf, viewOf } from './view';

interface Titles {
  readonly release: string;
  readonly course: string;
}

/** A sitting as it is opened: a question to answer, or what it came to. */
export type Opened = { open: SittingView; finished: null } | { open: null; finished: Summary & Titles };

/** The learner opens a release: their sitting of it, begun now or gone on with, at a place they have come to (`place`), else at the furthest. */
export async function sit(as: As<Learner>, releaseId: string, place: number | null = null): Promise<Result<Opened>> {
  const { db, person, now } = as;
  const titles = await titlesOf(as, releaseId);
  if (!titles) return fail('notFound');
  const { dueAt, minutes } = titles;
  const mine = () => sittingsWhere(db, and(eq(sitting.releaseId, releaseId), eq(sitting.learnerId, person.id), eq(sitting.number, 1)));
  let [found] = await mine();
  if (!found) {
    const startedAt = now();
    const endsAt = endOf({ startedAt, dueAt, minutes });
    if (endsAt && endsAt <= startedAt) return fail('releaseClosed');
    const edition = await editionOf(db, releaseId, await newestEdition(db, releaseId));
    // Two tabs opened at once begin one sitting.
    await db
      .insert(sitting)
      .values({
        id: randomUUID(),
        releaseId,
        learnerId: person.id,
        number: 1,
        seed: randomBytes(24).toString('base64url'),
        startedAt,
        edition: edition.number,
        outOf: edition.outOf,
      })
      .onConflictDoNothing();
    [found] = await mine();
  }
  if (!found) return fail('unexpected');
  const open = await closedIfOver(as, found);
  if (open.finishedAt) return ok({ open: null, finished: { ...(await summaryOf(as, open)), release: titles.release, course: titles.course } });
  return ok({ open: await openAt(as, open, titles, place ?? open.reached), finished: null });
}

/** The learner goes to a place of their sitting: one they have been at, where going back is allowed, or the next. */
export async function goTo(as: As<Learner>, sittingId: string, place: number): Promise<Result<SittingView>> {
  const { db, person } = as;
  const found = await sittingOf(as, sittingId, person.id);
  const titles = found && (await titlesOf(as, found.releaseId));
  if (!found || !titles) return fail('notFound');
  const open = await closedIfOver(as, found);
  if (open.finishedAt) return fail('sittingFinished');
  const { edition, asked } = await askedOf(db, open);
  if (place >= asked.length || place > open.reached + 1) return fail('notFound');
  if (place < open.reached && !edition.goBack) return fail('alreadyEnded');
  if (place > open.reached) {
    const before = asked[open.reached] as number;
    const tried = await db.query.standing.findFirst({ where: and(eq(standing.sittingId, sittingId), eq(standing.question, before)) });
    if (edition.models[before]?.question.show.nextOnlyAfterCheck && !tried) return fail('checkFirst');
    await db
      .update(sitting)
      .set({ reached: place })
      .where(and(eq(sitting.id, sittingId), lt(sitting.reached, place)));
    // What was remembered of it knows the old place.
    recall(sittingId);
  }
  return ok(await openAt(as, { ...open, reached: Math.max(open.reached, place) }, titles, place));
}

async function titlesOf({ db, person }: As<Learner>, releaseId: string) {
  const [found] = await db
    .select({ release: release.title, course: course.title, dueAt: release.dueAt, minutes: release.minutes })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(courseLearner, eq(courseLearner.courseId, course.id))
    .where(and(eq(release.id, releaseId), eq(courseLearner.learnerId, person.id)));
  return found ?? null;
}

async function openAt(as: As<Learner>, open: OpenSitting, titles: Titles, place: number): Promise<SittingView> {
  const record = await recordOf(as.db, open);
  const { edition, asked } = record;
  const allowed = place === open.reached || (edition.goBack && place >= 0 && place < open.reached) ? place : open.reached;
  const at = atOf(open, record, allowed);
  if (!at) throw new Error(`Sitting ${open.id} has come to place ${allowed}, which its edition does not have`);
  return {
    ...viewOf(at),
    release: titles.release,
    course: titles.course,
    place: await placeOf(as, at, edition, asked),
    sources: sourcesOf(edition.sources, at.question),
    ends: endsOf(at, as.now()),
  };
}
