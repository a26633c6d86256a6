import { randomBytes, randomUUID } from 'node:crypto';
import { and, eq, lt } from 'drizzle-orm';
import type { Opened, SittingView, Titles } from '../../contract';
import { asCounted, sourcesBeside } from '../../core';
import type { As, Learner } from '../context';
import { sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type AccessibleRelease, accessibleRelease } from '../releases/audience';
import { editionInForce, editionOf } from '../releases/editions';
import { endOf, steadyNow } from '../releases/time';
import { closedIfOver, feedbackLevelAfter, summaryOf } from './finish';
import { askedOf, atOf, type OpenSitting, recordOf, sittingOf, sittingsWhere } from './standing';
import { endsOf, placeOf, viewOf } from './view';

/** `open`: continue where they are; `begin`: start the first attempt, or another after the last has ended. */
export type Intent = 'open' | 'begin';

const latest = async (as: As<Learner>, releaseId: string) =>
  (await sittingsWhere(as, and(eq(sitting.releaseId, releaseId), eq(sitting.learnerId, as.person.id)))).toSorted(
    (a, b) => b.number - a.number,
  )[0];

/**
 * Opens a release for the learner: their last attempt or a new one, at the given `place` or else at the furthest they
 * have reached.
 */
export async function openRelease(
  as: As<Learner>,
  releaseId: string,
  place: number | null = null,
  intent: Intent = 'begin',
): Promise<Result<Opened>> {
  const allowed = await accessibleRelease(as, releaseId);
  if (!allowed) return fail('notFound');
  const last = await latest(as, releaseId);
  const found = last ? await closedIfOver(as, last) : undefined;
  const another = found !== undefined && mayBeginAnother(as, allowed, found);
  if (found?.finishedAt && intent === 'begin' && another && place === null)
    return begin(as, releaseId, allowed, found.number + 1);
  if (!found) return openFirst(as, releaseId, allowed, intent);
  const titles = titlesOf(allowed);
  if (found.finishedAt && (place === null || !feedbackLevelAfter(found, as.now())))
    return ok({
      open: null,
      before: null,
      finished: { ...(await summaryOf(as, found)), ...titles, releaseId, another, counts: allowed.counts },
    });
  return ok({ open: await openAt(as, found, titles, place ?? found.reached), finished: null, before: null });
}

const titlesOf = ({ release, course, courseLang, appearance }: Titles): Titles => ({
  release,
  course,
  courseLang,
  appearance,
});

const isClosed = (as: As<Learner>, allowed: AccessibleRelease): boolean => {
  const now = as.now();
  const endsAt = endOf(0, allowed, now);
  return endsAt !== null && endsAt <= now;
};

const mayBeginAnother = (as: As<Learner>, allowed: AccessibleRelease, { number }: OpenSitting): boolean =>
  !isClosed(as, allowed) && (allowed.sittings === null || number < allowed.sittings);

/** Starts the first attempt. With a time limit, only when the learner says so. */
async function openFirst(
  as: As<Learner>,
  releaseId: string,
  allowed: AccessibleRelease,
  intent: Intent,
): Promise<Result<Opened>> {
  if (isClosed(as, allowed)) return fail('releaseClosed');
  if (intent === 'open' && allowed.minutes !== null) return beforeIt(as, releaseId, allowed);
  return begin(as, releaseId, allowed, 1);
}

const isEarly = (as: As<Learner>, { opensAt }: AccessibleRelease): boolean => opensAt !== null && opensAt > as.now();

/** What the learner sees before an attempt starts. */
async function beforeIt(as: As<Learner>, releaseId: string, allowed: AccessibleRelease): Promise<Result<Opened>> {
  const edition = await editionOf(as.db, releaseId, await editionInForce(as.db, releaseId));
  const { minutes, closesAt, opensAt } = allowed;
  return ok({
    open: null,
    finished: null,
    before: {
      ...{ id: releaseId, ...titlesOf(allowed), questions: edition.asks, minutes, closesAt },
      opensAt: isEarly(as, allowed) ? opensAt : null,
    },
  });
}

/** Starts an attempt of the edition in force and opens it. Two tabs that start at once start one. */
async function begin(
  as: As<Learner>,
  releaseId: string,
  allowed: AccessibleRelease,
  number: number,
): Promise<Result<Opened>> {
  if (isEarly(as, allowed)) return beforeIt(as, releaseId, allowed);
  const { db, person } = as;
  const edition = await editionOf(db, releaseId, await editionInForce(db, releaseId));
  await db
    .insert(sitting)
    .values({
      id: randomUUID(),
      releaseId,
      learnerId: person.id,
      number,
      seed: randomBytes(24).toString('base64url'),
      startedAt: as.now(),
      edition: edition.number,
      began: edition.number,
      outOf: edition.outOf,
      usedMs: 0,
      usedAt: Math.round(steadyNow(as)),
    })
    .onConflictDoNothing();
  const found = await latest(as, releaseId);
  if (!found) return fail('unexpected');
  return ok({ open: await openAt(as, found, titlesOf(allowed), found.reached), finished: null, before: null });
}

/** Goes to another question of the attempt: an earlier one, if going back is allowed, or the next. */
export async function goTo(as: As<Learner>, sittingId: string, place: number): Promise<Result<SittingView>> {
  const { db, person } = as;
  const found = await sittingOf(as, sittingId, person.id);
  const titles = found && (await accessibleRelease(as, found.releaseId));
  if (!found || !titles) return fail('notFound');
  const open = await closedIfOver(as, found);
  if (open.finishedAt) return fail('sittingFinished');
  const { edition, asked } = await askedOf(db, open);
  if (place >= asked.length || place > open.reached + 1) return fail('notFound');
  if (place < open.reached && !edition.goBack) return fail('alreadyEnded');
  if (place > open.reached) {
    const before = asked[open.reached] as number;
    const tried = await db.query.standing.findFirst({
      where: and(eq(standing.sittingId, sittingId), eq(standing.question, before)),
    });
    if (edition.models[before]?.question.show.nextOnlyAfterCheck && !tried) return fail('checkFirst');
    await db
      .update(sitting)
      .set({ reached: place })
      .where(and(eq(sitting.id, sittingId), lt(sitting.reached, place)));
  }
  return ok(await openAt(as, { ...open, reached: Math.max(open.reached, place) }, titles, place));
}

async function openAt(as: As<Learner>, open: OpenSitting, titles: Titles, place: number): Promise<SittingView> {
  const record = await recordOf(as.db, open);
  const { edition, asked } = record;
  const mayGoBack = edition.goBack || open.finishedAt !== null;
  const allowed = place === open.reached || (mayGoBack && place >= 0 && place < open.reached) ? place : open.reached;
  const at = atOf(open, record, allowed, {
    feedbackLevel: open.finishedAt ? (feedbackLevelAfter(open, as.now()) ?? 'nothing') : undefined,
  });
  if (!at) throw new Error(`Sitting ${open.id} has come to place ${allowed}, which its edition does not have`);
  return {
    // A finished attempt can only be viewed: as the try left it that counts.
    ...viewOf(open.finishedAt ? { ...at, standing: asCounted(at.model, at.standing) } : at),
    ...(open.finishedAt ? { ended: true, hintsLeft: 0 } : {}),
    ...titlesOf(titles),
    place: {
      ...(await placeOf(as, at, edition, asked)),
      deferred: edition.deferred,
      finished: open.finishedAt !== null,
    },
    sources: sourcesBeside(edition.sources, at.question),
    ends: open.finishedAt ? null : endsOf(at, as.now()),
  };
}
