import { boxForWords, widthForTitle } from '../text/labels';
import type { FindingRule } from './finding';
import { itemId, itemNamed, zoneId, zoneNamed } from './named';

/** A text needs more than its box at the font it is shown in. */
export const labelDoesNotFit: FindingRule = ({ model }) => {
  const { question } = model;
  const mend = 'Make it larger, or the words fewer.';
  const tooLong = question.items.flatMap((item, i) =>
    boxForWords(question, item)
      ? [{ where: [itemId(model, i)], message: `The words of ${itemNamed(model, i)} do not fit its box.`, mend }]
      : [],
  );
  const titles = question.zones.flatMap(({ label, look, hidden }, z) => {
    const box = model.zones[z]?.outline?.box;
    if (!box || hidden || widthForTitle(question, label, look) <= box.w) return [];
    return [
      { where: [zoneId(model, z)], message: `The title of ${zoneNamed(model, z)} does not fit its upper edge.`, mend },
    ];
  });
  return [...tooLong, ...titles];
};
