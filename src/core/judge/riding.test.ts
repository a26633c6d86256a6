import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { emptyBoard } from './board';
import { questionModel } from './model';
import { placeChecked } from './placeChecked';
import { replay } from './replay';
import { heldIn, respond } from './response';
import { outlineNow } from './rest';

/** A rack on the scene, with a shelf on it that takes jars; and a bench zone that takes racks. */
const build = (rack: Record<string, unknown> = {}, more: Record<string, unknown> = {}) =>
  questionModel(
    seeds({
      items: [
        { id: 'rack', size: { w: 200, h: 100 }, home: { x: 600, y: 400 }, family: 'racks', ...rack },
        { id: 'jar', size: { w: 40, h: 40 }, home: { x: 20, y: 480 } },
      ],
      zones: [
        {
          id: 'shelf',
          shape: { type: 'rect', x: 10, y: 10, w: 80, h: 60 },
          ridesOn: 'rack',
          reach: { rule: 'inside' },
        },
        {
          id: 'bench',
          shape: { type: 'rect', x: 20, y: 20, w: 400, h: 300 },
          family: 'racks',
          settle: { rule: 'anchor', at: 'topLeft', gap: 10 },
        },
      ],
      key: [
        { zone: 'shelf', belongs: ['jar'], need: { rule: 'all' } },
        { zone: 'bench', belongs: ['rack'], need: { rule: 'all' } },
      ],
      ...more,
    }),
  );
const drops = (model: ReturnType<typeof build>, ...moves: Record<string, unknown>[]) => {
  const responded = respond(model, { drops: moves });
  if (!responded.ok) return responded.fault;
  return model.zones.map((_, z) => heldIn(model, responded.board, z));
};

describe('a zone that rides', () => {
  it('stands where its carrier stands: at home, loose, or at rest in a zone', () => {
    const model = build({ goesHome: false });
    expect(drops(model, { item: 'jar', x: 620, y: 420 })).toEqual([['jar'], []]);
    expect(drops(model, { item: 'rack', x: 500, y: 100 }, { item: 'jar', x: 520, y: 120 })).toEqual([['jar'], []]);
    // The bench puts the rack at 30, 30, so the shelf is at 40, 40.
    expect(drops(model, { item: 'rack', x: 100, y: 60 }, { item: 'jar', x: 40, y: 40 })).toEqual([['jar'], ['rack']]);
  });

  it('turns with its carrier', () => {
    const model = build({ rotation: 90 });
    // About the rack's middle at 700, 450: the shelf's 10…90 by 10…70 comes to 670…730 by 360…440.
    const outline = outlineNow(model, emptyBoard(model), 0);
    expect(outline?.box.x).toBeCloseTo(680, 9);
    expect(outline?.box.y).toBeCloseTo(360, 9);
    expect([outline?.box.w, outline?.box.h]).toEqual([expect.closeTo(60, 9), expect.closeTo(80, 9)]);
  });

  it('moves what it holds with the carrier, and sends it home when the carrier goes home', () => {
    const model = build();
    expect(drops(model, { item: 'jar', zone: 'shelf' }, { item: 'rack', zone: 'bench' })).toEqual([['jar'], ['rack']]);
    expect(drops(model, { item: 'jar', zone: 'shelf' }, { item: 'rack', zone: null })).toEqual([[], []]);
    expect(drops(model, { item: 'jar', zone: 'shelf' }, { item: 'rack', x: 500, y: 200 })).toEqual([[], []]);
  });

  it('takes neither its carrier nor what its carrier rests in', () => {
    const model = build(
      {},
      {
        zones: [
          {
            id: 'shelf',
            shape: { type: 'rect', x: 0, y: 0, w: 200, h: 100 },
            ridesOn: 'rack',
            reach: { rule: 'touch' },
          },
          { id: 'lid', shape: { type: 'rect', x: 0, y: 0, w: 40, h: 40 }, ridesOn: 'jar', reach: { rule: 'touch' } },
        ],
        key: [],
      },
    );
    expect(drops(model, { item: 'rack', x: 600, y: 400 })).toEqual([[], []]);
    expect(drops(model, { item: 'jar', zone: 'shelf' }, { item: 'rack', zone: 'lid' })).toBe(
      'drops[1].zone: Zone "lid" rides on what it would take',
    );
    expect(
      respond(model, {
        placements: [
          { item: 'jar', zone: 'shelf' },
          { item: 'rack', zone: 'lid' },
        ],
      }),
    ).toMatchObject({ ok: false });
    const board = emptyBoard(model);
    placeChecked(model, board, { item: 'jar', zone: 'shelf' }, null);
    expect(placeChecked(model, board, { item: 'rack', x: 10, y: 470 }, null)).toEqual({ to: 'home' });
  });
});

describe('a sitting', () => {
  const land = (changes: Record<string, unknown>, ...moves: Parameters<typeof replay>[1]) =>
    replay(questionModel(seeds({ judging: 'onLand', ...changes })), moves);
  const put = (item: string, zone: string) => ({ kind: 'put' as const, item, zone });

  it('judged as items land ends a try with each wrong one, and with the last right one', () => {
    const missed = land({}, put('barley', 'dry'), put('gravel', 'dry'));
    expect(missed).toMatchObject({ ended: false, goingHome: [expect.any(Number)] });
    expect(missed.tries.count).toBe(1);
    const done = land(
      { tries: null },
      put('barley', 'dry'),
      put('gravel', 'dry'),
      put('poppy', 'dry'),
      put('acorn', 'moist'),
    );
    expect(done).toMatchObject({ ended: true });
    expect([missed.tries.last?.judged.fullMarks, done.tries.last?.judged.fullMarks, done.tries.count]).toEqual([
      false,
      true,
      2,
    ]);
    expect(land({}, put('gravel', 'dry'), put('gravel', 'moist')).ended).toBe(true);
  });

  it('starts from the starting arrangement, and a reset goes back to it', () => {
    const start = { placements: [{ item: 'poppy', zone: 'moist' }] };
    const standing = replay(questionModel(seeds({ start })), [
      put('poppy', 'dry'),
      put('acorn', 'moist'),
      { kind: 'reset' },
    ]);
    expect(standing.board.zones.map((held) => held.length)).toEqual([0, 1]);
  });

  it('starts with as many copies as the start names, where it leaves their numbers out', () => {
    const items = [{ id: 'barley', size: { w: 100, h: 40 }, copies: 2 }];
    const start = {
      placements: [
        { item: 'barley', zone: 'dry' },
        { item: 'barley', zone: 'moist' },
      ],
    };
    expect(replay(questionModel(seeds({ items, start, key: [] })), []).board.zones.map((held) => held.length)).toEqual([
      1, 1,
    ]);
  });

  it('gives one hint for each try, and as many as there are', () => {
    const hints = [{ text: { blocks: [] } }];
    const model = questionModel(seeds({ hints, tries: 4 }));
    const [hint, check] = [{ kind: 'hint' }, { kind: 'check' }] as const;
    expect(() => replay(model, [hint])).toThrow('after the first try');
    expect(replay(model, [check, hint]).hints).toBe(1);
    expect(() => replay(model, [check, check, hint, hint])).toThrow('no further hint');
  });
});
