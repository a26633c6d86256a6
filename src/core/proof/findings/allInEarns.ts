import { emptyBoard } from '../../judge/board';
import { copyOf } from '../../judge/model';
import { take } from '../../judge/take';
import { judge } from '../../marks/mark';
import { standInCopies } from '../guess/setting';
import type { FindingRule } from './finding';
import { percent, zoneId, zoneNamed } from './named';

const MOST_EARNED = 0.5;
const MOST_COPIES = 500;

/** Every copy in one zone, as far as the zone lets it in, earns more than half. */
export const allInEarns: FindingRule = ({ model }) => {
  if (model.entries.length === 0) return [];
  return model.zones.flatMap((_, zone) => {
    const board = emptyBoard(model);
    model.items.forEach(({ id }, item) => {
      const copies = Math.min(MOST_COPIES, standInCopies(model, item));
      for (let copy = 0; copy < copies; copy++)
        if (!board.zoneOf.has(copyOf(item, copy))) take(model, board, { item: id, copy, zone: zoneId(model, zone) }, (z, i) => model.entryOf[z]?.belongs.has(i) === true);
    });
    const { fraction } = judge(model, board, 1);
    if (fraction <= MOST_EARNED) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `Whoever puts everything into ${zoneNamed(model, zone)} earns ${percent(fraction)} of the mark.`,
        mend: 'Let wrong placements cost, give the zone a capacity, or key more to other zones.',
      },
    ];
  });
};
