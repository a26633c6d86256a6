import type { Arriving, Draft } from '../arriving';
import { childrenNamed, type XmlElement } from '../xml';
import { groundIn } from './graphicGapMatch';
import { sequenceOf } from './order';

/** A `graphic-order-interaction`: places on a picture in order. Here their names are, beside the picture. */
export function graphicOrderIn(of: XmlElement, arriving: Arriving): Draft {
  const { fixtures, width, height } = groundIn(of, arriving);
  arriving.approximate('hotspots', 'Places on a picture are put in order: here their names are, beside the picture.');
  const items = childrenNamed(of, 'hotspot-choice').map(({ attributes }) => ({
    id: attributes.identifier ?? '',
    label: attributes['hotspot-label'] ?? attributes.identifier ?? '',
    size: { w: 130, h: 48 },
  }));
  const scale = Math.min(1, WIDEST / width);
  const shown = fixtures.map((fixture) => ({ ...fixture, w: width * scale, h: height * scale }));
  return { ...sequenceOf(items, of, arriving), fixtures: shown };
}
const WIDEST = 600;
