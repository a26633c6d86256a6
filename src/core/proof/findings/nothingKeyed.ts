import type { FindingRule } from './finding';

/** The key is empty: there is nothing to judge. */
export const nothingKeyed: FindingRule = ({ model }) =>
  model.entries.length > 0
    ? []
    : [
        {
          where: [],
          message: 'No zone has a key, so no answer can be judged.',
          mend: 'Say in the key grid which items belong in which zone.',
        },
      ];
