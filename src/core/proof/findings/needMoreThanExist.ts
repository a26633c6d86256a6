import type { FindingRule } from './finding';

/** A zone needs more copies than its keyed items have. */
export const needMoreThanExist: FindingRule = ({ question, entries, items }) =>
  entries.flatMap((entry) => {
    const zone = question.zones[entry.zone];
    const exist = entry.order.reduce((sum, i) => sum + (question.items[i]?.copies === 'endless' ? Infinity : (items[i]?.copies ?? 0)), 0);
    if (!zone || entry.lo <= exist) return [];
    return [
      {
        where: [zone.id],
        message: `"${zone.label || zone.id}" needs ${entry.lo}, but only ${exist} of what belongs there exist.`,
        mend: 'Lower the number needed, or give the items more copies.',
      },
    ];
  });
