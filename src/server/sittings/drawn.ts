import { LRUCache } from 'lru-cache';
import { drawFrom, drawnQuestion, type QuestionModel, questionModel } from '../../core';
import { drawer } from './draw';

/** Models of questions as they were drawn, by what was drawn; each process caches them for itself. */
const cached = new WeakMap<QuestionModel, LRUCache<string, QuestionModel>>();
const MAX_DRAWS = 500;

/**
 * A question of an edition as it was drawn for an attempt, by the attempt's seed and the question's index: always the
 * same. A question without pools is itself.
 */
export function drawnFor(model: QuestionModel, seed: string, question: number): QuestionModel {
  if (model.question.pools.length === 0) return model;
  const drawn = drawFrom(model.question, drawer(seed, `pools/${question}`));
  const draws = cached.get(model) ?? new LRUCache<string, QuestionModel>({ max: MAX_DRAWS });
  cached.set(model, draws);
  const name = JSON.stringify(drawn);
  const known = draws.get(name) ?? questionModel(drawnQuestion(model.question, drawn));
  draws.set(name, known);
  return known;
}
