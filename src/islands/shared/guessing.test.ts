import { expect, it } from 'vitest';
import { guessingInWords, oneIn } from './guessing';

it.each([
  [1 / 19_683, '1 in 19,683'],
  [0.5, '1 in 2'],
  [0, 'never'],
  [1, 'always'],
  [1e-20, '1 in 10^20'],
])('a chance of %s is %s', (chance, words) => expect(oneIn(chance)).toBe(words));

it('what cannot be said is left out; what was sampled is said to be about right', () => {
  const nothing = { fullMarkArrangements: null, standardError: null, neverMissed: [] };
  expect(guessingInWords({ ...nothing, chanceOfFullMarks: null, expectedFraction: null, method: null })).toBe('');
  expect(guessingInWords({ ...nothing, chanceOfFullMarks: 0.25, expectedFraction: 0.331, method: 'exact' })).toBe(
    ' · guessing 33 % · full marks 1 in 4',
  );
  expect(guessingInWords({ ...nothing, chanceOfFullMarks: 0.25, expectedFraction: 0.001, method: 'sampled' })).toBe(
    ' · guessing about under 1 % · full marks about 1 in 4',
  );
});
