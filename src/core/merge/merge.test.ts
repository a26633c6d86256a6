import { describe, expect, it } from 'vitest';
import { merge } from './merge';

const unit = (id: string, title = id) => ({ id, title });

describe('merging what two people changed', () => {
  const base = { title: 'Course', minutes: 10 as number | null, units: [unit('a'), unit('b'), unit('c')] };

  it('takes from each what only they changed', () => {
    const mine = { ...base, minutes: 30, units: [unit('a', 'Drying'), unit('b'), unit('c')] };
    const theirs = { ...base, title: 'Induction', units: [unit('a'), unit('b'), unit('c', 'Sealing'), unit('d')] };
    expect(merge(base, mine, theirs)).toEqual({
      value: {
        title: 'Induction',
        minutes: 30,
        units: [unit('a', 'Drying'), unit('b'), unit('c', 'Sealing'), unit('d')],
      },
      collisions: [],
    });
  });

  it('names what both changed, each in their own way, and takes whichever is chosen', () => {
    const mine = { ...base, minutes: 30, units: [unit('a', 'Drying'), unit('b'), unit('c')] };
    const theirs = { ...base, minutes: null, units: [unit('a', 'Cleaning'), unit('b'), unit('c')] };
    const found = merge(base, mine, theirs);
    expect(found.collisions.map(({ path }) => path)).toEqual([['minutes'], ['units', 'a', 'title']]);
    expect(found.value).toEqual(theirs);
    expect(merge(base, mine, theirs, () => 'mine').value).toEqual(mine);
    expect(merge(base, mine, theirs, ({ path }) => (path[0] === 'minutes' ? 'mine' : 'theirs')).value).toEqual({
      ...theirs,
      minutes: 30,
    });
  });

  it('takes an entry away that one removed and the other left alone, and asks where the other changed it', () => {
    const without = { ...base, units: [unit('a'), unit('c')] };
    expect(merge(base, without, { ...base, title: 'Induction' }).value).toEqual({ ...without, title: 'Induction' });
    const renamed = { ...base, units: [unit('a'), unit('b', 'Testing'), unit('c')] };
    const found = merge(base, without, renamed);
    expect(found.collisions.map(({ path }) => path)).toEqual([['units', 'b']]);
    expect(found.value).toEqual(renamed);
    expect(merge(base, without, renamed, () => 'mine').value).toEqual(without);
  });

  it('keeps an order that one made, with what the other added behind what it stood behind', () => {
    const mine = { ...base, units: [unit('c'), unit('a'), unit('b')] };
    const theirs = { ...base, units: [unit('a'), unit('new'), unit('b'), unit('c')] };
    expect(merge(base, mine, theirs).value.units.map(({ id }) => id)).toEqual(['c', 'a', 'new', 'b']);
    expect(merge(base, theirs, mine).value.units.map(({ id }) => id)).toEqual(['c', 'a', 'new', 'b']);
  });
});
