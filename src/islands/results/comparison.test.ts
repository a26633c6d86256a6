import { describe, expect, it } from 'vitest';
import { apart, apartBounds, attemptsInWords, groupInWords, releaseInWords } from './comparison';

const figure = (low: number, high: number) => ({ value: (low + high) / 2, low, high });
/** Differences above nothing, below it, at it from either side, and about it. */
const [ABOVE, BELOW, FROM_ABOVE, FROM_BELOW, ABOUT] = [
  figure(0.01, 0.3),
  figure(-0.3, -0.01),
  figure(0, 0.3),
  figure(-0.3, 0),
  figure(-0.1, 0.2),
];

describe('what is said of a difference', () => {
  it('is what its bounds bear', () => {
    const release = (difference: typeof ABOVE | null, asked = 10) => releaseInWords({ asked, difference }, 10);
    expect([ABOVE, BELOW, FROM_ABOVE, FROM_BELOW, ABOUT, null].map((one) => release(one))).toEqual([
      'Easier there than here.',
      'Harder there than here.',
      '',
      '',
      '',
      '',
    ]);
    const group = (difference: typeof ABOVE) => groupInWords({ learners: 10, others: 10, difference });
    expect([ABOVE, BELOW, FROM_ABOVE, FROM_BELOW, ABOUT].map(group)).toEqual([
      'It earned more than the others.',
      'It earned less than the others.',
      '',
      '',
      '',
    ]);
    const attempts = (difference: typeof ABOVE) => attemptsInWords({ learners: 10, first: 0, last: 0, difference });
    expect([ABOVE, BELOW, FROM_ABOVE, FROM_BELOW, ABOUT].map(attempts)).toEqual([
      'More in the last attempt than in the first.',
      'Less in the last attempt than in the first.',
      '',
      '',
      '',
    ]);
  });

  it('is nothing below ten on either side', () => {
    expect(releaseInWords({ asked: 9, difference: ABOVE }, 40)).toBe('');
    expect(releaseInWords({ asked: 40, difference: ABOVE }, 9)).toBe('');
    expect(groupInWords({ learners: 9, others: 40, difference: BELOW })).toBe('');
    expect(groupInWords({ learners: 40, others: 9, difference: BELOW })).toBe('');
    expect(attemptsInWords({ learners: 9, first: 0, last: 1, difference: ABOVE })).toBe('');
  });

  it('is written with its sign, in percentage points', () => {
    expect([0.124, -0.124, 0.004, -0.004, 0].map(apart)).toEqual(['+12', '−12', '0', '0', '0']);
    expect(apartBounds(figure(-0.07, 0.31))).toBe('−7 to +31');
  });
});
