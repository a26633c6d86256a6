import type { FindingRule } from './finding';

/** The maximum is 0. */
export const worthNothing: FindingRule = ({ model }) =>
  model.question.marks.max > 0
    ? []
    : [
        {
          where: [],
          message: 'The question is worth nothing: its maximum is 0.',
          mend: 'Give it a maximum under Words & marks.',
        },
      ];
