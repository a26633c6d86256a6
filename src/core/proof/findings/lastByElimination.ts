import type { FindingRule } from './finding';

/** As many copies as places, one each: who knows all but one has the last for nothing. */
export const lastByElimination: FindingRule = ({ model }) => {
  const endless = model.question.items.some(({ copies }) => copies === 'endless');
  const copies = model.items.reduce((sum, item) => sum + item.copies, 0);
  const places = model.entries.filter(({ hi }) => hi > 0);
  if (
    endless ||
    model.either.length > 0 ||
    places.length < 2 ||
    copies !== places.length ||
    places.some(({ lo, hi }) => lo !== 1 || hi !== 1)
  )
    return [];
  return [
    {
      where: [],
      message: `There are ${copies} items for ${copies} places, one each: the last one is found by elimination.`,
      mend: 'Add an item that belongs nowhere, or let one serve twice.',
    },
  ];
};
