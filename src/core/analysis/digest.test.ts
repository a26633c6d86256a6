import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { copyOf, questionModel } from '../judge/model';
import type { Move } from '../judge/replay';
import { digestOf, exhaustedItems, NOWHERE, usedTrialAndError } from './digest';

const put = (item: string, zone: string | null): Move => ({ kind: 'put', item, copy: 0, zone });
const made = (moves: readonly Move[]) => moves.map((move, i) => ({ move, at: 1000 * i }));
const [BARLEY, POPPY, ACORN] = [0, 1, 2];
const [DRY, MOIST] = [0, 1];

describe('what a learner did with a question', () => {
  it('has where each thing was put at first and lay at last, the tries and the time', () => {
    const model = questionModel(seeds({ tries: null }));
    const drop: Move = { kind: 'drop', item: 'acorn', copy: 0, x: 600, y: 100, px: 650, py: 120 };
    const digest = digestOf(
      model,
      made([
        put('barley', 'moist'),
        drop,
        { kind: 'check' },
        put('barley', 'dry'),
        put('poppy', 'dry'),
        put('poppy', null),
        { kind: 'check' },
      ]),
    );
    expect(digest).toEqual({
      tries: 2,
      turnedAway: 0,
      seconds: 5,
      put: [
        [copyOf(BARLEY, 0), MOIST, DRY],
        [copyOf(ACORN, 0), MOIST, MOIST],
        [copyOf(POPPY, 0), DRY, NOWHERE],
      ],
      drops: [[ACORN, 650, 120]],
      paces: [0, 10, 20, 10, 10],
      went: [[BARLEY, [MOIST, DRY]]],
      orders: [],
      typed: [],
      marks: [],
    });
    const nothing = { tries: 0, turnedAway: 0, seconds: 0, put: [], drops: [], paces: [], went: [] };
    expect(digestOf(model, [])).toEqual({ ...nothing, orders: [], typed: [], marks: [] });
  });

  it('has what a wrong answer sent home where it was, until it is moved again', () => {
    const model = questionModel(seeds({ tries: null, afterMiss: 'sendWrongHome' }));
    const wrong = [put('barley', 'moist'), put('acorn', 'moist'), { kind: 'check' } as const];
    const placed = (...more: Move[]) => digestOf(model, made([...wrong, ...more])).put.map(([, , last]) => last);
    expect(placed()).toEqual([MOIST, MOIST]);
    // Going on sends it home.
    expect(placed(put('poppy', 'dry'))).toEqual([MOIST, MOIST, DRY]);
    expect(placed(put('poppy', 'dry'), put('barley', 'dry'))).toEqual([DRY, MOIST, DRY]);
    // By hand it is taken out, or everything is put back.
    expect(placed(put('poppy', 'dry'), put('barley', null))).toEqual([NOWHERE, MOIST, DRY]);
    expect(placed({ kind: 'reset' })).toEqual([NOWHERE, NOWHERE]);
    // A check of what is left, as an attempt ends by, is of what is there.
    expect(placed(put('poppy', 'dry'), { kind: 'check' })).toEqual([MOIST, MOIST, DRY]);
  });

  it('counts what was turned away, with the zone that did', () => {
    const seed = seeds();
    const model = questionModel({ ...seed, zones: seed.zones.map((zone) => ({ ...zone, welcome: 'keyed' })) });
    const digest = digestOf(model, made([put('barley', 'moist'), put('barley', 'dry')]));
    expect(digest).toMatchObject({
      turnedAway: 1,
      put: [[copyOf(BARLEY, 0), MOIST, DRY]],
      went: [[BARLEY, [MOIST, DRY]]],
    });
  });
});

describe('who tried everything until it fitted', () => {
  const rect = (id: string, x: number) => ({ id, label: id, shape: { type: 'rect', x, y: 40, w: 120, h: 300 } });
  const model = questionModel(
    seeds({
      zones: ['dry', 'moist', 'cold', 'bin'].map((id, i) => rect(id, 20 + 140 * i)),
      key: [
        { zone: 'dry', belongs: ['barley', 'poppy'], need: { rule: 'all' } },
        { zone: 'moist', belongs: ['acorn'], need: { rule: 'all' } },
        { zone: 'cold', belongs: ['gravel'], need: { rule: 'atLeast', n: 0 } },
        { zone: 'bin', belongs: ['gravel'], need: { rule: 'atLeast', n: 0 } },
      ],
      tries: null,
    }),
  );
  const through = (item: string, ...zones: string[]) => zones.map((zone) => put(item, zone));

  it('is told by what went through all the wrong zones before the right one', () => {
    const swept = digestOf(
      model,
      made([...through('barley', 'moist', 'cold', 'bin', 'dry'), ...through('acorn', 'dry', 'cold', 'bin', 'moist')]),
    );
    expect(usedTrialAndError(model, swept)).toEqual([
      { item: BARLEY, zones: [1, 2, 3, 0] },
      { item: ACORN, zones: [0, 2, 3, 1] },
    ]);
  });

  it('is not whoever was wrong once or twice, ends wrong, or swept one thing of many', () => {
    const sweptOf = (...moves: Move[]) => usedTrialAndError(model, digestOf(model, made(moves)));
    expect(sweptOf(...through('barley', 'moist', 'dry'), ...through('acorn', 'dry', 'moist'))).toBeNull();
    expect(
      sweptOf(...through('barley', 'dry', 'moist', 'cold', 'bin'), ...through('acorn', 'moist', 'dry', 'cold', 'bin')),
    ).toBeNull();
    expect(
      sweptOf(
        ...through('barley', 'moist', 'cold', 'bin', 'dry'),
        ...through('acorn', 'moist'),
        ...through('poppy', 'dry'),
      ),
    ).toBeNull();
    expect(exhaustedItems(model, digestOf(model, made(through('barley', 'moist', 'cold', 'bin', 'dry'))))).toHaveLength(
      1,
    );
  });
});
