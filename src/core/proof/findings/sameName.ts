import { plainText } from '../../document/plain';
import type { Item } from '../../document/schema';
import type { FindingRule } from './finding';
import { itemId, zoneId } from './named';

const wordsOf = ({ label, content }: Pick<Item, 'label' | 'content'>): string =>
  label.trim() || (content?.text ? plainText(content.text).trim() : '');
const face = ({ size, content, look, label }: Item) =>
  JSON.stringify([label, size.w, size.h, content?.picture ?? null, content?.sound ?? null, look]);

/** Two zones, or two items that do not look alike, have the same words: only eyes can tell them apart. */
export const sameName: FindingRule = ({ model }) => {
  const { items, zones } = model.question;
  const twice = (names: readonly string[], differ: (a: number, b: number) => boolean) => {
    const first = new Map<string, number>();
    return names.flatMap((name, i): [number, number][] => {
      const known = first.get(name);
      if (name === '') return [];
      if (known === undefined) first.set(name, i);
      return known !== undefined && differ(known, i) ? [[known, i]] : [];
    });
  };
  const mend = 'Name them apart: a list and a screen reader have only the words.';
  const sameZones = twice(
    zones.map(({ label, hidden }) => (hidden ? '' : label.trim())),
    () => true,
  );
  const sameItems = twice(items.map(wordsOf), (a, b) => face(items[a] as Item) !== face(items[b] as Item));
  return [
    ...sameZones.map(([a, b]) => ({
      where: [zoneId(model, a), zoneId(model, b)],
      message: `Two zones have the same name, "${zones[b]?.label.trim()}".`,
      mend,
    })),
    ...sameItems.map(([a, b]) => ({
      where: [itemId(model, a), itemId(model, b)],
      message: `Two items that look different have the same words, "${wordsOf(items[b] as Item)}".`,
      mend,
    })),
  ];
};
