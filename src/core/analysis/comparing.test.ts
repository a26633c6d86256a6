import fc from 'fast-check';
import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { random, seedOf } from '../random/random';
import { meansApart, pairsApart, sharesApart } from './comparing';

const Z = 1.959963984540054;
const bound = (df: number) => jStat.studentt.inv(0.975, df);

describe('how far apart two means are', () => {
  it('is said of shares with the bounds of Newcombe', () => {
    // Newcombe, "Interval estimation for the difference between independent proportions", 1998, table II, method 10.
    const bounds = (a: number, m: number, b: number, n: number) => {
      const { low, high } = sharesApart({ value: a / m, n: m }, { value: b / n, n }, Z) ?? { low: 0, high: 0 };
      return [low.toFixed(4), high.toFixed(4)];
    };
    expect(bounds(56, 70, 48, 80)).toEqual(['0.0524', '0.3339']);
    expect(bounds(9, 10, 3, 10)).toEqual(['0.1705', '0.8090']);
    expect(bounds(5, 56, 0, 29)).toEqual(['-0.0381', '0.1926']);
    expect(bounds(10, 10, 0, 10)).toEqual(['0.6075', '1.0000']);
    expect(sharesApart({ value: 0, n: 0 }, { value: 0.5, n: 9 }, Z)).toBeNull();
  });

  it('is said of lists by the formula of Welch', () => {
    const a = [0.4, 0.5, 0.9, 0.7];
    const b = [0.2, 0.3, 0.1, 0.4, 0.25];
    // By hand: means 0.625 and 0.25, squared errors 0.0122917 and 0.0025, 4.2137 degrees of freedom.
    const { value, low, high } = meansApart(a, b, bound) ?? { value: 0, low: 0, high: 0 };
    expect(value).toBeCloseTo(0.375, 12);
    expect((low + high) / 2).toBeCloseTo(0.375, 12);
    expect((high - low) / 2).toBeCloseTo(bound(4.2137) * Math.sqrt(0.0122916667 + 0.0025), 4);
    expect(meansApart([0.4], b, bound)).toBeNull();
    expect(meansApart([0.5, 0.5, 0.5], [0.1, 0.1], bound)).toBeNull();
  });

  it('is said of pairs by the differences alone', () => {
    const pairs = [
      [0.2, 0.4],
      [0.5, 0.6],
      [0.1, 0.6],
    ] as const;
    const { value, low, high } = pairsApart(pairs, () => 2) ?? { value: 0, low: 0, high: 0 };
    expect(value).toBeCloseTo(0.8 / 3, 12);
    // The differences 0.2, 0.1 and 0.5 vary by 0.043333; a third of it is the squared error.
    expect(high - low).toBeCloseTo(4 * Math.sqrt(0.0433333333 / 3), 6);
    // Of two pairs nothing can be told: the bounds are those of what a difference can be.
    const two = [
      [0, 1],
      [0.5, 0.6],
    ] as const;
    expect(pairsApart(two, bound)).toEqual({ value: 0.55, low: -1, high: 1 });
    expect(pairsApart([[0.1, 0.2]], bound)).toBeNull();
    expect(
      pairsApart(
        [
          [0.1, 0.2],
          [0.3, 0.4],
        ],
        bound,
      ),
    ).toBeNull();
  });

  it('lies between its bounds about as often as they say', () => {
    const roll = random(seedOf('apart'));
    const people = (n: number, knows: number) =>
      Array.from({ length: n }, () => [0, 1, 2, 3].filter(() => roll() < knows).length / 4);
    const held = { means: 0, shares: 0, pairs: 0 };
    const share = (list: readonly number[]) => ({ value: list.reduce((a, b) => a + b) / list.length, n: list.length });
    for (let i = 0; i < 1000; i++) {
      const [a, b] = [people(14, 0.7), people(22, 0.5)];
      const within = (figure: { low: number; high: number } | null) =>
        figure !== null && figure.low <= 0.2 && 0.2 <= figure.high ? 1 : 0;
      held.means += within(meansApart(a, b, bound));
      held.shares += within(sharesApart(share(a), share(b), Z));
      const second = people(14, 0.7);
      held.pairs += within(
        pairsApart(
          people(14, 0.5).map((first, at) => [first, second[at] as number]),
          bound,
        ),
      );
    }
    for (const times of [held.means, held.pairs]) {
      expect(times).toBeGreaterThan(925);
      expect(times).toBeLessThan(975);
    }
    // Marks vary less than shares may: the bounds are no narrower than they have to be.
    expect(held.shares).toBeGreaterThan(950);
  });

  it('has no bound beyond 1, by a rounding either', () => {
    expect(sharesApart({ value: 1, n: 149 }, { value: 0, n: 65 }, Z)?.high).toBe(1);
  });

  it('turns round when the sides change places', () => {
    const share = fc.record({ value: fc.double({ min: 0, max: 1, noNaN: true }), n: fc.integer({ min: 1, max: 200 }) });
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [one, other] = [sharesApart(a, b, Z), sharesApart(b, a, Z)];
        expect(one?.low).toBeCloseTo(-(other?.high ?? 0), 12);
        expect(one?.low).toBeGreaterThanOrEqual(-1);
        expect(one?.high).toBeLessThanOrEqual(1);
      }),
    );
  });
});
