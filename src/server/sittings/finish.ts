import { randomUUID } from 'node:crypto';
import { and, eq, inArray, isNotNull, isNull, or } from 'drizzle-orm';
import type { Summary } from '../../contract';
import { applyMove, earned, type FeedbackLevel, markSoFar, reckoning, roundMark } from '../../core';
import type { As, Context, Learner } from '../context';
import { allowance, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { additionOf } from './addition';
import { type Addition, appendMoves } from './appendMoves';
import { correctedAttempts } from './corrected';
import { addDigestsOf } from './digests';
import { recall } from './recent';
import { type At, atOf, type OpenSitting, recordOf, sittingOf, sittingsWhere } from './standing';

const MAX_ATTEMPTS = 4;

/** The learner finishes the attempt. Repeating it changes nothing. */
export async function finish(as: As<Learner>, sittingId: string): Promise<Result<Summary>> {
  const mine = await sittingOf(as, sittingId, as.person.id);
  if (!mine) return fail('notFound');
  return ok(await summaryOf(as, await closed(as, mine, as.now())));
}

/** The feedback level of a finished attempt at this time; null: no feedback, for now or ever. */
export function feedbackLevelAfter(
  { feedbackLevel, feedbackTime, closesAt }: Pick<OpenSitting, 'feedbackLevel' | 'feedbackTime' | 'closesAt'>,
  now: Date,
): FeedbackLevel | null {
  if (feedbackLevel === 'nothing') return null;
  return feedbackTime === 'closed' && (closesAt === null || closesAt > now) ? null : feedbackLevel;
}

/** Finishes the attempt if its time is up. */
export async function closedIfOver(context: Context, open: OpenSitting): Promise<OpenSitting> {
  return open.finishedAt === null && open.endsAt !== null && open.endsAt <= context.now()
    ? closed(context, open, open.endsAt)
    : open;
}

/** Finishes all attempts of releases whose time is up, so that their scores are final. */
export async function closeOverdue(context: Context, releases: readonly string[]): Promise<void> {
  const running = await sittingsWhere(
    context,
    and(
      inArray(sitting.releaseId, [...releases]),
      isNull(sitting.finishedAt),
      or(isNotNull(release.closesAt), isNotNull(release.minutes), isNotNull(allowance.closesAt)),
    ),
  );
  for (const open of running) await closedIfOver(context, open);
}

/**
 * Finishes an attempt: an unchecked arrangement is checked once if a try is left. From then on the database refuses
 * moves.
 */
async function closed(context: Context, open: OpenSitting, at: Date): Promise<OpenSitting> {
  if (open.finishedAt) return open;
  let now = open;
  for (let attempt = 0; attempt < MAX_ATTEMPTS; attempt++) {
    const checks = await lastChecks(context, now, at);
    if (checks === null || (await keepAll(context, checks))) break;
    now = (await sittingOf(context, open.id, open.learnerId)) ?? now;
    if (now.finishedAt) return now;
  }
  await context.db
    .update(sitting)
    .set({ finishedAt: at })
    .where(and(eq(sitting.id, open.id), isNull(sitting.finishedAt)));
  recall(open.id);
  await addDigestsOf(context, open.releaseId);
  return { ...((await sittingOf(context, open.id, open.learnerId)) ?? now), finishedAt: at };
}

async function keepAll({ db }: Context, additions: readonly Addition[]): Promise<boolean> {
  for (const addition of additions) if ((await appendMoves(db, addition)) !== 'stored') return false;
  return true;
}

/** The final checks, one for each question with an unchecked arrangement; null: none. */
async function lastChecks({ db }: Context, open: OpenSitting, at: Date): Promise<Addition[] | null> {
  const record = await recordOf(db, open);
  let n = open.last;
  const checks = record.asked.flatMap((_, place): Addition[] => {
    const now = atOf(open, record, place);
    if (!now || !isUnchecked(now)) return [];
    const move = { kind: 'check' } as const;
    const taken = applyMove(now.model, now.standing, move);
    if (!taken.ok) return [];
    return [
      additionOf(
        { ...now, standing: taken.standing },
        { taken: [{ id: randomUUID(), move }], first: ++n, at, tried: true, by: 'ending' },
      ),
    ];
  });
  return checks.length > 0 ? checks : null;
}

const isUnchecked = ({ standing: { ended, judged, board } }: At) => !ended && judged === null && board.zoneOf.size > 0;

/** The summary of a finished attempt, question by question. */
export async function summaryOf(context: Context, open: OpenSitting): Promise<Summary> {
  const { db, now } = context;
  const record = await recordOf(db, open);
  const feedbackLevel = feedbackLevelAfter(open, now());
  const questions = record.asked.flatMap((question, place) => {
    const at = atOf(open, record, place, { feedbackLevel: feedbackLevel ?? 'nothing' });
    if (!at) return [];
    const { model, standing, points } = at;
    const shown = model.question.show.mark;
    const best = markSoFar(model, standing.tries);
    return [
      {
        title: model.question.title,
        struck: record.edition.struck[question] ?? false,
        tries: standing.tries.count,
        seen: place <= open.reached,
        fullMarks: shown ? (best?.fullMarks ?? false) : null,
        points,
        earned: shown ? roundMark(best ? earned(best.mark, best.max, points) : 0) : null,
        reckoning: reckoning(model, standing),
      },
    ];
  });
  const isTold = questions.every((question) => question.earned !== null);
  const corrected = isTold ? await correctedAttempts(context, open.learnerId, [open.releaseId]) : null;
  return {
    id: open.id,
    finishedAt: open.finishedAt ?? now(),
    questions,
    total: isTold
      ? {
          mark: sumOf(questions.map((question) => question.earned ?? 0)),
          max: sumOf(questions.map(({ points }) => points)),
        }
      : null,
    corrected: corrected?.get(open.id) ?? null,
    review: feedbackLevel !== null,
  };
}

const sumOf = (marks: readonly number[]) => roundMark(marks.reduce((sum, mark) => sum + mark, 0));
