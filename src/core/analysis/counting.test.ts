import { describe, expect, it } from 'vitest';
import { countingMark, countingSitting, falls } from './counting';

const came = (points: number, outOf = 10, finished = true) => ({ points, outOf, finished });

describe('the sitting that counts', () => {
  it('is the best, the last, the first, or the mean of them', () => {
    const all = [came(4), came(9), came(6)];
    expect(countingMark(all, 'best')).toEqual({ points: 9, outOf: 10 });
    expect(countingMark(all, 'last')).toEqual({ points: 6, outOf: 10 });
    expect(countingMark(all, 'first')).toEqual({ points: 4, outOf: 10 });
    expect(countingMark(all, 'average')?.points).toBeCloseTo(19 / 3, 12);
  });

  it('is compared by shares, since a struck question leaves less to be had', () => {
    expect(countingMark([came(6, 8), came(7, 10)], 'best')).toEqual({ points: 6, outOf: 8 });
    expect(countingMark([came(4, 8), came(10, 10)], 'average')).toEqual({ points: 7.5, outOf: 10 });
    expect(countingMark([came(0, 0)], 'best')).toEqual({ points: 0, outOf: 0 });
  });

  it('is one that is under way only while none is finished', () => {
    expect(countingMark([came(3, 10, false)], 'best')).toEqual({ points: 3, outOf: 10 });
    expect(countingMark([came(3), came(9, 10, false)], 'best')).toEqual({ points: 3, outOf: 10 });
    expect(countingMark([], 'best')).toBeNull();
  });

  it('is told, too: of a mean the last it is of, of two that are alike the first', () => {
    const [first, second, third] = [came(4), came(9), came(9)];
    const all = [first, second, third, came(10, 10, false)];
    expect((['first', 'best', 'last', 'average'] as const).map((counts) => countingSitting(all, counts))).toEqual([
      first,
      second,
      third,
      third,
    ]);
    expect(countingSitting([], 'best')).toBeNull();
  });
});

describe('a mark', () => {
  it('falls where its share of what there is becomes less, by more than dust', () => {
    const mark = (points: number, outOf: number) => ({ points, outOf });
    expect(falls(mark(5, 10), mark(4, 10))).toBe(true);
    expect(falls(mark(5, 10), mark(4, 8))).toBe(false);
    expect(falls(mark(0.1 + 0.2, 1), mark(0.3, 1))).toBe(false);
    expect(falls(mark(0, 0), mark(0, 3))).toBe(false);
  });
});
