import { expect, it } from 'vitest';
import { type CellFacts, cellState } from './cellState';

const NOTHING: CellFacts = {
  excused: false,
  byHand: false,
  assigned: true,
  counts: false,
  finished: false,
  started: false,
  over: false,
};

it.each<[string, Partial<CellFacts>, string]>([
  ['nothing was started', {}, 'none'],
  ['an attempt without a move', { started: true }, 'running'],
  ['an attempt that counts', { started: true, counts: true }, 'running'],
  ['an attempt that counts, after the due date', { started: true, counts: true, over: true }, 'running'],
  ['a finished attempt', { started: true, counts: true, finished: true, over: true }, 'done'],
  ['nothing was started, after the due date', { over: true }, 'missing'],
  ['an attempt without a move, after the due date', { started: true, over: true }, 'missing'],
  ['not assigned', { assigned: false, over: true }, 'notFor'],
  ['not assigned, with a mark by hand', { assigned: false, byHand: true }, 'done'],
  ['excused, whatever they have', { excused: true, byHand: true, finished: true, over: true }, 'excused'],
  ['a mark by hand, after the due date', { byHand: true, over: true }, 'done'],
])('a cell of the gradebook: %s', (_, facts, state) => {
  expect(cellState({ ...NOTHING, ...facts })).toBe(state);
});
