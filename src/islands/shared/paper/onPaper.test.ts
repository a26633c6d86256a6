import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { answersOf, drawnOnPaper, listed, onPaper, placesOf } from './onPaper';

const sheet = (changes: Record<string, unknown>, seed = 'a') => onPaper(seeds(changes), seed);
const says = (changes: Record<string, unknown>) =>
  Object.fromEntries(answersOf(sheet(changes)).map(({ place, answer }) => [place, answer]));
const rect = (id: string, more = {}) => ({
  id,
  label: '',
  shape: { type: 'rect', x: 0, y: 0, w: 100, h: 100 },
  ...more,
});

describe('a question on paper', () => {
  it('shows its loose things in an order that is drawn, and nothing that learners have to find', () => {
    const changes = {
      tray: { side: 'bottom', size: 120, order: 'shuffled' },
      items: ['barley', 'poppy', 'acorn', 'gravel', 'oat', 'onion'].map((id) => ({
        id,
        label: id,
        size: { w: 80, h: 40 },
      })),
      zones: [rect('dry'), rect('moist'), rect('spot', { hidden: true })],
    };
    const order = (seed: string) => {
      const asked = sheet(changes, seed);
      return listed(asked)
        .map((i) => `${asked.letters[i]} ${asked.question.items[i]?.label}`)
        .join();
    };
    expect(drawnOnPaper(sheet(changes)).zones.map(({ id }) => id)).toEqual(['dry', 'moist']);
    expect(order('a')).toBe(order('a'));
    expect(order('a')).toMatch(/^A \w+,B \w+,C \w+,D \w+,E \w+,F \w+$/);
    expect(new Set(['a', 'b', 'c', 'd', 'e'].map(order)).size).toBeGreaterThan(1);
  });

  it('numbers its gaps in the order of the text, then its other places as they are read', () => {
    const text = {
      blocks: [{ type: 'paragraph', runs: [{ text: 'First ' }, { slot: 'b' }, { text: ' then ' }, { slot: 'a' }] }],
    };
    const slot = (id: string) => ({ id, label: id, shape: { type: 'slot' } });
    const asked = sheet({
      fixtures: [{ id: 'text', type: 'text', x: 0, y: 0, w: 400, h: 100, text }],
      zones: [slot('a'), slot('b'), rect('c', { label: 'Bin' }), rect('d')],
      key: [{ zone: 'a', belongs: ['barley'], need: { rule: 'all' } }],
    });
    expect(asked.numbers).toEqual([2, 1, 3, 4]);
    expect(placesOf(asked).map(({ number, title }) => [number, title])).toEqual([
      [1, ''],
      [2, ''],
      [3, 'Bin'],
      [4, ''],
    ]);
  });

  it('has what lies in a place at the start written there', () => {
    const asked = sheet({ start: { placements: [{ item: 'acorn', zone: 'dry' }] } });
    const letter = asked.letters[asked.question.items.findIndex(({ id }) => id === 'acorn')];
    expect(placesOf(asked)).toMatchObject([
      { title: 'dry', begins: [letter] },
      { title: 'moist', begins: [] },
    ]);
  });

  it('has its key in letters and words: what belongs where, how many, in which order, and what belongs nowhere', () => {
    expect(says({})).toEqual({ '1 dry': 'A barley, B poppy', '2 moist': 'C acorn', nowhere: 'D gravel' });
    const only = (entry: Record<string, unknown>) =>
      says({ key: [{ zone: 'dry', belongs: ['barley', 'poppy', 'acorn', 'gravel'], ...entry }] })['1 dry'];
    const all = 'A barley, B poppy, C acorn, D gravel';
    expect(only({ need: { rule: 'exactly', n: 2 } })).toBe(`2 of ${all}`);
    expect(only({ need: { rule: 'exactly', n: 0 } })).toBe(`none of ${all}`);
    expect(only({ need: { rule: 'atLeast', n: 1 } })).toBe(`at least 1 of ${all}`);
    expect(only({ need: { rule: 'between', min: 1, max: 3 } })).toBe(`1 to 3 of ${all}`);
    expect(only({ sum: { target: 50, tolerance: 2 } })).toBe(`some of ${all}, adding up to 50 (± 2)`);
    expect(only({ sequence: true })).toBe('A barley → B poppy → C acorn → D gravel');
  });
});
