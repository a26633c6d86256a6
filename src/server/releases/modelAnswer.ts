import { type ModelPlacement, modelAnswerOf, type Question, questionModel } from '../../core';

const SOLVE_MS = 2000;

/**
 * One full-mark arrangement, found once so that every learner sees the same one; null if the author does not show it,
 * or none was found in time.
 */
export function modelAnswer({ question }: { readonly question: Question }): readonly ModelPlacement[] | null {
  return question.show.modelAnswer === 'never'
    ? null
    : modelAnswerOf(questionModel(question), SOLVE_MS, { now: () => performance.now() });
}
