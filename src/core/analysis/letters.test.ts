import { expect, it } from 'vitest';
import { letterOf } from './letters';

const SCHEME = [
  { letter: 'C', from: 0.5 },
  { letter: 'A', from: 0.9 },
  { letter: 'B', from: 0.7 },
];

it.each([
  [1, 'A'],
  [0.9, 'A'],
  // Nine tenths, added up.
  [0.1 + 0.2 + 0.3 + 0.3, 'A'],
  [0.8999, 'B'],
  [0.5, 'C'],
  [0.49, null],
  [null, null],
])('the letter of %s is %s', (overall, letter) => {
  expect(letterOf(SCHEME, overall)).toBe(letter);
  expect(letterOf([], overall)).toBeNull();
});
