import { expose } from 'comlink';
import {
  drawnBySeed,
  type Earned,
  modelAnswerOf,
  type Question,
  questionModel,
  type Strategy,
  strategies,
} from '../core';

const SEARCH_SHARE = 0.25;

/** What strategies earn, off the page's own thread. Of a question with pools: as `seed` draws it. */
const api = {
  strategies: (question: Question, seed: string, milliseconds: number, which: readonly Strategy[]): Earned[] | null => {
    const model = questionModel(drawnBySeed(question, seed));
    const began = performance.now();
    const full = modelAnswerOf(model, milliseconds * SEARCH_SHARE, performance);
    return strategies(model, full, milliseconds - (performance.now() - began), performance, which);
  },
};
export type StrategiesApi = typeof api;

expose(api);
