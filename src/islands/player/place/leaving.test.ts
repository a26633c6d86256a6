import { expect, it } from 'vitest';
import { leavingInWords, leavingOf } from './leaving';

const SET = { at: 0, count: 3, goBack: true, tried: [] as number[], ended: [] as number[], deferred: false };
const UNTOUCHED = { tried: false, ended: false };
const TRIED = { tried: true, ended: false };
const ENDED = { tried: true, ended: true };

it.each<[string, Partial<typeof SET>, typeof ENDED, ReturnType<typeof leavingOf>]>([
  ['the first of three, ended', {}, ENDED, { isLast: false, isFinal: false, unchecked: 0, open: 0 }],
  ['the first of three, tried', {}, TRIED, { isLast: false, isFinal: false, unchecked: 0, open: 1 }],
  ['the first of three, untouched', {}, UNTOUCHED, { isLast: false, isFinal: false, unchecked: 1, open: 0 }],
  ['without going back', { goBack: false }, UNTOUCHED, { isLast: false, isFinal: true, unchecked: 1, open: 0 }],
  [
    'the last, two of three ended',
    { at: 2, tried: [0], ended: [0] },
    ENDED,
    { isLast: true, isFinal: true, unchecked: 1, open: 0 },
  ],
  [
    'the last, ended twice over',
    { at: 2, tried: [0, 1, 2], ended: [0, 1, 2] },
    ENDED,
    { isLast: true, isFinal: true, unchecked: 0, open: 0 },
  ],
  ['the last, one tried', { at: 2, tried: [0] }, UNTOUCHED, { isLast: true, isFinal: true, unchecked: 2, open: 1 }],
  ['a single question', { count: 1 }, UNTOUCHED, { isLast: true, isFinal: true, unchecked: 1, open: 0 }],
  [
    'the last with deferred feedback',
    { at: 2, deferred: true },
    UNTOUCHED,
    { isLast: true, isFinal: true, unchecked: 0, open: 0 },
  ],
  [
    'an earlier one with deferred feedback',
    { deferred: true },
    UNTOUCHED,
    { isLast: false, isFinal: false, unchecked: 1, open: 0 },
  ],
])('leaving %s', (_, place, now, leaving) => {
  expect(leavingOf({ ...SET, ...place }, now)).toEqual(leaving);
});

const END = 'After this nothing can be moved any more';
it.each([
  [{ isLast: false, isFinal: true, unchecked: 1, open: 0 }, 3, 'You cannot come back to it.'],
  [{ isLast: true, isFinal: true, unchecked: 0, open: 0 }, 3, `${END}, and all of it is checked.`],
  [{ isLast: true, isFinal: true, unchecked: 1, open: 0 }, 1, `This question is not checked yet. ${END}.`],
  [{ isLast: true, isFinal: true, unchecked: 0, open: 1 }, 1, `This question could be tried again. ${END}.`],
  [
    { isLast: true, isFinal: true, unchecked: 1, open: 2 },
    4,
    `One question is not checked yet. 2 questions could be tried again. ${END}.`,
  ],
])('says what leaving means: %o of %i', (leaving, count, words) => {
  expect(leavingInWords(leaving, count)).toBe(words);
});
