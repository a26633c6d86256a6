import { describe, expect, it } from 'vitest';
import { numberFrom } from '../../../ui/numbers';
import { common } from './common';

describe('what several have in common', () => {
  it('is the value, or undefined where they differ', () => {
    expect(common([{ n: 1 }, { n: 1 }], ({ n }) => n)).toBe(1);
    expect(common([{ n: 1 }, { n: 2 }], ({ n }) => n)).toBeUndefined();
    expect(common([{ n: null }, { n: null }], ({ n }) => n)).toBeNull();
    expect(common([{ at: { x: 1 } }, { at: { x: 1 } }], ({ at }) => at)).toEqual({ x: 1 });
  });
});

it.each([
  ['12', 0, 100, false, 12, null],
  [' 12,5 ', 0, 100, false, 12.5, null],
  ['12,5', 0, 100, true, null, 'Type a whole number'],
  ['-1', 0, 100, false, null, 'At least 0'],
  ['101', 0, 100, false, null, 'At most 100'],
  ['', 0, 100, false, null, 'Type a number'],
  ['wide', 0, 100, false, null, 'Type a number'],
  ['Infinity', 0, 100, false, null, 'Type a number'],
])('the number "%s" from %d to %d', (text, least, most, whole, value, problem) =>
  expect(numberFrom(text, least, most, whole)).toEqual({ value, problem }),
);
