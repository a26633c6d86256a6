import type { FindingRule } from './finding';
import { itemId, itemNamed, zoneId, zoneNamed } from './named';

/** An item is keyed to a zone that takes only items of another family. */
export const familyMismatch: FindingRule = ({ model }) =>
  model.entries.flatMap(({ zone, order }) => {
    const family = model.zones[zone]?.family ?? null;
    if (family === null) return [];
    return order
      .filter((i) => model.items[i]?.family !== family)
      .map((i) => ({
        where: [itemId(model, i), zoneId(model, zone)],
        message: `${itemNamed(model, i)} belongs in ${zoneNamed(model, zone)}, which takes only the family "${family}".`,
        mend: 'Give the item the same family, or take the family off the zone.',
      }));
  });
