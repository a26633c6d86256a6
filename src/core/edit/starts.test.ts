import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import type { ItemId, ZoneId } from '../document/ids';
import { questionModel } from '../judge/model';
import { prove } from '../proof/proof';
import { applyAll, invertAll } from './edit';
import { startIn, startOf, withFittingStart } from './starts';
import { remove, setItem, setZone } from './steps';
import { refTo } from './things';

const ids = (...names: string[]) => names as ItemId[];
const dry = 'dry' as ZoneId;

function started(question: ReturnType<typeof seeds>, items: ItemId[], zone: ZoneId | null) {
  const result = startIn(question, items, zone);
  if (!result.ok) throw new Error(result.message);
  return applyAll(question, result.step);
}

describe('where items start', () => {
  it('is a zone, another, and home again', () => {
    const once = started(seeds(), ids('barley', 'acorn'), dry);
    expect(once.start?.placements).toEqual([
      { item: 'barley', copy: 0, zone: 'dry' },
      { item: 'acorn', copy: 0, zone: 'dry' },
    ]);
    const moved = started(once, ids('acorn'), 'moist' as ZoneId);
    expect([startOf(moved, 'barley' as ItemId), startOf(moved, 'acorn' as ItemId)]).toEqual(['dry', 'moist']);
    expect(started(moved, ids('barley', 'acorn'), null).start).toBeNull();
  });

  it('is with as many copies as the zone takes', () => {
    const question = seeds();
    const many = applyAll(question, [
      ...setItem(question, 'barley' as ItemId, 'copies', 5),
      ...setZone(question, dry, 'capacity', 3),
    ]);
    expect(started(many, ids('barley'), dry).start?.placements).toHaveLength(3);
  });

  it('is refused where the zone would turn the item away, with the reason', () => {
    const question = seeds();
    const family = applyAll(question, setZone(question, dry, 'family', 'nuts'));
    expect(startIn(family, ids('barley'), dry)).toMatchObject({
      ok: false,
      message: 'Zone "dry" takes only items of the family "nuts"',
    });
  });

  it('is home for what the zones can hold no longer, and undone with the change', () => {
    const full = started(seeds(), ids('barley', 'poppy', 'acorn'), dry);
    const change = setZone(full, dry, 'capacity', 1);
    const step = [...change, ...withFittingStart(applyAll(full, change))];
    const after = applyAll(full, step);
    expect(after.start?.placements).toEqual([{ item: 'barley', copy: 0, zone: 'dry' }]);
    expect(applyAll(after, invertAll(step))).toEqual(full);
    expect(withFittingStart(after)).toEqual([]);
    const gone = applyAll(after, remove(after, new Set([refTo('zone', 'dry')])));
    expect(gone.start).toBeNull();
  });
});

it('a cover is no fault if it can be dragged off and stays where it is let go', () => {
  const item = (id: string, x: number, more: Record<string, unknown> = {}) => ({
    id,
    label: id,
    size: { w: 100, h: 40 },
    home: { x, y: 440 },
    ...more,
  });
  const codes = (cover: Record<string, unknown>) =>
    prove(
      questionModel(
        seeds({
          items: [item('barley', 20), item('poppy', 140), item('acorn', 260), item('gravel', 20, cover)],
        }),
      ),
      1000,
      { now: () => 0 },
    )
      .findings.filter(({ code }) => code === 'cannotBePickedUp')
      .map(({ where }) => where[0]);
  expect(codes({ goesHome: false })).toEqual([]);
  expect(codes({})).toEqual(['barley']);
  expect(codes({ goesHome: false, stays: true })).toEqual(['barley']);
  expect(codes({ goesHome: false, copies: 'endless' })).toEqual(['barley']);
});
