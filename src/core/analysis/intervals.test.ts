import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { random, seedOf } from '../random/random';
import { feldt, fisher, wilson } from './intervals';

describe('the bounds of a figure', () => {
  it('of a share are those of Wilson', () => {
    // Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in Medicine 17, 1998, table I.
    const bounds = (r: number, n: number) => {
      const { low, high } = wilson(r / n, n) ?? { low: 0, high: 0 };
      return [low.toFixed(4), high.toFixed(4)];
    };
    expect(bounds(81, 263)).toEqual(['0.2553', '0.3662']);
    expect(bounds(15, 148)).toEqual(['0.0624', '0.1605']);
    expect(bounds(0, 20)).toEqual(['0.0000', '0.1611']);
    expect(bounds(1, 29)).toEqual(['0.0061', '0.1718']);
    expect(wilson(0, 0)).toBeNull();
  });

  it('of a share hold the true one about as often as they say', () => {
    const roll = random(seedOf('shares'));
    for (const [share, n] of [
      [0.5, 12],
      [0.9, 40],
      [0.2, 25],
    ] as const) {
      let held = 0;
      for (let i = 0; i < 2000; i++) {
        const got = Array.from({ length: n }, () => roll() < share).filter(Boolean).length;
        const { low, high } = wilson(got / n, n) ?? { low: 1, high: 0 };
        if (low <= share && share <= high) held++;
      }
      expect(held / 2000).toBeGreaterThan(0.92);
    }
  });

  it('of a correlation are those of Fisher', () => {
    const { low, high } = fisher(0.5, 28) ?? { low: 0, high: 0 };
    // artanh 0.5 = 0.549306; 1.96/√25 = 0.391993.
    expect(low).toBeCloseTo(Math.tanh(0.549306 - 0.391993), 5);
    expect(high).toBeCloseTo(Math.tanh(0.549306 + 0.391993), 5);
    expect(fisher(0.9, 3)).toBeNull();
    expect(fisher(1, 30)).toEqual({ value: 1, low: 1, high: 1 });
  });

  it('of α are those of Feldt, with the quantiles that are given', () => {
    const asked: number[][] = [];
    const quantile = (p: number, d1: number, d2: number) => {
      asked.push([p, d1, d2]);
      return p > 0.5 ? 1.5 : 0.6;
    };
    const { low, high } = feldt(0.8, 41, 10, quantile);
    expect(low).toBeCloseTo(1 - 0.2 * 1.5, 12);
    expect(high).toBeCloseTo(1 - 0.2 * 0.6, 12);
    expect(asked).toEqual([
      [0.975, 40, 360],
      [0.025, 40, 360],
    ]);
  });

  it('hold the figure, and stay in what it can be', () => {
    const shares = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(shares, fc.integer({ min: 1, max: 500 }), (share, n) => {
        const { low, high } = wilson(share, n) ?? { low: 2, high: -1 };
        expect(low).toBeGreaterThanOrEqual(0);
        expect(low).toBeLessThanOrEqual(share + 1e-9);
        expect(high).toBeGreaterThanOrEqual(share - 1e-9);
        expect(high).toBeLessThanOrEqual(1);
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), fc.integer({ min: 4, max: 500 }), (r, n) => {
        const { low, high } = fisher(r, n) ?? { low: 2, high: -2 };
        expect(low).toBeLessThanOrEqual(r + 1e-9);
        expect(high).toBeGreaterThanOrEqual(r - 1e-9);
      }),
    );
  });
});
