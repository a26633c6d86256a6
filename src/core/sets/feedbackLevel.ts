import type { Question } from '../document/schema';
import type { QuestionModel } from '../judge/model';

/**
 * How much learners are told of an answer: nothing, what is right and wrong, the author's words for it too, a model
 * answer too. Each holds what those before it do.
 */
export const FEEDBACK_LEVELS = ['nothing', 'verdicts', 'feedback', 'modelAnswer'] as const;
export type FeedbackLevel = (typeof FEEDBACK_LEVELS)[number];

/**
 * A question that is answered in silence: checked once, at the end of the sitting. Its key and marks are as they were;
 * its zones turn nothing away that is not keyed to them, which would tell the key.
 */
export const deferFeedback = (question: Question): Question => ({
  ...question,
  tries: 1,
  judging: 'onCheck',
  afterMiss: 'leave',
  hints: [],
  zones: question.zones.map((zone) => (zone.welcome === 'keyed' ? { ...zone, welcome: 'anyone' } : zone)),
  show: { ...question.show, nextOnlyAfterCheck: false },
});

/**
 * The same model, saying no more than is allowed; what its author does not say, it does not say either. What it judges
 * does not change.
 */
export function limitFeedback(model: QuestionModel, feedbackLevel: FeedbackLevel): QuestionModel {
  if (feedbackLevel === 'modelAnswer') return model;
  const { question } = model;
  const show: Question['show'] = {
    ...question.show,
    modelAnswer: 'never',
    mark: question.show.mark && feedbackLevel !== 'nothing',
  };
  if (feedbackLevel === 'feedback') return { ...model, question: { ...question, show } };
  return {
    ...model,
    question: {
      ...question,
      show,
      feedback: { right: null, partly: null, wrong: null },
      key: question.key.map((entry) => ({ ...entry, says: null })),
    },
  };
}
