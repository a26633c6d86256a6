import { type Arriving, type Draft, responseFor, wholeIn } from '../arriving';
import { zoneShape } from '../shapes';
import { markedBy, worthOf } from '../worth';
import { childrenNamed, type XmlElement } from '../xml';
import { groundIn } from './graphicGapMatch';
import { MARKERS, markerItem } from './points';

/** A `hotspot-interaction`: places on a picture of which some are right; a marker is put on each. */
export function hotspotIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const { width, height, fixtures } = groundIn(of, arriving);
  const spots = childrenNamed(of, 'hotspot-choice');
  const worth = worthOf(response, arriving);
  const most = wholeIn(of, 'max-choices', response.cardinality === 'single' ? 1 : 0);
  const held = spots.map(({ attributes }) => {
    const id = attributes.identifier ?? '';
    const earned = worth.right.get(id);
    return { zone: id, capacity: 1, right: new Map(earned === undefined ? [] : [['marker', earned]]) };
  });
  arriving.approximate(response.identifier, 'Its places are chosen by a press: here a marker is put on each.');
  return {
    kind: 'free',
    items: [markerItem(most > 0 ? most : spots.length)],
    zones: spots.toReversed().map(({ attributes }) => ({
      id: attributes.identifier ?? '',
      label: attributes['hotspot-label'] ?? '',
      shape: zoneShape(attributes, { width, height }),
      reach: { rule: 'centre' },
      capacity: 1,
      whenFull: 'swap',
      settle: { rule: 'anchor', at: 'middle', gap: 0 },
    })),
    fixtures,
    scene: { width, height: height + MARKERS },
    tray: { side: 'bottom', size: MARKERS, order: 'asListed' },
    marked: markedBy(held, worth, arriving),
    lay: (question) => question,
  };
}
