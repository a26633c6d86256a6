import { judge } from '../../marks/mark';
import type { FindingRule } from './finding';
import { percent } from './named';

/** An answer in which nothing was moved earns something. */
export const emptyEarns: FindingRule = ({ model }) => {
  if (model.entries.length === 0) return [];
  const { fraction } = judge(model, model.start, 1);
  if (fraction <= 0) return [];
  return [
    {
      where: [],
      message: `Whoever moves nothing earns ${percent(fraction)} of the mark.`,
      mend: 'Give traps and zones that may stay empty no weight, or let wrong placements cost.',
    },
  ];
};
