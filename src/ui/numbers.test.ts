import { describe, expect, it } from 'vitest';
import { numberOrChange } from './numbers';

describe('a number or a change of it', () => {
  it.each([
    ['12', 100, 12],
    ['+12', 100, 112],
    ['-12', 100, 88],
    ['*2', 100, 200],
    ['/4', 100, 25],
    ['+10*2', 100, 120],
    ['100+24*2', 7, 148],
    ['=-5', 100, -5],
    ['-5', null, -5],
    ['1,5', 0, 1.5],
    ['+ 12', 0.5, 12.5],
    ['3*-2', 0, -6],
    ['*2', -7, -14],
    ['*2', 0.001, 0.002],
  ])('%s on %s is %s', (text, now, value) =>
    expect(numberOrChange(text, now, -1000)).toEqual({ value, problem: null }),
  );

  it.each(['', '+', '1+', '2 x 3', '1//2', '/0', 'twelve', '=', '1e999', '__proto__'])('"%s" is none', (text) =>
    expect(numberOrChange(text, 5, -1000).problem).not.toBeNull(),
  );

  it('what it comes to is held to its bounds', () => {
    expect(numberOrChange('-10', 5, 1).problem).toBe('At least 1');
    expect(numberOrChange('*2', 1.5, 0, 10, true)).toEqual({ value: 3, problem: null });
  });
});
