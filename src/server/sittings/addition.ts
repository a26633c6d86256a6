import { earned, type Move, markSoFar } from '../../core';
import type { Addition } from './appendMoves';
import type { At } from './standing';

interface Adding {
  readonly taken: readonly { readonly id: string; readonly move: Move }[];
  /** The number of the first move. */
  readonly first: number;
  readonly at: Date;
  /** A try is among them, so the question's standing is stored too. */
  readonly tried: boolean;
  /** The session the moves were sent under (null: not checked), or that they are made as the attempt ends. */
  readonly by: { readonly session: string | null; readonly steady: number } | 'ending';
}

/** The rows that moves add. */
export function additionOf(
  { sitting: open, question, points, model, standing }: At,
  { taken, first, at, tried, by }: Adding,
): Addition {
  const best = tried ? markSoFar(model, standing.tries) : null;
  return {
    sittingId: open.id,
    edition: open.edition,
    question,
    at,
    moves: taken.map(({ id, move }, i) => ({ n: first + i, id, body: move })),
    guard:
      by === 'ending'
        ? null
        : { ...by, reached: open.reached, reopenedAfter: open.reopenedAfter, usedMs: open.usedMs, timed: open.timed },
    standing: best && {
      tries: standing.tries.count,
      mark: best.mark,
      max: best.max,
      points: earned(best.mark, best.max, points),
      fullMarks: best.fullMarks,
      ended: standing.ended,
    },
  };
}
