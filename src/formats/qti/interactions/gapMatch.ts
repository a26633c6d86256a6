import { identifierOf } from '../names';
import { itemsIn, type Leaving, namesOf, type Out, zoneName } from '../outgoing';
import { blocksIn, contentOf, onlyPicture, promptIn } from '../words';
import { element } from '../xml';
import { groupOf, pairsOut } from './pairs';

/** Words moved into the gaps of a text: `qti-gap-match-interaction`. */
export function gapMatchOut(leaving: Leaving): Out {
  const { question } = leaving;
  const at = new Map<string, number>(question.zones.map(({ id }, i) => [id, i]));
  const choices = itemsIn(leaving).flatMap((item) => {
    const shown = question.items[item] as (typeof question.items)[number];
    const picture = onlyPicture(leaving, shown);
    return namesOf(leaving, item).map((identifier) => {
      const attributes = { identifier, 'match-max': 1, 'match-group': groupOf(shown.family, identifierOf) };
      return picture
        ? element('qti-gap-img', { ...attributes, 'object-label': shown.label || undefined }, [
            element('object', { data: picture.href, type: picture.type, width: shown.size.w, height: shown.size.h }),
          ])
        : element('qti-gap-text', attributes, contentOf(leaving, shown));
    });
  });
  const gap = (zone: string) => {
    const i = at.get(zone) ?? 0;
    return [
      element('qti-gap', {
        identifier: zoneName(leaving, i),
        'match-group': groupOf(question.zones[i]?.family ?? null, identifierOf),
      }),
    ];
  };
  const texts = question.fixtures.flatMap((fixture) =>
    fixture.type === 'text' ? [element('div', {}, blocksIn(fixture.text, gap))] : [],
  );
  return {
    ...pairsOut(leaving),
    interaction: 'gapMatch',
    body: [
      element(
        'qti-gap-match-interaction',
        {
          'response-identifier': 'RESPONSE',
          'max-associations': 0,
          shuffle: question.tray?.order === 'shuffled' ? 'true' : 'false',
        },
        [...promptIn(question), ...choices, ...texts],
      ),
    ],
    notes: [],
  };
}
