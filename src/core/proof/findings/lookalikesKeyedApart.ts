import type { Item } from '../../document/schema';
import type { FindingRule } from './finding';
import { itemId, itemNamed } from './named';

const face = ({ label, size, content, look }: Item) =>
  JSON.stringify([content?.text ?? label, size.w, size.h, content?.picture ?? null, content?.sound ?? null, look]);

/** Two items that nobody can tell apart belong to different zones. */
export const lookalikesKeyedApart: FindingRule = ({ model }) => {
  const { items } = model.question;
  const home = (item: number) =>
    model.entries.flatMap(({ belongs, apart, zone }) => (belongs.has(item) || apart.has(item) ? [zone] : [])).join();
  const first = new Map<string, number>();
  const told = new Set<string>();
  return items.flatMap((item, i) => {
    const known = first.get(face(item));
    if (known === undefined) first.set(face(item), i);
    if (known === undefined || home(known) === home(i) || told.has(face(item))) return [];
    told.add(face(item));
    return [
      {
        where: [itemId(model, known), itemId(model, i)],
        message: `Two items look alike, both ${itemNamed(model, i)}, but belong to different zones.`,
        mend: 'Key them to the same zones with the number each needs, or make them look different.',
      },
    ];
  });
};
