import type { FindingRule } from './finding';
import { itemId, zoneId, zoneNamed } from './named';

const LEAST = 3;

/** Items are shown unshuffled and in the key's order: a sequence's, or zone after zone. */
export const orderGivesAway: FindingRule = ({ model }) => {
  const { question, homes } = model;
  if (question.tray?.order === 'shuffled') return [];
  // As the eye goes: by lines, then along them.
  const shown = model.items
    .map((_, i) => i)
    .sort((a, b) => (homes[a]?.y ?? 0) - (homes[b]?.y ?? 0) || (homes[a]?.x ?? 0) - (homes[b]?.x ?? 0));
  const placeOf = new Map(shown.map((item, place) => [item, place]));
  const after = (item: number, before: number) => (placeOf.get(before) ?? 0) < (placeOf.get(item) ?? 0);
  const inShownOrder = (items: readonly number[]) =>
    items.length >= LEAST && items.every((item, i) => i === 0 || after(item, items[i - 1] as number));

  const sequences = model.entries.filter(
    ({ sequence, order, zone }) =>
      sequence &&
      inShownOrder(
        (model.start.zones[zone]?.length ?? 0) > 0 ? startOrder(model.start.zones[zone] ?? [], order) : order,
      ),
  );
  const found = sequences.map(({ zone, order }) => ({
    where: [zoneId(model, zone), ...order.map((item) => itemId(model, item))],
    message: `The items of ${zoneNamed(model, zone)} are shown in the very order that is asked for.`,
    mend: 'Shuffle the start order, or give them other homes.',
  }));
  // What is typed is not shown, and menus are in the order of the alphabet.
  const isMoved = (zone: number) => !question.zones[zone]?.typed && !question.zones[zone]?.menu;
  const sorted = model.entries.filter(({ sequence, hi, zone }) => !sequence && hi > 0 && isMoved(zone));
  const all = sorted.flatMap(({ order }) => order);
  if (sorted.length > 1 && new Set(all).size === all.length && inShownOrder(all))
    found.push({
      where: sorted.map(({ zone }) => zoneId(model, zone)),
      message: 'The items are shown in the order of the key, zone after zone.',
      mend: 'Shuffle the start order, or give them other homes.',
    });
  return found;
};

/** Where items stand in the zone from the start, that order is the one shown: none of them when it is not the key's. */
function startOrder(copies: readonly number[], order: readonly number[]): readonly number[] {
  const items = copies.map((copy) => Math.floor(copy / 10_000));
  return items.length === order.length && items.every((item, i) => item === order[i]) ? order : [];
}
