import { describe, expect, it } from 'vitest';
import { randomQuestion } from '../../../tests/support/randomQuestion';
import { seeds } from '../../../tests/support/seeds';
import { random, seedOf } from '../random/random';
import { learnerEdition } from '../sitting/learnerEdition';
import { emptyBoard } from './board';
import { copyOf, idOf, questionModel, sceneModel } from './model';
import { placeChecked } from './placeChecked';
import type { Drop, Outcome, Put } from './placement';
import { heldIn, respond } from './response';

const item = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  size: { w: 100, h: 40 },
  home: { x: 20, y: 480 },
  ...more,
});
const rect = (id: string, x: number, y: number, w: number, h: number, more: Record<string, unknown> = {}) => ({
  id,
  shape: { type: 'rect', x, y, w, h },
  ...more,
});
const scene = (items: unknown[], zones: unknown[], key: unknown[] = []) => questionModel(seeds({ items, zones, key }));
const drops = (model: ReturnType<typeof scene>, ...moves: Record<string, unknown>[]) => {
  const responded = respond(model, { drops: moves });
  if (!responded.ok) return responded.fault;
  return [...model.zones.map((_, z) => heldIn(model, responded.board, z)), responded.turnedAway];
};

describe('which zone takes a drop', () => {
  const two = [rect('under', 0, 0, 300, 300), rect('over', 200, 0, 300, 300)];
  it('is the one most covered, whatever the order', () => {
    const model = scene([item('barley')], two);
    expect(drops(model, { item: 'barley', x: 140, y: 20 })).toEqual([['barley'], [], 0]);
    expect(drops(model, { item: 'barley', x: 210, y: 20 })).toEqual([[], ['barley'], 0]);
  });
  it('is the one on top where both are covered alike', () => {
    expect(drops(scene([item('barley')], two), { item: 'barley', x: 200, y: 20 })).toEqual([[], ['barley'], 0]);
    expect(drops(scene([item('barley')], [...two].reverse()), { item: 'barley', x: 200, y: 20 })).toEqual([
      [],
      ['barley'],
      0,
    ]);
  });
  it('is a floor only where there is no other, however much of the item lies on it', () => {
    const floor = [
      rect('floor', 0, 0, 960, 540, { floor: true }),
      rect('spot', 100, 100, 20, 20, { reach: { rule: 'touch' } }),
    ];
    const model = scene([item('marker')], floor);
    expect(drops(model, { item: 'marker', x: 90, y: 90 })).toEqual([[], ['marker'], 0]);
    expect(drops(model, { item: 'marker', x: 400, y: 90 })).toEqual([['marker'], [], 0]);
  });
  it('is none of another family, and none that is a slot', () => {
    const model = scene(
      [item('barley', { family: 'seeds' })],
      [rect('labels', 0, 0, 300, 300, { family: 'labels' }), { id: 'gap', shape: { type: 'slot' } }],
    );
    expect(drops(model, { item: 'barley', x: 20, y: 20 })).toEqual([[], [], 0]);
    expect(drops(model, { item: 'barley', zone: 'gap' })).toEqual([[], ['barley'], 0]);
    expect(drops(model, { item: 'barley', zone: 'labels' })).toMatch(/^drops\[0\]\.zone: .*family "labels"/);
  });
  it('is by the pointer where a zone asks for it: the item’s middle where none is given', () => {
    const model = scene([item('barley')], [rect('spot', 100, 100, 30, 30, { reach: { rule: 'pointer' } })]);
    expect(drops(model, { item: 'barley', x: 0, y: 80, px: 130, py: 130 })).toEqual([['barley'], 0]);
    expect(drops(model, { item: 'barley', x: 0, y: 80 })).toEqual([[], 0]);
    expect(drops(model, { item: 'barley', x: 60, y: 90 })).toEqual([['barley'], 0]);
    expect(drops(model, { item: 'barley', x: 60, y: 90, px: 5 })).toBe(
      'drops[0].py: px and py have to be given both, or neither',
    );
  });
});

describe('a zone that is full', () => {
  const full = (more: Record<string, unknown>) =>
    scene(
      ['a', 'b', 'c'].map((id) => item(id)),
      [rect('rack', 0, 0, 400, 400, { capacity: 2, ...more })],
    );
  const put = (id: string, more: Record<string, unknown> = {}) => ({ item: id, zone: 'rack', ...more });
  it('refuses: the newcomer goes home', () => {
    expect(drops(full({}), put('a'), put('b'), put('c'))).toEqual([['a', 'b'], 1]);
  });
  it('swaps: the one that settled first goes home, which is not turned away', () => {
    expect(drops(full({ whenFull: 'swap' }), put('a'), put('b'), put('c'))).toEqual([['b', 'c'], 0]);
    expect(drops(full({ whenFull: 'swap' }), put('a'), put('b', { at: 0 }), put('c', { at: 0 }))).toEqual([
      ['c', 'b'],
      0,
    ]);
  });
  it('lets what it holds settle again, at another place of its order', () => {
    expect(drops(full({}), put('a'), put('b'), put('a'))).toEqual([['b', 'a'], 0]);
    expect(drops(full({}), put('a'), put('b'), put('b', { at: 0 }))).toEqual([['b', 'a'], 0]);
    expect(drops(full({}), put('a'), put('b', { at: 2 }))).toMatch(/^drops\[1\]\.at: /);
  });
});

describe('a zone that welcomes only what is keyed to it', () => {
  const model = scene(
    ['a', 'b'].map((id) => item(id)),
    [rect('rack', 0, 0, 400, 400, { welcome: 'keyed' })],
    [{ zone: 'rack', belongs: ['a'], need: { rule: 'all' } }],
  );
  it('turns the rest away, home and out of where it was', () => {
    expect(drops(model, { item: 'a', x: 10, y: 10 }, { item: 'b', x: 10, y: 10 })).toEqual([['a'], 1]);
    expect(respond(model, { placements: [{ item: 'b', zone: 'rack' }] })).toEqual({
      ok: false,
      fault: 'placements[0].zone: Zone "rack" turns "b" away',
    });
  });
});

describe('placements given outright', () => {
  const model = scene(
    [item('a', { copies: 2 }), item('b', { copies: 'endless' })],
    [rect('rack', 0, 0, 400, 400, { capacity: 3 })],
  );
  it.each([
    ['the lowest copies first', [{ item: 'a' }, { item: 'a' }], null],
    [
      'no third copy of two',
      [{ item: 'a' }, { item: 'a' }, { item: 'a' }],
      'placements[2].copy: No copy of "a" is left',
    ],
    [
      'one copy once',
      [
        { item: 'a', copy: 1 },
        { item: 'a', copy: 1 },
      ],
      'placements[1].copy: Copy 1 of "a" is placed twice',
    ],
    ['no copy out of range', [{ item: 'a', copy: 2 }], 'placements[0].copy: There is no copy 2 of "a"'],
    ['no half copy', [{ item: 'a', copy: 0.5 }], 'placements[0].copy: There is no copy 0.5 of "a"'],
    ['endless ones up to 9,999', [{ item: 'b', copy: 9999 }], null],
    ['and no further', [{ item: 'b', copy: 10_000 }], 'placements[0].copy: There is no copy 10000 of "b"'],
    [
      'not over the capacity',
      [{ item: 'b' }, { item: 'b' }, { item: 'b' }, { item: 'b' }],
      'placements[3].zone: Zone "rack" holds no more than 3',
    ],
  ])('%s', (_, placements, fault) => {
    const responded = respond(model, { placements: placements.map((placement) => ({ ...placement, zone: 'rack' })) });
    expect(responded.ok ? null : responded.fault).toBe(fault);
  });
});

describe('on random questions', () => {
  const letGo = (next: () => number, ids: readonly string[]): Drop[] =>
    Array.from({ length: 12 }, () => ({
      item: ids[Math.floor(next() * ids.length)] as string,
      x: Math.round(next() * 900),
      y: Math.round(next() * 450),
    }));

  it('what drops come to is worth what the same placements are', () => {
    let compared = 0;
    for (let i = 0; i < 500; i++) {
      const model = questionModel(randomQuestion(`drops-${i}`));
      if (model.entries.length === 0) continue;
      const next = random(seedOf(`drops-${i}`));
      const dropped = respond(
        model,
        JSON.parse(
          JSON.stringify({
            drops: letGo(
              next,
              model.items.map(({ id }) => id),
            ),
          }),
        ),
      );
      if (!dropped.ok) throw new Error(dropped.fault);
      const placements = dropped.board.zones.flatMap((held, z) =>
        held.map((copy) => ({ item: idOf(model, copy), copy: copy % 10_000, zone: model.zones[z]?.id })),
      );
      const placed = respond(model, { placements });
      if (!placed.ok) throw new Error(`drops-${i}: ${placed.fault}`);
      compared++;
      expect({ ...placed.judged, tallies: null, credited: null }, `drops-${i}`).toEqual({
        ...dropped.judged,
        tallies: null,
        credited: null,
      });
    }
    expect(compared).toBeGreaterThan(400);
  });

  it('a learner’s browser and the server come to the same, as far as the key is not asked for', () => {
    let compared = 0;
    for (let i = 0; i < 300; i++) {
      const question = randomQuestion(`browser-${i}`);
      const server = questionModel({
        ...question,
        zones: question.zones.map((zone) => ({ ...zone, welcome: 'anyone' as const })),
      });
      const { question: edition, names } = learnerEdition(server.question, random(seedOf(`seed-${i}`)));
      const browser = sceneModel(edition);
      const [there, here] = [emptyBoard(server), emptyBoard(browser)];
      const next = random(seedOf(`browser-${i}`));
      for (const drop of letGo(
        next,
        server.items.map(({ id }) => id),
      )) {
        const outcome = placeChecked(server, there, drop, () => false);
        const other = placeChecked(browser, here, { ...drop, item: names.item.get(drop.item) as string }, null);
        expect(other).toEqual(outcome);
        compared++;
      }
      expect(here.zones).toEqual(there.zones);
    }
    expect(compared).toBe(3600);
  });

  it('a move that is refused, or that only the server can judge, leaves the board as it was', () => {
    const model = scene(
      ['a'].map((id) => item(id)),
      [rect('rack', 0, 0, 400, 400, { welcome: 'keyed' })],
    );
    const board = emptyBoard(model);
    const moves: readonly [Drop | Put, Outcome['to']][] = [
      [{ item: 'nobody', zone: 'rack' }, 'refused'],
      [{ item: 'a', zone: 'nowhere' }, 'refused'],
      [{ item: 'a', copy: 1, zone: 'rack' }, 'refused'],
      [{ item: 'a', x: Number.POSITIVE_INFINITY, y: 0 }, 'refused'],
      [{ item: 'a', zone: 'rack', at: -1 }, 'refused'],
      [{ item: 'a', zone: 'rack' }, 'unknown'],
    ];
    for (const [move, to] of moves) expect(placeChecked(model, board, move, null).to).toBe(to);
    expect(board).toEqual(emptyBoard(model));
    expect(board.zoneOf.has(copyOf(0, 0))).toBe(false);
  });
});
