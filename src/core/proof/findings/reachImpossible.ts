import type { Reach } from '../../document/schema';
import { couldBelong } from '../../judge/belong';
import type { FindingRule } from './finding';
import { isTrap, percent, zoneNamed } from './named';

const asked = (reach: Reach): string => {
  switch (reach.rule) {
    case 'share':
      return `${percent(reach.share)} of an item has to be over it`;
    case 'inside':
      return 'an item has to be wholly inside it';
    case 'touch':
      return 'an item has to touch it';
    case 'centre':
      return 'the middle of an item has to be in it';
    case 'pointer':
      return 'the pointer has to be in it';
  }
};

/** No keyed item can reach the zone by its rule, wherever it is put on the scene. */
export const reachImpossible: FindingRule = ({ model, reachable }) =>
  model.entries.flatMap((entry) => {
    const items = couldBelong(model, entry);
    const zone = model.zones[entry.zone];
    if (!zone || isTrap(entry) || items.length === 0) return [];
    let most = 0;
    for (const item of items) {
      const found = reachable(item, entry.zone);
      if (found.can !== 'never') return [];
      most = Math.max(most, found.share);
    }
    return [
      {
        where: [zone.id],
        message: `Nothing that belongs in ${zoneNamed(model, entry.zone)} can reach it: ${asked(zone.reach)}, and at most ${percent(most)} of one can be.`,
        mend: 'Make the zone larger or the items smaller, bring the zone onto the scene, or ask for less of the item.',
      },
    ];
  });
