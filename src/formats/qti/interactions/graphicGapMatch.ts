import { identifierOf } from '../names';
import { itemsIn, type Leaving, namesOf, type Out, zoneName } from '../outgoing';
import { shapeOf } from '../shapes';
import { contentOf, mimeOf, onlyPicture, promptIn } from '../words';
import { element } from '../xml';
import { groupOf, pairsOut } from './pairs';

/** Items moved to places on a picture of the scene: `qti-graphic-gap-match-interaction`. */
export function graphicGapMatchOut(leaving: Leaving): Out {
  const { question, scenePicture } = leaving;
  const { width, height } = question.scene;
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
  const zones = question.zones.map((zone, i) => ({ zone, i }));
  // The first hotspot covers those after it, where the last zone lies on top; a floor lies beneath all.
  const uppermostFirst = [
    ...zones.filter(({ zone }) => !zone.floor).reverse(),
    ...zones.filter(({ zone }) => zone.floor).reverse(),
  ];
  const hotspots = uppermostFirst.map(({ zone, i }) =>
    element('qti-associable-hotspot', {
      identifier: zoneName(leaving, i),
      ...shapeOf(zone),
      'match-max': zone.capacity ?? 0,
      'match-group': groupOf(zone.family, identifierOf),
      'hotspot-label': zone.label || undefined,
    }),
  );
  return {
    ...pairsOut(leaving),
    interaction: 'graphicGapMatch',
    body: [
      element('qti-graphic-gap-match-interaction', { 'response-identifier': 'RESPONSE', 'max-associations': 0 }, [
        ...promptIn(question),
        element('object', { data: scenePicture, type: mimeOf(scenePicture), width, height }),
        ...choices,
        ...hotspots,
      ]),
    ],
    notes: question.zones.flatMap(({ ridesOn }, i) =>
      ridesOn === null ? [] : [{ path: `zones[${i}].ridesOn`, message: 'The zone stays where its item is at first.' }],
    ),
  };
}
