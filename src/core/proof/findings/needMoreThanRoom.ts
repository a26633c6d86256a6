import type { FindingRule } from './finding';
import { zoneId, zoneNamed } from './named';

/** A zone needs more copies than its capacity lets in. */
export const needMoreThanRoom: FindingRule = ({ model }) =>
  model.entries.flatMap(({ zone, lo }) => {
    const capacity = model.zones[zone]?.capacity ?? Infinity;
    if (lo <= capacity) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `${zoneNamed(model, zone)} needs ${lo} but holds no more than ${capacity}.`,
        mend: 'Raise its capacity, or lower the number needed.',
      },
    ];
  });
