import type { Question } from '../../../core';
import { alike } from '../../../core/kinds';
import { identifierOf } from '../../identifiers';
import { type Arriving, type Draft, Refused, responseFor, wholeIn } from '../arriving';
import { type Leaving, type Out, zoneName } from '../outgoing';
import { shapeOf, zoneShape } from '../shapes';
import { itemIn } from '../shownIn';
import { mimeOf, promptIn } from '../words';
import { childrenNamed, element, within, type XmlElement } from '../xml';
import { zonesFrom } from './associations';
import { gapChoices } from './gapChoices';
import { groupOf, pairsOut } from './pairs';

/** Items moved to places on a picture of the scene: `qti-graphic-gap-match-interaction`. */
export function graphicGapMatchOut(leaving: Leaving): Out {
  const { question, scenePicture } = leaving;
  const { width, height } = question.scene;
  const choices = gapChoices(leaving);
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

/** The picture on which an interaction happens: its size in scene units, and a fixture that shows it. */
export function groundIn(of: XmlElement, arriving: Arriving) {
  const [object] = [
    ...childrenNamed(of, 'object'),
    ...childrenNamed(of, 'img', 'image'),
    ...within(of, 'object', 'img'),
  ];
  const [width, height] = [Number(object?.attributes.width), Number(object?.attributes.height)];
  if (!object || !(width > 0) || !(height > 0)) throw new Refused('Its picture says no size.');
  const media = arriving.medium(object.attributes.data ?? object.attributes.src ?? '', object.attributes.alt ?? null);
  if (!media) arriving.approximate('object', 'Its picture is not in the package.');
  return {
    width,
    height,
    fixtures: media
      ? [{ type: 'picture', id: 'picture', label: 'Picture', x: 0, y: 0, w: width, h: height, media }]
      : [],
  };
}
export const BELOW = 120;

/** A `graphic-gap-match-interaction`: items moved to places on a picture. */
export function graphicGapMatchIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const { width, height, fixtures } = groundIn(of, arriving);
  const spots = childrenNamed(of, 'associable-hotspot').map((spot) => {
    const most = wholeIn(spot, 'match-max', 1);
    return { id: spot.attributes.identifier ?? '', capacity: most > 0 ? most : null, spot };
  });
  const { marked } = zonesFrom(response, spots, arriving);
  return {
    kind: 'label',
    items: childrenNamed(of, 'gap-img', 'gap-text').map((choice) => {
      const most = wholeIn(choice, 'match-max', 1);
      return itemIn(choice, arriving, { copies: most > 0 ? Math.min(most, spots.length) : spots.length });
    }),
    // The first hotspot lies on top there, the last zone here.
    zones: spots.toReversed().map(({ id, capacity, spot }) => ({
      id,
      label: spot.attributes['hotspot-label'] ?? '',
      shape: zoneShape(spot.attributes, { width, height }),
      reach: { rule: 'centre' },
      capacity,
      whenFull: capacity === 1 ? 'swap' : 'refuse',
      settle: capacity === 1 ? { rule: 'anchor', at: 'middle', gap: 4 } : { rule: 'asDropped' },
    })),
    fixtures,
    scene: { width, height: height + BELOW },
    tray: { side: 'bottom', size: BELOW, order: 'asListed' },
    marked,
    lay: (question) => withTrayBelow(alike(question), height),
  };
}

/** A tray beneath a picture that holds all items. */
export function withTrayBelow(question: Question, height: number): Question {
  const w = Math.max(1, ...question.items.map(({ size }) => size.w)) + 8;
  const h = Math.max(1, ...question.items.map(({ size }) => size.h)) + 8;
  const copies = question.items.reduce((sum, item) => sum + (item.copies === 'endless' ? 1 : item.copies), 0);
  const rows = Math.ceil(copies / Math.max(1, Math.floor((question.scene.width - 8) / w)));
  const size = Math.max(84, rows * h + 8);
  return {
    ...question,
    scene: { ...question.scene, height: height + size },
    tray: question.tray && { ...question.tray, size },
  };
}
