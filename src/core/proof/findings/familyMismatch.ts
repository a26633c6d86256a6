import type { FindingRule } from './finding';

/** An item is keyed to a zone that takes only items of another family. */
export const familyMismatch: FindingRule = ({ question, entries, items, zones }) =>
  entries.flatMap((entry) => {
    const zone = question.zones[entry.zone];
    const family = zones[entry.zone]?.family ?? null;
    if (!zone || family === null) return [];
    return entry.order
      .filter((i) => items[i]?.family !== family)
      .map((i) => ({
        where: [question.items[i]?.id ?? '', zone.id],
        message: `"${question.items[i]?.label}" belongs in "${zone.label || zone.id}", which takes only the family "${family}".`,
        mend: 'Give the item the same family, or take the family off the zone.',
      }));
  });
