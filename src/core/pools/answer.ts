import type { Question } from '../document/schema';
import type { QuestionModel } from '../judge/model';
import { judge } from '../marks/mark';
import { boardOf } from '../marks/typical';
import type { ModelPlacement } from '../proof/solve/solve';
import { random, seedOf } from '../random/random';
import { drawFrom, drawnQuestion } from './draw';

/** What is left of the model answer of the whole question, if it still earns full marks; null: it does not. */
export function drawnAnswer(
  drawn: QuestionModel,
  whole: readonly ModelPlacement[] | null,
): readonly ModelPlacement[] | null {
  if (!whole || whole.every(({ item }) => drawn.itemAt.has(item))) return whole;
  const placements = whole.filter(({ item }) => drawn.itemAt.has(item));
  return judge(drawn, boardOf(drawn, placements), 1).fullMarks ? placements : null;
}

/** The question as a seed draws it, where no sitting does: for a rehearsal or a paper. */
export const drawnBySeed = (question: Question, seed: string): Question =>
  drawnQuestion(question, drawFrom(question, random(seedOf(`${seed}/pools`))));
