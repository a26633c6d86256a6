import { expect, it } from 'vitest';
import { newQuestion, parseQuestion } from '../document';
import { questionModel } from '../judge/model';
import { prove } from '../proof/proof';
import { type Becomes, becomesByName, withParts } from './apart';

const part = (name: string, becomes: Becomes, x: number, outline: [number, number][] | null = null) => ({
  name,
  becomes,
  outline,
  media: null,
  box: { x, y: becomes === 'item' ? 400 : 40, w: 90, h: 60 },
});

it('a name that says it is a place is a zone, and what has its name belongs there', () => {
  expect(becomesByName(['Barley', 'Barley place', 'zone-for-acorn', 'Acorn', 'Table', 'place'])).toEqual([
    'item',
    'zone',
    'zone',
    'item',
    'fixture',
    'fixture',
  ]);
});

it('parts become items and zones at their places, keyed by their names, with an outline where there is one', () => {
  const made = withParts({ ...newQuestion('0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0998', 'Parts'), tray: null }, [
    part('Barley', 'item', 40),
    part('Barley place', 'zone', 40),
    part('Acorn', 'item', 240),
    part('Acorn place', 'zone', 240, [
      [240, 40],
      [330, 40],
      [285, 100],
    ]),
    part('Table', 'fixture', 440),
    part('Frame', 'nothing', 540),
  ]);
  expect(parseQuestion(made).ok).toBe(true);
  expect(made.items.map(({ label, home }) => [label, home])).toEqual([
    ['Barley', { x: 40, y: 400 }],
    ['Acorn', { x: 240, y: 400 }],
  ]);
  // A place does not tell by its name what belongs there.
  expect(made.zones.map(({ label, shape }) => [label, shape.type])).toEqual([
    ['Place 1', 'rect'],
    ['Place 2', 'polygon'],
  ]);
  expect(made.key.map(({ zone, belongs }) => [zone, belongs])).toEqual([
    ['zone-1', ['item-1']],
    ['zone-2', ['item-2']],
  ]);
  expect(made.marks.max).toBe(2);
  expect(prove(questionModel(made), 1000, { now: () => 0 }).solvable).toBe(true);
});
