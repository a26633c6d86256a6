import type { FindingRule } from './finding';
import { itemId, itemNamed } from './named';

/** An item that the family of no zone admits. */
export const noZoneAdmits: FindingRule = ({ model }) => {
  const { zones } = model;
  if (zones.length === 0 || zones.some(({ family }) => family === null)) return [];
  return model.items.flatMap(({ family }, item) =>
    zones.some((zone) => zone.family === family)
      ? []
      : [
          {
            where: [itemId(model, item)],
            message: `No zone takes ${itemNamed(model, item)}: every zone takes only a family that it is not of.`,
            mend: 'Give it the family of a zone, also where it belongs nowhere: else it shows that by being refused.',
          },
        ],
  );
};
