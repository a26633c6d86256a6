import type { Board } from './board';
import type { Copy } from './copy';
import type { QuestionModel } from './model';
import { type EndedTry, judgedAt, type Standing } from './replay';
import { type Answered, NOTHING_ANSWERED } from './when';

/** An arrangement as JSON. */
export interface SavedBoard {
  readonly zones: readonly (readonly Copy[])[];
  readonly settledAt: readonly (readonly [Copy, number])[];
  readonly letGo: readonly (readonly [Copy, x: number, y: number])[];
  readonly texts: readonly (readonly [zone: number, text: string])[];
  readonly clock: number;
}
interface SavedTry {
  readonly number: number;
  readonly board: SavedBoard;
}

/**
 * The state of a question after some of its moves, as JSON. Judgements are worked out again from the arrangements, so
 * nothing of the key is in it. It fits only the question it was made with.
 */
export interface Checkpoint {
  readonly board: SavedBoard;
  readonly goingHome: readonly Copy[];
  /** How the board was last judged: not at all, by the last try, or as something landed. */
  readonly judged: 'no' | 'lastTry' | 'landing';
  readonly ended: boolean;
  readonly turnedAway: number;
  readonly hints: number;
  /** Left out in older checkpoints: nothing. */
  readonly answered?: Answered;
  readonly tries: { readonly count: number; readonly last: SavedTry | null; readonly best: SavedTry | null };
}

export const savedBoard = ({ zones, settledAt, letGo, texts, clock }: Board): SavedBoard => ({
  zones: zones.map((held) => [...held]),
  settledAt: [...settledAt],
  letGo: [...letGo].map(([copy, { x, y }]) => [copy, x, y] as const),
  texts: [...texts],
  clock,
});

export function restoredBoard({ zones, settledAt, letGo, texts, clock }: SavedBoard): Board {
  const zoneOf = new Map(zones.flatMap((held, zone) => held.map((copy) => [copy, zone] as const)));
  return {
    zones: zones.map((held) => [...held]),
    // In the order in which they settled, as it was.
    zoneOf: new Map(settledAt.map(([copy]) => [copy, zoneOf.get(copy) as number])),
    settledAt: new Map(settledAt),
    letGo: new Map(letGo.map(([copy, x, y]) => [copy, { x, y }])),
    texts: new Map(texts),
    clock,
  };
}

export function checkpointOf({
  board,
  goingHome,
  judged,
  ended,
  turnedAway,
  hints,
  answered,
  tries: { count, last, best },
}: Standing): Checkpoint {
  const savedTry = (endedTry: EndedTry | null): SavedTry | null =>
    endedTry && { number: endedTry.number, board: savedBoard(endedTry.board) };
  return {
    board: savedBoard(board),
    goingHome: [...goingHome],
    judged: judged === null ? 'no' : judged === last ? 'lastTry' : 'landing',
    ended,
    turnedAway,
    hints,
    answered,
    tries: { count, last: savedTry(last), best: savedTry(best) },
  };
}

/** The standing a checkpoint was made of. */
export function standingFrom(model: QuestionModel, checkpoint: Checkpoint): Standing {
  const { goingHome, ended, turnedAway, hints, answered = NOTHING_ANSWERED, tries } = checkpoint;
  const board = restoredBoard(checkpoint.board);
  const tryFrom = (savedTry: SavedTry | null): EndedTry | null => {
    if (!savedTry) return null;
    const then = restoredBoard(savedTry.board);
    return { ...judgedAt(model, then, savedTry.number), number: savedTry.number, board: then };
  };
  const last = tryFrom(tries.last);
  const best = tries.best && tries.best.number === last?.number ? last : tryFrom(tries.best);
  const judged =
    checkpoint.judged === 'no'
      ? null
      : checkpoint.judged === 'lastTry'
        ? last
        : judgedAt(model, board, tries.count + 1);
  return { board, goingHome, ended, turnedAway, hints, answered, judged, tries: { count: tries.count, last, best } };
}
