import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { correlation, cronbach, discrimination, distribution, facility } from './items';

// Six learners, four questions of one point; worked out by hand and with a spreadsheet.
const SHARES = [
  [1, 1, 1, 1],
  [1, 1, 1, 0],
  [1, 1, 0, 0],
  [1, 0, 1, 0],
  [1, 0, 0, 0],
  [0, 0, 0, 0],
];
const ONES = [1, 1, 1, 1];

describe('figures of a set', () => {
  it('say how hard a question was', () => {
    expect([0, 1, 2, 3].map((q) => facility(SHARES, q))).toEqual([5 / 6, 0.5, 0.5, 1 / 6]);
    expect(facility([[null], [0.25], [0.75]], 0)).toBe(0.5);
    expect(facility([[null]], 0)).toBeNull();
  });

  it('say how well a question tells strong from weak, without holding it against itself', () => {
    // Question 2 against the sum of the others: 3 2 1 | 2 1 0, with it 1 1 1 | 0 0 0.
    expect(discrimination(SHARES, ONES, 1)).toBeCloseTo(
      correlation([1, 1, 1, 0, 0, 0], [3, 2, 1, 2, 1, 0]) as number,
      12,
    );
    expect(discrimination(SHARES, ONES, 1)).toBeCloseTo(0.522233, 6);
    expect(discrimination(SHARES.slice(0, 4), ONES, 1)).toBeNull();
    expect(discrimination(SHARES, ONES.slice(0, 1), 0)).toBeNull();
    expect(
      discrimination(
        SHARES.map(([a]) => [a as number]),
        [1],
        0,
      ),
    ).toBeNull();
  });

  it('say how reliable the whole is', () => {
    // Variances 1/6, 0.3, 0.3, 1/6 sum to 14/15; that of the totals 4 3 2 2 1 0 is 2. So 4/3 · (1 − 7/15).
    expect(cronbach(SHARES, ONES)).toBeCloseTo((4 / 3) * (1 - 14 / 15 / 2), 12);
    expect(cronbach([...SHARES, [1, null, 1, 1]], ONES)).toBeNull();
    expect(
      cronbach(
        SHARES.map(([a]) => [a as number]),
        [1],
      ),
    ).toBeNull();
    expect(cronbach(Array(6).fill([1, 1]), [1, 1])).toBeNull();
  });

  it('stay in their bounds, and are 1 where all questions say the same', () => {
    const shares = fc.array(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 3, maxLength: 3 }), {
      minLength: 5,
      maxLength: 12,
    });
    fc.assert(
      fc.property(shares, (rows) => {
        const d = discrimination(rows, [1, 2, 3], 0);
        if (d !== null) expect(Math.abs(d)).toBeLessThanOrEqual(1 + 1e-9);
        expect(cronbach(rows, [1, 2, 3]) ?? 0).toBeLessThanOrEqual(1 + 1e-9);
        const same = rows.map(([a]) => [a as number, a as number, a as number]);
        const alpha = cronbach(same, [1, 1, 1]);
        if (alpha !== null) expect(alpha).toBeCloseTo(1, 6);
      }),
    );
  });

  it('put each mark in its tenth, full marks in the last', () => {
    expect(distribution([0, 0.05, 0.1, 0.3, 0.95, 1])).toEqual([2, 1, 0, 1, 0, 0, 0, 0, 0, 2]);
    expect(distribution([])).toEqual(Array(10).fill(0));
  });
});
