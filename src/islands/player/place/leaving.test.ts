import { expect, it } from 'vitest';
import { leavingInWords, leavingOf } from './leaving';

const SET = { at: 0, count: 3, goBack: true, ended: [] as number[], deferred: false };

it.each<[string, Partial<typeof SET>, boolean, ReturnType<typeof leavingOf>]>([
  ['the first of three, ended', {}, true, { isLast: false, isFinal: false, undone: 0 }],
  ['the first of three, not ended', {}, false, { isLast: false, isFinal: false, undone: 1 }],
  ['without going back', { goBack: false }, false, { isLast: false, isFinal: true, undone: 1 }],
  ['the last, two of three ended', { at: 2, ended: [0] }, true, { isLast: true, isFinal: true, undone: 1 }],
  ['the last, ended twice over', { at: 2, ended: [0, 1, 2] }, true, { isLast: true, isFinal: true, undone: 0 }],
  ['the last, none ended', { at: 2 }, false, { isLast: true, isFinal: true, undone: 3 }],
  ['a single question', { count: 1 }, false, { isLast: true, isFinal: true, undone: 1 }],
  ['the last with deferred feedback', { at: 2, deferred: true }, false, { isLast: true, isFinal: true, undone: 0 }],
  ['an earlier one with deferred feedback', { deferred: true }, false, { isLast: false, isFinal: false, undone: 1 }],
])('leaving %s', (_, place, ended, leaving) => {
  expect(leavingOf({ ...SET, ...place }, ended)).toEqual(leaving);
});

it.each([
  [{ isLast: false, isFinal: true, undone: 1 }, 3, 'You cannot come back to it.'],
  [
    { isLast: true, isFinal: true, undone: 0 },
    3,
    'After this nothing can be moved any more, and all of it is checked.',
  ],
  [
    { isLast: true, isFinal: true, undone: 1 },
    1,
    'This question is not finished. After this nothing can be moved any more.',
  ],
  [
    { isLast: true, isFinal: true, undone: 1 },
    3,
    'One question is not finished. After this nothing can be moved any more.',
  ],
  [
    { isLast: true, isFinal: true, undone: 2 },
    3,
    '2 questions are not finished. After this nothing can be moved any more.',
  ],
])('says what leaving means: %o of %i', (leaving, count, words) => {
  expect(leavingInWords(leaving, count)).toBe(words);
});
