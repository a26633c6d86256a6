import { type QuestionView, questionView } from '../../core';
import { type At, seedFor } from './standing';

export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  /** The number of the last move the server has. */
  last: number;
}

export function viewOf({ sitting, question, model, standing, last }: At): Omit<SittingView, 'release' | 'course'> {
  return { id: sitting.id, last, ...questionView(model, seedFor(sitting.seed, question), standing) };
}
