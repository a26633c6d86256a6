import { randomUUID } from 'node:crypto';
import { and, eq, isNotNull, isNull, or } from 'drizzle-orm';
import { markSoFar, type Reckoning, reckoning, takeMove } from '../../core';
import type { As, Context, Learner } from '../context';
import { release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { additionOf } from './addition';
import { type Addition, keep } from './keep';
import { recall } from './recent';
import { type At, atOf, type OpenSitting, recordOf, sittingOf, sittingsWhere } from './standing';

/** What a finished sitting came to, as far as its author lets it be seen. */
export interface Summary {
  id: string;
  finishedAt: Date;
  questions: { title: string; tries: number; fullMarks: boolean | null; max: number; reckoning: Reckoning | null }[];
  /** Null: not all of the marks are shown. */
  total: { mark: number; max: number } | null;
}

const MOST_ATTEMPTS = 4;

/** The learner says that they are done. Saying it again changes nothing. */
export async function finish(as: As<Learner>, sittingId: string): Promise<Result<Summary>> {
  const mine = await sittingOf(as, sittingId, as.person.id);
  if (!mine) return fail('notFound');
  return ok(await summaryOf(as, await closed(as, mine, as.now())));
}

/** The sitting, finished at its end if that has passed. */
export async function closedIfOver(context: Context, open: OpenSitting): Promise<OpenSitting> {
  return open.finishedAt === null && open.endsAt !== null && open.endsAt <= context.now() ? closed(context, open, open.endsAt) : open;
}

/** Finishes what has run out of time of a release, so that what is looked at is what it came to. */
export async function closeOverdue(context: Context, releaseId: string): Promise<void> {
  const running = await sittingsWhere(context.db, and(eq(sitting.releaseId, releaseId), isNull(sitting.finishedAt), or(isNotNull(release.dueAt), isNotNull(release.minutes))));
  for (const open of running) await closedIfOver(context, open);
}

/** Finished at a time: an arrangement that was not checked is checked once if a try is left. From then on the database takes no move of it. */
async function closed(context: Context, open: OpenSitting, at: Date): Promise<OpenSitting> {
  if (open.finishedAt) return open;
  for (let attempt = 0; attempt < MOST_ATTEMPTS; attempt++) {
    const checks = await lastChecks(context, open, at);
    if (checks === null) break;
    if (await keepAll(context, checks)) break;
  }
  await context.db
    .update(sitting)
    .set({ finishedAt: at })
    .where(and(eq(sitting.id, open.id), isNull(sitting.finishedAt)));
  recall(open.id);
  return { ...open, finishedAt: at };
}

async function keepAll({ db }: Context, additions: readonly Addition[]): Promise<boolean> {
  for (const addition of additions) if ((await keep(db, addition)) !== 'kept') return false;
  return true;
}

/** The checks that are still to be made, one for each question that was left with something unchecked; null: none. */
async function lastChecks({ db }: Context, open: OpenSitting, at: Date): Promise<Addition[] | null> {
  const { moves, edition } = await recordOf(db, open);
  let n = moves.at(-1)?.n ?? 0;
  const checks = edition.models.flatMap((_, question): Addition[] => {
    const now = atOf(open, edition, moves, question);
    if (!now || !isUnchecked(now)) return [];
    const move = { kind: 'check' } as const;
    const taken = takeMove(now.model, now.standing, move);
    if (!taken.ok) return [];
    return [additionOf({ ...now, standing: taken.standing }, [{ id: randomUUID(), move }], ++n, at, true)];
  });
  return checks.length > 0 ? checks : null;
}

const isUnchecked = ({ standing: { ended, judged, board } }: At) => !ended && judged === null && board.zoneOf.size > 0;

/** The account of a finished sitting, question by question. */
export async function summaryOf({ db, now }: Context, open: OpenSitting): Promise<Summary> {
  const { moves, edition } = await recordOf(db, open);
  const questions = edition.models.flatMap((model, question) => {
    const standing = atOf(open, edition, moves, question)?.standing;
    if (!standing) return [];
    const shown = model.question.show.mark;
    return [
      {
        title: model.question.title,
        tries: standing.tries.length,
        fullMarks: shown ? (markSoFar(model, standing.tries)?.fullMarks ?? false) : null,
        max: model.question.marks.max,
        reckoning: reckoning(model, standing),
      },
    ];
  });
  const all = edition.models.every(({ question }) => question.show.mark);
  return {
    id: open.id,
    finishedAt: open.finishedAt ?? now(),
    questions,
    total: all ? { mark: sumOf(questions.map((one) => one.reckoning?.mark ?? 0)), max: sumOf(questions.map(({ max }) => max)) } : null,
  };
}

/** A sum of marks, which have four places at most, without the dust of binary fractions. */
export const withoutDust = (sum: number): number => Math.round(sum * 1e4) / 1e4;
const sumOf = (marks: readonly number[]) => withoutDust(marks.reduce((sum, mark) => sum + mark, 0));
