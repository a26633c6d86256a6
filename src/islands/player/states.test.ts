import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import {
  type Copy,
  cloneBoard,
  copyOf,
  learnerEdition,
  placeChecked,
  random,
  sceneModel,
  seedOf,
  startBoard,
} from '../../core';
import { inHands, letGo, placesFor, resting, seen, stateOf } from './states';

/**
 * Two jars and a rack with a shelf on it; a shelf takes one jar and refuses a second, a cupboard takes both, the bench
 * takes racks alone.
 */
function scene(more: Record<string, unknown> = {}) {
  const { question } = learnerEdition(
    seeds({
      items: [
        { id: 'jar', size: { w: 40, h: 40 }, home: { x: 20, y: 480 } },
        { id: 'tin', size: { w: 40, h: 40 }, home: { x: 80, y: 480 } },
        { id: 'rack', size: { w: 200, h: 100 }, home: { x: 600, y: 400 }, family: 'racks' },
      ],
      zones: [
        {
          id: 'shelf',
          label: 'Shelf',
          shape: { type: 'rect', x: 20, y: 20, w: 100, h: 100 },
          capacity: 1,
          whenFull: 'refuse',
          ...more,
        },
        { id: 'cupboard', label: 'Cupboard', shape: { type: 'rect', x: 200, y: 20, w: 100, h: 100 } },
        { id: 'bench', label: 'Bench', shape: { type: 'rect', x: 400, y: 20, w: 300, h: 200 }, family: 'racks' },
        { id: 'onRack', label: 'On the rack', shape: { type: 'rect', x: 10, y: 10, w: 80, h: 60 }, ridesOn: 'rack' },
      ],
      key: [{ zone: 'shelf', belongs: ['jar'], need: { rule: 'all' } }],
    }),
    random(seedOf('a learner')),
  );
  const model = sceneModel(question);
  const zone = (label: string) => question.zones.findIndex((zone) => zone.label === label);
  const items = question.items.map(({ size }, i) => ({ i, size }));
  const rack = copyOf(items.find(({ size }) => size.w === 200)?.i ?? -1, 0);
  const [jar, tin] = items.filter(({ size }) => size.w === 40).map(({ i }) => copyOf(i, 0)) as [Copy, Copy];
  const board = startBoard(model, question.start);
  const put = (copy: Copy, label: string) => {
    const item = question.items[Math.floor(copy / copyOf(1, 0))]?.id ?? '';
    return placeChecked(model, board, { item, copy: 0, zone: question.zones[zone(label)]?.id ?? '' }, null);
  };
  return { at: { model, board, question }, zone, jar, tin, rack, put };
}

describe('the states on the page', () => {
  it('show the verdict of what lies loose, as where zones are hidden', () => {
    const { at, jar, tin } = scene();
    at.board.letGo.set(jar, { x: 300, y: 300 });
    const states = resting(at, new Map([[jar, 'wrong']]));
    expect([stateOf(states, jar), stateOf(states, tin)]).toEqual(['wrong', 'rest']);
  });

  it('call with the zones that could take what is in hand, and leave the others be', () => {
    const { at, zone, jar, rack, put } = scene();
    const zones = (copy: Copy) => inHands(resting(at), at, new Map([[copy, null]])).zones;
    expect(['Shelf', 'Cupboard', 'Bench', 'On the rack'].map((name) => zones(jar)[zone(name)])).toEqual([
      'calling',
      'calling',
      expect.not.stringMatching('calling'),
      'calling',
    ]);
    expect(zones(rack)[zone('Bench')]).toBe('calling');
    expect(placesFor(at, rack)).not.toContain(zone('On the rack'));
    put(jar, 'Shelf');
    const { tin } = scene();
    expect(zones(tin)[zone('Shelf')]).not.toBe('calling');
    // What lies in it may be put down there again.
    expect(zones(jar)[zone('Shelf')]).toBe('calling');
  });

  it('of an item and a zone go on together from picking up to rest', () => {
    const { at, zone, jar, put } = scene();
    const up = inHands(resting(at), at, new Map([[jar, null]]));
    expect(stateOf(up, jar)).toBe('inHand');
    const over = inHands(up, at, new Map([[jar, zone('Shelf')]]));
    expect([stateOf(over, jar), over.zones[zone('Shelf')]]).toEqual(['overZone', 'underItem']);
    const away = inHands(over, at, new Map([[jar, null]]));
    expect([stateOf(away, jar), away.zones[zone('Shelf')]]).toEqual(['inHand', 'calling']);
    const down = letGo(at, jar, put(jar, 'Shelf'));
    expect([stateOf(down, jar), down.zones[zone('Shelf')]]).toEqual(['settled', 'taking']);
    expect(seen(down, at).zones[zone('Shelf')]).toBe('full');
  });

  it('show what each of several hands is over, and call for all of them', () => {
    const { at, zone, jar, tin, rack } = scene();
    const states = inHands(
      resting(at),
      at,
      new Map([
        [jar, zone('Shelf')],
        [rack, null],
      ]),
    );
    expect([stateOf(states, jar), stateOf(states, rack), stateOf(states, tin)]).toEqual(['overZone', 'inHand', 'rest']);
    expect(['Shelf', 'Cupboard', 'Bench'].map((name) => states.zones[zone(name)])).toEqual([
      'underItem',
      'calling',
      'calling',
    ]);
  });

  it('show what was refused for a moment only', () => {
    const { at, zone, jar, tin, put } = scene();
    put(jar, 'Shelf');
    const outcome = put(tin, 'Shelf');
    expect(outcome.to).toBe('turnedAway');
    const back = letGo(at, tin, outcome);
    expect([stateOf(back, tin), back.zones[zone('Shelf')]]).toEqual(['turnedAway', 'refusing']);
    const after = seen(back, at);
    expect([stateOf(after, tin), after.zones[zone('Shelf')]]).toEqual(['rest', 'full']);
  });

  it('wear the verdicts they were given', () => {
    const { at, zone, jar, tin, put } = scene();
    put(jar, 'Shelf');
    put(tin, 'Cupboard');
    const judged = resting(
      at,
      new Map([
        [jar, 'right'],
        [tin, 'wrong'],
      ]),
      new Map([[zone('Shelf'), true]]),
    );
    expect([stateOf(judged, jar), stateOf(judged, tin), judged.zones[zone('Shelf')]]).toEqual([
      'right',
      'wrong',
      'right',
    ]);
  });

  it('of a board do not change the board', () => {
    const { at, jar } = scene();
    const before = cloneBoard(at.board);
    inHands(resting(at), at, new Map([[jar, null]]));
    expect(at.board).toEqual(before);
  });
});
