import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from './model';
import { applyMove, type Move, markSoFar, replay, untouched } from './replay';

const put = (item: string, zone: string | null): Move => ({ kind: 'put', item, zone });
const check: Move = { kind: 'check' };
const ids = (model: ReturnType<typeof questionModel>, held: readonly number[]) =>
  held.map((copy) => model.items[Math.floor(copy / 10_000)]?.id);

describe('moves', () => {
  const model = questionModel(seeds());

  it('lead to a mark; the wrong ones go home when the learner goes on, not at once', () => {
    const missed = replay(model, [put('barley', 'dry'), put('acorn', 'dry'), check]);
    expect(missed.tries.last?.judged).toMatchObject({ mark: 1, fraction: 1 / 3, right: 1, wrong: 1 });
    expect(ids(model, missed.board.zones[0] ?? [])).toEqual(['barley', 'acorn']);
    expect(ids(model, missed.goingHome)).toEqual(['acorn']);

    const gone = applyMove(model, missed, put('poppy', 'dry'));
    if (!gone.ok) throw new Error(gone.reason);
    expect(ids(model, gone.standing.board.zones[0] ?? [])).toEqual(['barley', 'poppy']);
  });

  it('end with full marks or the last try, and nothing is taken then', () => {
    const full = replay(model, [put('barley', 'dry'), put('poppy', 'dry'), put('acorn', 'moist'), check]);
    expect(full).toMatchObject({ ended: true });
    expect(applyMove(model, full, put('gravel', 'dry'))).toEqual({ ok: false, reason: 'ended' });
    expect(replay(model, [check, check]).ended).toBe(true);
  });

  it('count the best try, or the last where the question says so', () => {
    const moves = [put('barley', 'dry'), check, { kind: 'reset' } as const, check];
    expect(markSoFar(model, replay(model, moves).tries)?.mark).toBe(1);
    const last = questionModel(seeds({ marks: { max: 3, rule: 'perPlacement', tryCounts: 'last' } }));
    expect(markSoFar(last, replay(last, moves).tries)?.mark).toBe(0);
    expect(markSoFar(model, untouched(model).tries)).toBeNull();
  });

  it('of an item that may not be moved again are refused once it has settled, and taken before', () => {
    const items = ['barley', 'poppy', 'acorn', 'gravel'].map((id, i) => ({
      id,
      label: id,
      size: { w: 100, h: 40 },
      home: { x: 20 + i * 120, y: 440 },
      again: id !== 'barley',
    }));
    const once = questionModel(seeds({ items }));
    const placed = replay(once, [put('barley', 'dry'), put('poppy', 'dry')]);
    for (const again of [
      put('barley', 'moist'),
      put('barley', null),
      { kind: 'drop', item: 'barley', x: 1, y: 1 } as const,
    ])
      expect(applyMove(once, placed, again)).toEqual({
        ok: false,
        reason: 'refused',
        path: 'item',
        message: '"barley" has settled and cannot be moved again',
      });
    expect(applyMove(once, placed, put('poppy', 'moist')).ok).toBe(true);
  });

  it('that cannot be are refused with their place', () => {
    expect(applyMove(model, untouched(model), put('nobody', 'dry'))).toMatchObject({ ok: false, path: 'item' });
    expect(applyMove(model, untouched(model), put('barley', 'nowhere'))).toMatchObject({ ok: false, path: 'zone' });
    expect(applyMove(model, untouched(model), { kind: 'drop', item: 'barley', x: Number.NaN, y: 0 })).toMatchObject({
      ok: false,
      path: 'x',
    });
    expect(applyMove(model, untouched(model), { kind: 'drop', item: 'barley', copy: 1, x: 0, y: 0 })).toMatchObject({
      ok: false,
      path: 'copy',
    });
  });

  it('by drop find the zone that half of the item is over', () => {
    const drop = (x: number): Move => ({ kind: 'drop', item: 'barley', x, y: 100 });
    expect(replay(model, [drop(-10)]).board.zones[0]).toHaveLength(1);
    expect(replay(model, [drop(-11)]).board.zones[0]).toHaveLength(0);
  });
});
