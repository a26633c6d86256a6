import { match, named, variable } from '../expressions';
import { responseOf } from '../names';
import { fits, itemsIn, type Leaving, namesOf, zoneName } from '../outgoing';
import { contentOf } from '../words';
import { element } from '../xml';
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
        element(
          'qti-inline-choice',
          { identifier: nameIn(item) },
          contentOf(leaving, leaving.question.items[item] as never),
        ),
      ),
    ),
    copiesFor: (item) => {
      const name = nameIn(item);
      return name && offered.includes(item) ? [match(variable(identifier), named(name))] : [];
    },
    valueFor: (item) => nameIn(item) ?? '',
  };
}
