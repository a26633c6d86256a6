import { alike, laidOut } from '../../../core/kinds';
import { identifierOf } from '../../identifiers';
import { type Arriving, type Draft, Refused, responseFor, wholeIn } from '../arriving';
import { itemAt, itemsIn, type Leaving, namesOf, type Out, zoneName } from '../outgoing';
import { itemIn, shownIn } from '../shownIn';
import { blocksIn, contentOf, promptIn } from '../words';
import { childrenNamed, element, type XmlElement } from '../xml';
import { zonesFrom } from './associations';
import { groupOf, pairsOut } from './pairs';

/** Items to zones that need no place: `qti-match-interaction`, items on one side and zones on the other. */
export function matchOut(leaving: Leaving): Out {
  const { question } = leaving;
  const items = itemsIn(leaving).flatMap((item) => {
    const shown = itemAt(leaving, item);
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

const MAX_IN_ZONE = 8;

/** A `match-interaction`: the first side are items, the second zones. */
export function matchIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const [sources, targets] = childrenNamed(of, 'simple-match-set').map((side) =>
    childrenNamed(side, 'simple-associable-choice'),
  );
  if (!sources || !targets) throw new Refused('It has no two sides.');
  const zones = targets.map((target) => {
    const most = wholeIn(target, 'match-max', 1);
    return { id: target.attributes.identifier ?? '', capacity: most > 0 ? most : null, target };
  });
  const { marked } = zonesFrom(response, zones, arriving);
  return {
    kind: zones.every(({ capacity }) => capacity === 1) ? 'label' : 'sort',
    items: sources.map((source) => {
      const most = wholeIn(source, 'match-max', 1);
      return itemIn(source, arriving, { copies: most > 0 ? Math.min(most, targets.length) : targets.length });
    }),
    zones: zones.map(({ id, capacity, target }) => ({
      id,
      label: shownIn(target, arriving).label,
      shape: { type: 'rect', x: 0, y: 0, w: 200, h: 200 },
      capacity,
      whenFull: capacity === 1 ? 'swap' : 'refuse',
      settle: capacity === 1 ? { rule: 'anchor', at: 'middle', gap: 14 } : { rule: 'grid', gap: 14 },
    })),
    tray: { side: 'bottom', size: 120, order: of.attributes.shuffle === 'true' ? 'shuffled' : 'asListed' },
    marked,
    lay: (question) => laidOut(alike(question), zones.length > MAX_IN_ZONE ? 'threeColumns' : 'trayBelow'),
  };
}
