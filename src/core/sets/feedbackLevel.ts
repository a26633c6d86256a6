import type { Question } from '../document/schema';
import type { QuestionModel } from '../judge/model';
import { restsOnKey } from '../judge/when';

/**
 * The feedback levels: nothing; what is right and wrong; the author's feedback too; a model answer too. Each includes
 * those before it.
 */
export const FEEDBACK_LEVELS = ['nothing', 'verdicts', 'feedback', 'modelAnswer'] as const;
export type FeedbackLevel = (typeof FEEDBACK_LEVELS)[number];

/**
 * A question with deferred feedback: it is checked once, when the attempt ends. Its key and marks are unchanged; its
 * zones do not turn items away by the key, because that would show the key.
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
 * The same model with feedback limited to a level; a question that gives less still gives less. How it judges does not
 * change.
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
      // What a fixture answers to a verdict is the author's feedback too.
      fixtures: question.fixtures.map((fixture) =>
        fixture.when
          ? {
              ...fixture,
              when: { ...fixture.when, events: fixture.when.events.filter((event) => !restsOnKey(question, event)) },
            }
          : fixture,
      ),
    },
  };
}
