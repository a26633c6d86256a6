import { describe, expect, it } from 'vitest';
import { copyOf } from '../judge/model';
import type { Digest } from './digest';
import { fifthsBy, fifthsOf } from './fifths';

const did = (item: number, zone: number): Digest => ({
  ...{ tries: 1, turnedAway: 0, seconds: 1, drops: [], paces: [], went: [], orders: [], typed: [], marks: [] },
  put: [
    [copyOf(item, 0), zone, zone],
    [copyOf(item, 1), zone, zone],
    [copyOf(9, 0), -1, -1],
  ],
});

describe('fifths of a class', () => {
  it('are as large as one another, by the total', () => {
    expect(fifthsBy([5, 1, 4, 2, 3])).toEqual([4, 0, 3, 1, 2]);
    const sizes = fifthsBy(Array.from({ length: 23 }, (_, i) => (i * 7) % 23)).reduce<number[]>((all, fifth) => {
      all[fifth] = (all[fifth] ?? 0) + 1;
      return all;
    }, []);
    expect(sizes).toEqual([5, 5, 4, 5, 4]);
  });

  it('say who chose what at first: a choice once, and nothing of what was left out', () => {
    const answers = Array.from({ length: 10 }, (_, i) => ({ total: i, digest: did(i < 4 ? 0 : 1, 2) }));
    expect(fifthsOf(answers)).toEqual({
      learners: [2, 2, 2, 2, 2],
      rows: [
        { item: 1, zone: 2, counts: [0, 0, 2, 2, 2] },
        { item: 0, zone: 2, counts: [2, 2, 0, 0, 0] },
      ],
    });
    expect(fifthsOf(answers.slice(1))).toBeNull();
  });
});
