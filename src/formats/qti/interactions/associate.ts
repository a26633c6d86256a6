import { alike, laidOut } from '../../../core/kinds';
import { type Arriving, type Draft, Refused, responseFor } from '../arriving';
import { itemIn, shownIn } from '../shownIn';
import { markedBy, worthOf } from '../worth';
import { childrenNamed, type XmlElement } from '../xml';

/**
 * An `associate-interaction`: pairs without sides. Here the first of each right pair is a zone, the second an item;
 * what is in no pair is an item that belongs nowhere.
 */
export function associateIn(of: XmlElement, arriving: Arriving): Draft {
  const response = responseFor(of, arriving);
  const choices = childrenNamed(of, 'simple-associable-choice');
  const worth = worthOf(response, arriving);
  const pairs = [...worth.right].map(([pair, value]) => ({ ends: pair.split(' '), value }));
  const hosts = [...new Set(pairs.map(({ ends: [first = ''] }) => first))];
  const guests = new Set(pairs.map(({ ends: [, second = ''] }) => second));
  const both = hosts.filter((host) => guests.has(host));
  if (both.length > 0) throw new Refused(`${both[0]} stands in several pairs, on either side.`);
  arriving.approximate(
    response.identifier,
    'Its pairs have no sides: here the first of each right pair is a place, and the second is put there.',
  );
  const zones = hosts.map((id) => ({
    zone: id,
    capacity: 1,
    right: new Map(
      pairs.flatMap(({ ends: [first, second = ''], value }) => (first === id ? [[second, value] as const] : [])),
    ),
  }));
  return {
    kind: 'label',
    items: choices
      .filter(({ attributes }) => !hosts.includes(attributes.identifier ?? ''))
      .map((choice) => itemIn(choice, arriving)),
    zones: hosts.map((id) => {
      const choice = choices.find(({ attributes }) => attributes.identifier === id);
      return {
        id,
        label: choice ? shownIn(choice, arriving).label : id,
        shape: { type: 'rect', x: 0, y: 0, w: 160, h: 70 },
        capacity: 1,
        whenFull: 'swap',
        settle: { rule: 'anchor', at: 'middle', gap: 14 },
      };
    }),
    tray: { side: 'bottom', size: 120, order: 'shuffled' },
    marked: markedBy(zones, worth, arriving),
    lay: (question) => laidOut(alike(question), 'threeColumns'),
  };
}
