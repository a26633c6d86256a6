import type { Arriving } from '../arriving';
import { match, named, variable } from '../expressions';
import { responseOf, zoneOfResponse } from '../names';
import { fits, itemAt, itemsIn, type Leaving, namesOf, zoneName } from '../outgoing';
import { itemIn, shownIn } from '../shownIn';
import { contentOf } from '../words';
import type { Worth } from '../worth';
import { childrenNamed, element, type XmlElement } from '../xml';
import type { Gap } from './gapByGap';

/** A gap answered from a menu: `qti-inline-choice-interaction`. */
export function inlineChoiceGap(leaving: Leaving, zone: number): Gap {
  const identifier = responseOf(zoneName(leaving, zone));
  // The same item is the same choice in every menu, whichever of its copies it is.
  const nameIn = (item: number) => namesOf(leaving, item)[0];
  const offered = itemsIn(leaving).filter((item) => fits(leaving, zone, item));
  return {
    response: { identifier, cardinality: 'single', type: 'identifier' },
    element: element(
      'qti-inline-choice-interaction',
      { 'response-identifier': identifier, shuffle: 'false' },
      offered.map((item) =>
        element('qti-inline-choice', { identifier: nameIn(item) }, contentOf(leaving, itemAt(leaving, item))),
      ),
    ),
    copiesFor: (item) => {
      const name = nameIn(item);
      return name && offered.includes(item) ? [match(variable(identifier), named(name))] : [];
    },
    valueFor: (item) => nameIn(item) ?? '',
  };
}

/** A gap that was read, as its zone and what is right in it. */
export interface ReadGap {
  readonly items: readonly Readonly<Record<string, unknown>>[];
  readonly zoneFields: Readonly<Record<string, unknown>>;
  readonly right: ReadonlyMap<string, number>;
  readonly costs: number;
}

/**
 * The menus of a text together: an identifier that stands in several with the same words is one item with as many
 * copies; with other words it is another item, named after its menu.
 */
export function menusIn(found: readonly XmlElement[], arriving: Arriving) {
  const menus = found.filter(({ name }) => name === 'inline-choice-interaction');
  const words = new Map<string, string>();
  const items = new Map<string, { fields: Readonly<Record<string, unknown>>; copies: number }>();
  const offered = menus.map((menu) => {
    const family = zoneOfResponse(menu.attributes['response-identifier'] ?? '');
    const ids = new Map<string, string>();
    for (const choice of childrenNamed(menu, 'inline-choice')) {
      const { identifier = '' } = choice.attributes;
      const { label } = shownIn(choice, arriving);
      const same = words.get(identifier) ?? label;
      words.set(identifier, same);
      const id = same === label ? identifier : `${family}_${identifier}`;
      if (same !== label)
        arriving.approximate(family, `${identifier} has other words in another menu: here it is called ${id}.`);
      const before = items.get(id);
      items.set(id, { fields: itemIn(choice, arriving, { id }), copies: (before?.copies ?? 0) + 1 });
      ids.set(identifier, id);
    }
    return { menu, family, ids };
  });
  // Each menu offers what it offered where no item stands in two menus of different lists.
  const lists = offered.map(({ ids }) => [...ids.values()].sort().join('\n'));
  const alike = new Set(lists).size <= 1;
  const apart = [...items.values()].every(({ copies }) => copies === 1);
  if (!alike && !apart)
    arriving.approximate('menus', 'Its menus offer some of the same and some different words: here each offers all.');
  const familyOf = (id: string) =>
    alike || !apart ? null : (offered.find(({ ids }) => [...ids.values()].includes(id))?.family ?? null);
  return {
    items: [...items].map(([id, { fields, copies }]) => ({ ...fields, copies, family: familyOf(id) })),
    gap: (of: XmlElement, worth: Worth): ReadGap => {
      const found = offered.find(({ menu }) => menu === of);
      const right = new Map(
        [...worth.right].flatMap(([identifier, earned]) => {
          const id = found?.ids.get(identifier);
          return id === undefined ? [] : [[id, earned] as const];
        }),
      );
      return {
        items: [],
        zoneFields: { menu: true, family: alike || !apart ? null : (found?.family ?? null) },
        right,
        costs: worth.costs,
      };
    },
  };
}
