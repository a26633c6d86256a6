import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { answersOf, onPaper, zoneNames } from './onPaper';

const says = (changes: Record<string, unknown>) =>
  Object.fromEntries(answersOf(seeds(changes)).map(({ zone, answer }) => [zone, answer]));
const rect = (id: string, more = {}) => ({
  id,
  label: '',
  shape: { type: 'rect', x: 0, y: 0, w: 100, h: 100 },
  ...more,
});

describe('a question on paper', () => {
  it('shows its loose things in an order that is drawn, and nothing that learners have to find', () => {
    const question = seeds({
      tray: { side: 'bottom', size: 120, order: 'shuffled' },
      items: ['barley', 'poppy', 'acorn', 'gravel', 'oat', 'onion'].map((id) => ({
        id,
        label: id,
        size: { w: 80, h: 40 },
      })),
      zones: [rect('dry'), rect('moist'), rect('spot', { hidden: true })],
    });
    const order = (seed: string) =>
      onPaper(question, seed)
        .items.toSorted((a, b) => (a.home?.x ?? 0) - (b.home?.x ?? 0))
        .map(({ id }) => id)
        .join();
    expect(onPaper(question, 'a').zones.map(({ id }) => id)).toEqual(['dry', 'moist']);
    expect(order('a')).toBe(order('a'));
    expect(new Set(['a', 'b', 'c', 'd', 'e'].map(order)).size).toBeGreaterThan(1);
  });

  it('calls its gaps by numbers in the order of the text, and other zones by their labels', () => {
    const text = {
      blocks: [{ type: 'paragraph', runs: [{ text: 'First ' }, { slot: 'b' }, { text: ' then ' }, { slot: 'a' }] }],
    };
    const slot = (id: string) => ({ id, label: id, shape: { type: 'slot' } });
    const question = seeds({
      fixtures: [{ id: 'text', type: 'text', x: 0, y: 0, w: 400, h: 100, text }],
      zones: [slot('a'), slot('b'), rect('c', { label: 'Bin' }), rect('d')],
      key: [{ zone: 'a', belongs: ['barley'], need: { rule: 'all' } }],
    });
    expect([...zoneNames(question)]).toEqual([
      ['a', '(2)'],
      ['b', '(1)'],
      ['c', 'Bin'],
      ['d', 'No. 4'],
    ]);
  });

  it('has its key in words: what belongs where, how many, in which order, and what belongs nowhere', () => {
    expect(says({})).toEqual({ dry: 'barley, poppy', moist: 'acorn', nowhere: 'gravel' });
    const only = (entry: Record<string, unknown>) =>
      says({ key: [{ zone: 'dry', belongs: ['barley', 'poppy', 'acorn', 'gravel'], ...entry }] }).dry;
    expect(only({ need: { rule: 'exactly', n: 2 } })).toBe('2 of barley, poppy, acorn, gravel');
    expect(only({ need: { rule: 'exactly', n: 0 } })).toBe('none of barley, poppy, acorn, gravel');
    expect(only({ need: { rule: 'atLeast', n: 1 } })).toBe('at least 1 of barley, poppy, acorn, gravel');
    expect(only({ need: { rule: 'between', min: 1, max: 3 } })).toBe('1 to 3 of barley, poppy, acorn, gravel');
    expect(only({ sum: { target: 50, tolerance: 2 } })).toBe(
      'some of barley, poppy, acorn, gravel, adding up to 50 (± 2)',
    );
    expect(only({ sequence: true })).toBe('barley → poppy → acorn → gravel');
  });
});
