import type { FindingRule } from './finding';
import { itemId, zoneId } from './named';

const MIN_PAIRS = 3;
const numberIn = (words: string): string | null => /\d+/.exec(words)?.[0] ?? null;

/** As a list it is solved without knowing: what belongs together has the same number, or the same place in its list. */
export const listGivesAway: FindingRule = ({ model }) => {
  const { items, zones, tray } = model.question;
  const moved = model.entries.filter(
    ({ zone, sequence, hi }) => !sequence && hi > 0 && !zones[zone]?.typed && !zones[zone]?.menu,
  );
  const pairs = moved.flatMap(({ zone, order }) => (order.length === 1 ? [{ zone, item: order[0] as number }] : []));
  if (pairs.length < MIN_PAIRS || pairs.length < moved.length) return [];
  const where = pairs.flatMap(({ zone, item }) => [zoneId(model, zone), itemId(model, item)]);
  const numbers = pairs.map(({ zone, item }) => {
    const [inZone, inItem] = [numberIn(zones[zone]?.label ?? ''), numberIn(items[item]?.label ?? '')];
    return inZone !== null && inZone === inItem ? inZone : null;
  });
  if (numbers.every((number) => number !== null) && new Set(numbers).size === numbers.length)
    return [
      {
        where,
        message: 'As a list it is solved by the numbers: every item has the number of its zone.',
        mend: 'Name zones or items by something that does not tell which go together.',
      },
    ];
  const inOrder = [...pairs]
    .sort((a, b) => a.zone - b.zone)
    .every(({ item }, i, all) => i === 0 || item > (all[i - 1]?.item ?? -1));
  if (!inOrder || tray?.order === 'shuffled') return [];
  return [
    {
      where,
      message: 'As a list it is solved by the order: the items are listed in the order of their zones.',
      mend: 'Shuffle the start order, or list the items in another one.',
    },
  ];
};
