import { ITEM_STATES, ZONE_STATES } from '../../document/appearance';
import { STATE_WORDS } from '../../looks/stateWords';
import { coloursIn } from '../../looks/style';
import { contrast, MIN_CONTRAST } from '../contrast';
import type { FindingRule } from './finding';

/** A look whose words stand out too little from their ground in some state. */
export const contrastLow: FindingRule = ({ model }) =>
  Object.entries(model.question.looks).flatMap(([id, look]) => {
    const low = (look.of === 'item' ? ITEM_STATES : ZONE_STATES).flatMap((state) => {
      const { fill, text } = coloursIn(look, state);
      const found = contrast(fill, text);
      return found < MIN_CONTRAST ? [`${STATE_WORDS[state] ?? state} ${found.toFixed(1)}`] : [];
    });
    if (low.length === 0) return [];
    return [
      {
        where: [id],
        message: `The look "${look.name || id}" is hard to read: ${low.join(', ')} to 1, where ${MIN_CONTRAST} is the least.`,
        mend: 'Take a darker text or a lighter fill.',
      },
    ];
  });
