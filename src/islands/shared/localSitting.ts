import {
  applyBatch,
  drawnAnswer,
  drawnBySeed,
  learnerEdition,
  type ModelPlacement,
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
} from '../../../core';
import type { Send } from '../../player/store';
import type { SittingView } from '../../player/types';

/**
 * A rehearsal's attempt, which is not stored: the question as a learner sees it, judged in the page by the same core as
 * on the server.
 */
export interface Rehearsal {
  readonly view: SittingView;
  readonly send: Send;
  readonly model: QuestionModel;
  readonly names: Names;
}

/** `full`: the model answer, as soon as Proof has found one. */
export function rehearsal(whole: Question, seed: string, full: () => readonly ModelPlacement[] | null): Rehearsal {
  // Every new seed is a new draw.
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
    return { ok: true, value: { last, ...movesView(sat(), standing, took) } };
  };
  const place = {
    at: 0,
    count: 1,
    goBack: true,
    reached: 0,
    tried: [],
    ended: [],
    section: '',
    deferred: false,
    finished: false,
  };
  return {
    view: {
      id: 'rehearsal',
      release: '',
      course: '',
      courseLang: null,
      appearance: 'paper',
      place,
      ends: null,
      sources: [],
      ...viewed(),
    },
    send,
    model,
    names: edition.names,
  };
}
