import { LRUCache } from 'lru-cache';
import {
  boardOf,
  drawFrom,
  drawnQuestion,
  judge,
  type ModelPlacement,
  type QuestionModel,
  questionModel,
} from '../../core';
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

/** What is left of the model answer of the whole question, if it still earns full marks; null: it does not. */
export function drawnAnswer(
  drawn: QuestionModel,
  whole: readonly ModelPlacement[] | null,
): readonly ModelPlacement[] | null {
  if (!whole || whole.every(({ item }) => drawn.itemAt.has(item))) return whole;
  const placements = whole.filter(({ item }) => drawn.itemAt.has(item));
  return judge(drawn, boardOf(drawn, placements), 1).fullMarks ? placements : null;
}
