import { earned, type Move, markSoFar } from '../../core';
import type { Addition } from './keep';
import type { At } from './standing';

/** What moves from a number on add to the record, with the mark the question has come to if it was `tried` among them. */
export function additionOf(at: At, taken: readonly { readonly id: string; readonly move: Move }[], first: number, when: Date, tried: boolean): Addition {
  const { sitting: open, question, points, model, standing } = at;
  const best = tried ? markSoFar(model, standing.tries) : null;
  return {
    moves: taken.map(({ id, move }, i) => ({ sittingId: open.id, n: first + i, id, edition: open.edition, question, body: move, at: when })),
    standing: best && {
      sittingId: open.id,
      question,
      tries: standing.tries.length,
      mark: best.mark,
      max: best.max,
      points: earned(best.mark, best.max, points),
      fullMarks: best.fullMarks,
      ended: standing.ended,
      checkedAt: when,
    },
  };
}
