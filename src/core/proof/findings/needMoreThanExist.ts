import type { FindingRule } from './finding';
import { zoneId, zoneNamed } from './named';

/** A zone needs more copies than there are of what belongs in it. */
export const needMoreThanExist: FindingRule = ({ model }) =>
  model.entries.flatMap(({ zone, order, lo }) => {
    const exist = order.reduce(
      (sum, i) => sum + (model.question.items[i]?.copies === 'endless' ? Infinity : (model.items[i]?.copies ?? 0)),
      0,
    );
    if (lo <= exist) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `${zoneNamed(model, zone)} needs ${lo}, but there are only ${exist} of what belongs there.`,
        mend: 'Lower the number needed, or give the items more copies.',
      },
    ];
  });
