import type { FindingRule } from './finding';

/** A zone needs more copies than its capacity lets in. */
export const needMoreThanRoom: FindingRule = ({ question, entries, zones }) =>
  entries.flatMap((entry) => {
    const zone = question.zones[entry.zone];
    const capacity = zones[entry.zone]?.capacity ?? Infinity;
    if (!zone || entry.lo <= capacity) return [];
    return [
      { where: [zone.id], message: `"${zone.label || zone.id}" needs ${entry.lo} but holds no more than ${capacity}.`, mend: 'Raise its capacity, or lower the number needed.' },
    ];
  });
