import { describe, expect, it } from 'vitest';
import { ITEM_STATES, ZONE_STATES } from '../document/appearance';
import { random, seedOf } from '../random/random';
import { type ItemEvent, type ItemState, nextItemState, nextZoneState, type ZoneEvent, type ZoneState } from './states';

const ITEM_EVENTS: readonly ItemEvent[] = [
  { type: 'pickUp' },
  { type: 'over', zone: true },
  { type: 'over', zone: false },
  { type: 'settled', putAway: false },
  { type: 'settled', putAway: true },
  { type: 'turnedAway' },
  { type: 'waiting' },
  { type: 'released' },
  ...(['right', 'wrong', 'none'] as const).flatMap((verdict) =>
    [true, false].map((putAway) => ({ type: 'judged' as const, verdict, putAway })),
  ),
  { type: 'wentOn' },
];
const FLAGS = [true, false];
const ZONE_EVENTS: readonly ZoneEvent[] = FLAGS.flatMap((full) => [
  ...FLAGS.map((could) => ({ type: 'pickUp' as const, could, full })),
  ...FLAGS.flatMap((here) => FLAGS.map((could) => ({ type: 'over' as const, here, could, full }))),
  ...(['took', 'turnedAway', 'elsewhere'] as const).map((here) => ({ type: 'letGo' as const, here, full })),
  ...[true, false, null].map((satisfied) => ({ type: 'judged' as const, satisfied, full })),
  { type: 'wentOn' as const, full },
]);

describe('the states of a copy', () => {
  it('are never left, by any event in any state, and all of them can be reached', () => {
    const reached = new Set<ItemState>(['rest']);
    const next = random(seedOf('states'));
    let state: ItemState = 'rest';
    for (let i = 0; i < 20_000; i++) {
      state = nextItemState(state, ITEM_EVENTS[Math.floor(next() * ITEM_EVENTS.length)] as ItemEvent);
      reached.add(state);
    }
    expect([...reached].sort()).toEqual([...ITEM_STATES].sort());
    for (const from of ITEM_STATES)
      for (const event of ITEM_EVENTS) expect(ITEM_STATES).toContain(nextItemState(from, event));
  });

  const after = (...events: ItemEvent[]) => events.reduce<ItemState>(nextItemState, 'rest');
  it.each<[string, ItemEvent[], ItemState]>([
    ['in hand over a zone', [{ type: 'pickUp' }, { type: 'over', zone: true }], 'overZone'],
    [
      'and away from it again',
      [{ type: 'pickUp' }, { type: 'over', zone: true }, { type: 'over', zone: false }],
      'inHand',
    ],
    ['let go in a zone', [{ type: 'pickUp' }, { type: 'settled', putAway: false }], 'settled'],
    ['taken, and put away', [{ type: 'pickUp' }, { type: 'settled', putAway: true }], 'putAway'],
    ['put away, it is not picked up', [{ type: 'settled', putAway: true }, { type: 'pickUp' }], 'putAway'],
    ['turned away, then seen', [{ type: 'turnedAway' }, { type: 'wentOn' }], 'rest'],
    [
      'judged wrong, then gone on with',
      [{ type: 'settled', putAway: false }, { type: 'judged', verdict: 'wrong', putAway: false }, { type: 'wentOn' }],
      'settled',
    ],
    [
      'a verdict of none says nothing',
      [
        { type: 'settled', putAway: false },
        { type: 'judged', verdict: 'none', putAway: false },
      ],
      'settled',
    ],
    [
      'sent home after a miss',
      [{ type: 'settled', putAway: false }, { type: 'judged', verdict: 'wrong', putAway: false }, { type: 'released' }],
      'rest',
    ],
    ['a pointer that passes over a zone without it', [{ type: 'over', zone: true }], 'rest'],
  ])('%s', (_, events, state) => expect(after(...events)).toBe(state));
});

describe('the states of a zone', () => {
  it('are never left, and all of them can be reached', () => {
    const reached = new Set<ZoneState>(['rest']);
    for (const from of ZONE_STATES) for (const event of ZONE_EVENTS) reached.add(nextZoneState(from, event));
    expect([...reached].sort()).toEqual([...ZONE_STATES].sort());
  });

  it.each<[string, ZoneEvent[], ZoneState]>([
    ['calls for what it could take', [{ type: 'pickUp', could: true, full: false }], 'calling'],
    ['is under an item', [{ type: 'over', here: true, could: true, full: false }], 'underItem'],
    ['takes it', [{ type: 'letGo', here: 'took', full: false }], 'taking'],
    ['refuses it', [{ type: 'letGo', here: 'turnedAway', full: true }], 'refusing'],
    [
      'is full once that was seen',
      [
        { type: 'letGo', here: 'turnedAway', full: true },
        { type: 'wentOn', full: true },
      ],
      'full',
    ],
    ['a neutral zone is judged neither way', [{ type: 'judged', satisfied: null, full: false }], 'rest'],
    ['is judged', [{ type: 'judged', satisfied: false, full: false }], 'wrong'],
  ])('%s', (_, events, state) => expect(events.reduce<ZoneState>(nextZoneState, 'rest')).toBe(state));
});
