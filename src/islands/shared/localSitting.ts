import {
  applyBatch,
  arrangementView,
  type BoardView,
  cloneBoard,
  drawnAnswer,
  drawnBySeed,
  learnerEdition,
  type ModelPlacement,
  type Move,
  movesView,
  type Names,
  type Question,
  type QuestionModel,
  questionModel,
  questionView,
  random,
  type Standing,
  seedOf,
  untouched,
} from '../../core';
import type { Send } from '../player/store';
import type { MovesAnswer, SittingView } from '../player/types';

/**
 * An attempt that the page itself judges, by the same core as the server: a rehearsal at the Bench, a question on the
 * board. Nothing of it is stored.
 */
export interface LocalSitting {
  readonly model: QuestionModel;
  readonly names: Names;
  /** As it stands now. */
  readonly view: () => SittingView;
  readonly standing: () => Standing;
  /** Goes back to where it stood before, or on from it. */
  readonly restore: (standing: Standing) => void;
  /** An arrangement such as the model answer, or a part of it. */
  readonly arranged: (placements: readonly ModelPlacement[]) => BoardView;
  readonly send: Send;
}

interface Options {
  /** Everything that is drawn is drawn by it. */
  readonly seed: string;
  /** The model answer of the whole question, as soon as one is found. */
  readonly full: () => readonly ModelPlacement[] | null;
  /** Called with the moves that were taken and what came of them. */
  readonly onMoves?: (moves: readonly Move[], answer: MovesAnswer) => void;
}

export function localSitting(whole: Question, { seed, full, onMoves }: Options): LocalSitting {
  const question = drawnBySeed(whole, seed);
  const model = questionModel(question);
  const edition = learnerEdition(question, random(seedOf(seed)));
  const sat = () => ({ model, edition, modelAnswer: drawnAnswer(model, full()) });
  let standing: Standing = untouched(model);
  let last = 0;
  const viewed = () => ({ ...questionView(sat(), standing), last });

  const send: Send = async (_, moves) => {
    const took = applyBatch(model, edition.names, standing, moves);
    if (!took.ok)
      return {
        ok: false,
        error: { code: 'sittingMovedOn', message: 'The question has ended', nextStep: '', detail: viewed() },
      };
    standing = took.standing;
    last += took.taken.length;
    const answer = { last, ...movesView(sat(), standing, took) };
    onMoves?.(
      took.taken.map(({ move }) => move),
      answer,
    );
    return { ok: true, value: answer };
  };
  return {
    model,
    names: edition.names,
    view: () => ({ ...ALONE, ...viewed() }),
    standing: () => aside(standing),
    restore: (before) => {
      standing = aside(before);
    },
    arranged: (placements) => arrangementView({ model, edition }, placements),
    send,
  };
}

/** A copy: the board of a standing is used up by the next move. */
const aside = (standing: Standing): Standing => ({ ...standing, board: cloneBoard(standing.board) });

/** What is said of an attempt around its question, where there is no release. */
const ALONE = {
  ...{ id: 'local', release: '', course: '', courseLang: null, appearance: 'paper', ends: null, sources: [] },
  place: {
    ...{ at: 0, count: 1, goBack: true, reached: 0, tried: [], ended: [], section: '' },
    ...{ struck: false, deferred: false, finished: false },
  },
} satisfies Partial<SittingView>;
