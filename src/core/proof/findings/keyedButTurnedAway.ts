import { couldBelong } from '../../judge/belong';
import { isKeyed } from '../../judge/model';
import type { FindingRule } from './finding';
import { isTrap, itemId, itemNamed, zoneId, zoneNamed } from './named';

/** A keyed item never gets into its zone, since wherever it reaches it another zone wins, and turns it away. */
export const keyedButTurnedAway: FindingRule = ({ model, reachable }) =>
  model.entries.flatMap((entry) => {
    if (isTrap(entry)) return [];
    return couldBelong(model, entry).flatMap((item) => {
      const found = reachable(item, entry.zone);
      if (found.can !== 'loses') return [];
      const winner = model.zones[found.to];
      if (!winner?.keyedOnly || isKeyed(model, found.to, item)) return [];
      return [
        {
          where: [itemId(model, item), zoneId(model, entry.zone), winner.id],
          message: `${itemNamed(model, item)} belongs in ${zoneNamed(model, entry.zone)}, but ${zoneNamed(model, found.to)} lies over it and turns the item away.`,
          mend: 'Move one of the zones, or put the zone that is meant later in the list.',
        },
      ];
    });
  });
