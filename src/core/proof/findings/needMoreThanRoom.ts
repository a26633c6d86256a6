import type { FindingRule } from './finding';
import { listed, zoneId, zoneNamed } from './named';

/** A zone needs more copies than its capacity lets in. */
export const needMoreThanRoom: FindingRule = ({ model }) =>
  [...model.entries.map(({ zone, lo }) => ({ zones: [zone], lo })), ...model.either].flatMap(({ zones, lo }) => {
    const capacity = zones.reduce((sum, zone) => sum + (model.zones[zone]?.capacity ?? Infinity), 0);
    if (lo <= capacity) return [];
    return [
      {
        where: zones.map((zone) => zoneId(model, zone)),
        message:
          zones.length > 1
            ? `${listed(zones.map((zone) => zoneNamed(model, zone)))} together need ${lo} but hold no more than ${capacity}.`
            : `${zoneNamed(model, zones[0] ?? -1)} needs ${lo} but holds no more than ${capacity}.`,
        mend: 'Raise its capacity, or lower the number needed.',
      },
    ];
  });
