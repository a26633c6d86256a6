import { randomBytes, randomUUID } from 'node:crypto';
import { and, eq, lt } from 'drizzle-orm';
import type { Opened, SittingView, Titles } from '../../contract';
import type { As, Learner } from '../context';
import { sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessibleRelease } from '../releases/audience';
import { editionInForce, editionOf } from '../releases/editions';
import { endOf, steadyNow } from '../releases/time';
import { closedIfOver, feedbackLevelAfter, summaryOf } from './finish';
import { askedOf, atOf, type OpenSitting, recordOf, sittingOf, sittingsWhere } from './standing';
import { endsOf, placeOf, sourcesOf, viewOf } from './view';

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
  wish: Intent = 'begin',
): Promise<Result<Opened>> {
  const { db, person, now } = as;
  const reached = await accessibleRelease(as, releaseId);
  if (!reached) return fail('notFound');
  const titles = { release: reached.release, course: reached.course };
  let found = await latest(as, releaseId);
  if (found) found = await closedIfOver(as, found);
  const startedAt = now();
  const endsAt = endOf(0, reached, startedAt);
  const closed = endsAt !== null && endsAt <= startedAt;
  const another = !closed && found !== undefined && (reached.sittings === null || found.number < reached.sittings);
  const first = !found;
  if (first || (wish === 'begin' && another && found?.finishedAt && place === null)) {
    const edition = await editionOf(db, releaseId, await editionInForce(db, releaseId));
    const early = reached.opensAt !== null && reached.opensAt > startedAt;
    if (first && closed) return fail('releaseClosed');
    if (early || (first && wish === 'open' && reached.minutes !== null))
      return ok({
        open: null,
        finished: null,
        before: {
          id: releaseId,
          ...titles,
          questions: edition.asks,
          minutes: reached.minutes,
          closesAt: reached.closesAt,
          opensAt: early ? reached.opensAt : null,
        },
      });
    const seed = randomBytes(24).toString('base64url');
    // Two tabs opened at once start one attempt.
    await db
      .insert(sitting)
      .values({
        id: randomUUID(),
        releaseId,
        learnerId: person.id,
        number: (found?.number ?? 0) + 1,
        seed,
        startedAt,
        edition: edition.number,
        began: edition.number,
        outOf: edition.outOf,
        usedMs: 0,
        usedAt: Math.round(steadyNow(as)),
      })
      .onConflictDoNothing();
    found = await latest(as, releaseId);
  }
  if (!found) return fail('unexpected');
  if (found.finishedAt && (place === null || !feedbackLevelAfter(found, now())))
    return ok({
      open: null,
      before: null,
      finished: { ...(await summaryOf(as, found)), ...titles, releaseId, another, counts: reached.counts },
    });
  return ok({ open: await openAt(as, found, titles, place ?? found.reached), finished: null, before: null });
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
    ...viewOf(at),
    // A finished attempt can only be viewed.
    ...(open.finishedAt ? { ended: true, hintsLeft: 0 } : {}),
    release: titles.release,
    course: titles.course,
    place: {
      ...(await placeOf(as, at, edition, asked)),
      deferred: edition.deferred,
      finished: open.finishedAt !== null,
    },
    sources: sourcesOf(edition.sources, at.question),
    ends: open.finishedAt ? null : endsOf(at, as.now()),
  };
}
