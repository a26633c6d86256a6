import { identifierOf } from '../names';
import { itemsIn, type Leaving, namesOf, type Out, zoneName } from '../outgoing';
import { blocksIn, contentOf, promptIn } from '../words';
import { element } from '../xml';
import { groupOf, pairsOut } from './pairs';

/** Items to zones that need no place: `qti-match-interaction`, items on one side and zones on the other. */
export function matchOut(leaving: Leaving): Out {
  const { question } = leaving;
  const items = itemsIn(leaving).flatMap((item) => {
    const shown = question.items[item] as (typeof question.items)[number];
    return namesOf(leaving, item).map((identifier) =>
      element(
        'qti-simple-associable-choice',
        { identifier, 'match-max': 1, 'match-group': groupOf(shown.family, identifierOf) },
        contentOf(leaving, shown),
      ),
    );
  });
  const zones = question.zones.map((zone, i) =>
    element(
      'qti-simple-associable-choice',
      {
        identifier: zoneName(leaving, i),
        'match-max': zone.capacity ?? 0,
        'match-group': groupOf(zone.family, identifierOf),
        'xml:lang': zone.lang,
      },
      zone.title ? blocksIn(zone.title) : [zone.label || zone.id],
    ),
  );
  return {
    ...pairsOut(leaving),
    interaction: 'match',
    body: [
      element('qti-match-interaction', { 'response-identifier': 'RESPONSE', 'max-associations': 0 }, [
        ...promptIn(question),
        element('qti-simple-match-set', {}, items),
        element('qti-simple-match-set', {}, zones),
      ]),
    ],
    notes: [],
  };
}
