import { createHash } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { earned, type Move, markSoFar, rejudge, roundMark, type Standing } from '../../core';
import type { Context } from '../context';
import { edition as editions, sitting, type standing } from '../database/tables';
import { editionOf, type OpenEdition } from '../releases/editions';
import { drawer } from './draw';
import { drawnFor } from './drawn';
import { FEW_MOVES, lastMoveOf, movesOf, movesText } from './manyMoves';

type StandingRow = typeof standing.$inferInsert;

/** The score of an attempt under an edition. */
export interface Regraded {
  readonly sittingId: string;
  readonly learnerId: string;
  readonly outOf: number;
  readonly points: number;
  readonly standings: readonly StandingRow[];
  /** The number of the last move that was replayed; 0 if there is none. */
  readonly last: number;
}

interface Sat {
  readonly id: string;
  readonly learnerId: string;
  readonly seed: string;
  readonly began: number;
}

/** Attempts read at once; other requests run in between. */
const AT_ONCE = 50;

/**
 * Replays every attempt of a release (or those in `only`) under an edition. It is the same replay by which an attempt
 * continues.
 */
export async function* regraded(
  context: Regrading,
  releaseId: string,
  edition: OpenEdition,
  only?: ReadonlySet<string>,
): AsyncGenerator<Regraded> {
  const { db } = context;
  const all: Sat[] = await db
    .select({ id: sitting.id, learnerId: sitting.learnerId, seed: sitting.seed, began: sitting.began })
    .from(sitting)
    .where(eq(sitting.releaseId, releaseId));
  const sat = only ? all.filter(({ id }) => only.has(id)) : all;
  for (let i = 0; i < sat.length; i += AT_ONCE)
    for (const attempt of sat.slice(i, i + AT_ONCE)) {
      const began = attempt.began === edition.number ? edition : await editionOf(db, releaseId, attempt.began);
      yield await regradeOne(context, edition, attempt, began.asked(drawer(attempt.seed, 'questions')));
      await new Promise((resolve) => setImmediate(resolve));
    }
}

/** What a replay needs. `content`: the edition as JSON text, for attempts with many moves. */
export interface Regrading extends Pick<Context, 'db' | 'work'> {
  readonly content: () => string;
}

/** Replays one attempt under an edition. */
export async function regradeSitting(
  context: Pick<Context, 'db' | 'work'>,
  edition: OpenEdition,
  sittingId: string,
): Promise<Regraded> {
  const one = await context.db.query.sitting.findFirst({ where: eq(sitting.id, sittingId) });
  if (!one) throw new Error(`There is no sitting ${sittingId}`);
  const began = one.began === edition.number ? edition : await editionOf(context.db, one.releaseId, one.began);
  const [row] = await context.db
    .select({ content: sql<string>`${editions.content}` })
    .from(editions)
    .where(and(eq(editions.releaseId, one.releaseId), eq(editions.number, edition.number)));
  return regradeOne(
    { ...context, content: () => row?.content ?? '' },
    edition,
    one,
    began.asked(drawer(one.seed, 'questions')),
  );
}

async function regradeOne(
  { db, work, content }: Regrading,
  edition: OpenEdition,
  one: Sat,
  asked: readonly number[],
): Promise<Regraded> {
  if ((await lastMoveOf(db, one.id)) > FEW_MOVES) {
    const moves = await movesText(db, one.id);
    const sitting = { id: one.id, learnerId: one.learnerId, seed: one.seed };
    const text = content();
    const name = createHash('sha256').update(text).digest('base64url');
    const worked = await work.run('regradeMoves', {
      edition: { name, number: edition.number, content: text },
      sitting,
      asked,
      moves,
    });
    if (worked.ok && worked.value.ok) return worked.value.value;
    throw new Error(`Sitting ${one.id} could not be judged again within its time limit`);
  }
  return regrade(one, await movesOf(db, one.id), edition, asked);
}

interface Made {
  readonly n: number;
  readonly question: number;
  readonly body: Move;
  readonly at: Date;
}

export function regrade(
  { id, learnerId, seed }: Pick<Sat, 'id' | 'learnerId' | 'seed'>,
  moves: readonly Made[],
  { models, points }: OpenEdition,
  asked: readonly number[],
): Regraded {
  const standings = asked.flatMap((question): StandingRow[] => {
    const whole = models[question];
    const model = whole && drawnFor(whole, seed, question);
    const mine = moves.filter((move) => move.question === question);
    const last = mine.at(-1);
    if (!model || !last) return [];
    const now: Standing = rejudge(
      model,
      mine.map(({ body }) => body),
    );
    const best = markSoFar(model, now.tries);
    if (!best) return [];
    return [
      {
        sittingId: id,
        question,
        tries: now.tries.count,
        mark: best.mark,
        max: best.max,
        points: earned(best.mark, best.max, points[question] ?? 0),
        fullMarks: best.fullMarks,
        ended: now.ended,
        checkedAt: last.at,
      },
    ];
  });
  return {
    sittingId: id,
    learnerId,
    outOf: roundMark(asked.reduce((sum, question) => sum + (points[question] ?? 0), 0)),
    points: roundMark(standings.reduce((sum, standing) => sum + (standing.points ?? 0), 0)),
    standings,
    last: moves.at(-1)?.n ?? 0,
  };
}
