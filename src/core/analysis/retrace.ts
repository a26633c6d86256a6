import { type Board, cloneBoard } from '../judge/board';
import type { QuestionModel } from '../judge/model';
import type { Outcome } from '../judge/placement';
import { applyMove, type Move, type Standing, type Try, untouched } from '../judge/replay';
import type { Made } from './digest';

/** Where a question stood after one move of a sitting; the first is before any. */
export interface Frame {
  /** Milliseconds since 1970; the first frame has the first move's. */
  readonly at: number;
  readonly move: Move | null;
  readonly outcome: Outcome | null;
  /** It could not be taken: by a corrected edition the question had ended. */
  readonly passedOver: boolean;
  readonly board: Board;
  readonly tries: number;
  /** How the board was last judged: not at all, by the last try, or as something landed. */
  readonly judged: Try | null;
  /** This move was, or brought about, a try. */
  readonly tried: Try | null;
  readonly ended: boolean;
}

/** A sitting's moves of one question played through: a frame before them and one after each. */
export function retrace(model: QuestionModel, moves: readonly Made[]): Frame[] {
  let now: Standing = untouched(model);
  const frame = (at: number, rest: Pick<Frame, 'move' | 'outcome' | 'passedOver' | 'tried'>): Frame => ({
    at,
    ...rest,
    board: cloneBoard(now.board),
    tries: now.tries.count,
    judged: now.judged,
    ended: now.ended,
  });
  const frames = [frame(moves[0]?.at ?? 0, { move: null, outcome: null, passedOver: false, tried: null })];
  for (const { move, at } of moves) {
    const before = now.tries.count;
    // What is taken uses the standing up; what is refused may have too.
    const taken = applyMove(model, { ...now, board: cloneBoard(now.board) }, move);
    if (taken.ok) now = taken.standing;
    frames.push(
      frame(at, {
        move,
        outcome: taken.ok ? taken.outcome : null,
        passedOver: !taken.ok,
        tried: now.tries.count > before ? now.tries.last : null,
      }),
    );
  }
  return frames;
}
