import { emptyBoard } from '../../judge/board';
import { copyOf, type QuestionModel } from '../../judge/model';
import { placeByKey } from '../../judge/placeByKey';
import { judge } from '../../marks/mark';
import { standInCopies } from '../guess/setting';
import type { FindingRule } from './finding';
import { percent, zoneId, zoneNamed } from './named';

const MAX_EARNED = 0.5;
const MAX_COPIES = 500;

/** Every copy in one zone, as far as the zone lets it in, earns more than half. */
export const allInEarns: FindingRule = ({ model }) => {
  if (model.entries.length === 0) return [];
  const most = mostWith(model);
  return model.zones.flatMap((_, zone) => {
    if (most(zone) <= MAX_EARNED) return [];
    const board = emptyBoard(model);
    model.items.forEach(({ id }, item) => {
      const copies = Math.min(MAX_COPIES, standInCopies(model, item));
      for (let copy = 0; copy < copies; copy++)
        if (!board.zoneOf.has(copyOf(item, copy)))
          placeByKey(model, board, { item: id, copy, zone: zoneId(model, zone) });
    });
    const { fraction } = judge(model, board, 1);
    if (fraction <= MAX_EARNED) return [];
    return [
      {
        where: [zoneId(model, zone)],
        message: `Whoever puts everything into ${zoneNamed(model, zone)} earns ${percent(fraction)} of the mark.`,
        mend: 'Let wrong placements cost, give the zone a capacity, or key more to other zones.',
      },
    ];
  });
};

/** The most that an answer can earn in which all zones but one are empty: most zones need no closer look. */
function mostWith(model: QuestionModel): (zone: number) => number {
  const { counted, rule } = judge(model, emptyBoard(model), 1);
  // A copy in one zone may fill an either entry: then each zone needs a closer look.
  if (counted.either.length > 0) return () => 1;
  const credited = counted.entries;
  const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
  const at = new Map(credited.map((one) => [one.tally.entry.zone, one]));
  const missed = credited.filter(({ tally }) => !tally.satisfied).length;
  const earned = sum(
    credited.map(({ tally, c }) => (rule === 'perZone' ? (tally.satisfied ? tally.entry.weight : 0) : c)),
  );
  const all = sum(credited.map(({ tally, n }) => (rule === 'perZone' ? tally.entry.weight : n)));
  return (zone) => {
    const here = at.get(zone);
    if (rule === 'allOrNothing') return missed - (here && !here.tally.satisfied ? 1 : 0) === 0 ? 1 : 0;
    if (!here) return earned / all;
    const [without, within] =
      rule === 'perZone'
        ? [here.tally.satisfied ? here.tally.entry.weight : 0, here.tally.entry.weight]
        : [here.c, here.n];
    return (earned - without + within) / all;
  };
}
