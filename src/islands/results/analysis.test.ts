import { describe, expect, it } from 'vitest';
import { discriminationInWords, facilityInWords, reliabilityInWords, wrongPairs } from './analysis';

describe('figures in words', () => {
  it('say something of every value, and nothing where there is none', () => {
    expect([1, 0.9, 0.7, 0.4, 0.2, 0].map((f) => facilityInWords(f))).toHaveLength(
      new Set([1, 0.7, 0.4, 0.2, 0].map((f) => facilityInWords(f))).size + 1,
    );
    expect(new Set([0.5, 0.35, 0.25, 0.1, -0.1].map((d) => discriminationInWords(d))).size).toBe(5);
    expect(facilityInWords(null)).toBe('');
    expect(discriminationInWords(null)).toBe('');
    expect(reliabilityInWords(null, 1, 40)).toContain('two questions');
    expect(reliabilityInWords(null, 3, 4)).toContain('five learners');
    expect(reliabilityInWords(null, 3, 40)).toContain('different questions');
    expect(new Set([0.95, 0.8, 0.6, 0.1].map((a) => reliabilityInWords(a, 3, 40))).size).toBe(4);
  });

  it('rank wrong pairs by how many were in them at last', () => {
    const pair = (item: number, first: number, last: number, right: boolean | null) => ({
      item,
      zone: 0,
      first,
      last,
      right,
    });
    expect(
      wrongPairs([
        pair(0, 9, 1, false),
        pair(1, 0, 5, false),
        pair(2, 3, 9, true),
        pair(3, 2, 1, false),
        pair(4, 1, 1, null),
      ]).map(({ item }) => item),
    ).toEqual([1, 0, 3]);
  });
});
