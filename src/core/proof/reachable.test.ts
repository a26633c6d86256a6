import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { questionModel } from '../judge/model';
import { contrast, TOKENS } from './contrast';
import { reachability } from './reachable';
import { linesNeeded, textWidth } from './text/measure';

const rect = (id: string, x: number, y: number, w: number, h: number, more: Record<string, unknown> = {}) => ({
  id,
  shape: { type: 'rect', x, y, w, h },
  ...more,
});
const reach = (zones: unknown[], items: unknown[] = [{ id: 'barley', size: { w: 100, h: 40 } }]) =>
  reachability(questionModel(seeds({ zones, items, key: [] })))(0, 0);

describe('can an item be brought into a zone', () => {
  it.each([
    ['a zone of its size, wholly', [rect('dry', 40, 40, 100, 40, { reach: { rule: 'inside' } })], { can: 'wins' }],
    [
      'a zone a little too small, wholly',
      [rect('dry', 40, 40, 99.9, 40, { reach: { rule: 'inside' } })],
      { can: 'never', share: expect.closeTo(0.999, 9) },
    ],
    ['half of it over a sliver', [rect('dry', 40, 40, 400, 19)], { can: 'never', share: expect.closeTo(0.475, 9) }],
    ['a spot by its middle', [rect('dry', 40, 40, 1, 1, { reach: { rule: 'centre' } })], { can: 'wins' }],
    [
      'a zone off the scene',
      [rect('dry', 2000, 40, 400, 300, { reach: { rule: 'touch' } })],
      { can: 'never', share: 0 },
    ],
    ['a slot', [{ id: 'dry', shape: { type: 'slot' } }], { can: 'wins' }],
    [
      'a zone wholly beneath a larger one',
      [rect('dry', 100, 100, 100, 100), rect('moist', 50, 50, 300, 300)],
      { can: 'loses', to: 1 },
    ],
    [
      'the same where the larger one is beneath',
      [rect('dry', 50, 50, 300, 300), rect('moist', 100, 100, 100, 100)],
      { can: 'wins' },
    ],
    [
      'beneath one of another family',
      [rect('dry', 100, 100, 100, 100), rect('moist', 50, 50, 300, 300, { family: 'seeds' })],
      { can: 'wins' },
    ],
    [
      'beneath a floor',
      [rect('dry', 100, 100, 200, 100), rect('moist', 0, 0, 960, 540, { floor: true })],
      { can: 'wins' },
    ],
    [
      'by the pointer, beneath one that asks for most of the item',
      [rect('dry', 100, 100, 20, 20, { reach: { rule: 'pointer' } }), rect('moist', 90, 90, 40, 40)],
      { can: 'wins' },
    ],
  ])('%s', (_, zones, found) => expect(reach(zones)).toEqual(found));

  it('a corner of a polygon is found', () => {
    const points = [
      [100, 100],
      [400, 100],
      [400, 160],
      [160, 160],
      [160, 400],
      [100, 400],
    ];
    const inside = (w: number, h: number) =>
      reach(
        [{ id: 'dry', shape: { type: 'polygon', points }, reach: { rule: 'inside' } }],
        [{ id: 'barley', size: { w, h } }],
      ).can;
    expect(inside(300, 60)).toBe('wins');
    expect(inside(60, 300)).toBe('wins');
    expect(inside(301, 60)).toBe('never');
    expect(inside(70, 70)).toBe('never');
  });
});

describe('the width of a text', () => {
  it('is the sum of its characters', () => {
    expect(textWidth('Barley', 15)).toBeCloseTo(
      ['B', 'a', 'r', 'l', 'e', 'y'].reduce((sum, c) => sum + textWidth(c, 15), 0),
      9,
    );
    expect(textWidth('é', 10)).toBeCloseTo(textWidth('e', 10), 0);
    expect(textWidth('种', 10)).toBe(10);
    expect(textWidth('e\u0301', 10)).toBe(textWidth('e', 10));
  });
  it('breaks between words, and in a word only where it is wider than a line', () => {
    const width = textWidth('Stands being', 16) + 0.1;
    expect(linesNeeded('Stands being', 16, width)).toBe(1);
    expect(linesNeeded('Stands being dried', 16, width)).toBe(2);
    expect(linesNeeded('Stands\nbeing', 16, width)).toBe(2);
    expect(linesNeeded('Unverpackungsmaterialbestellung', 16, width)).toBeGreaterThan(1);
  });
});

describe('contrast', () => {
  it('is that of WCAG: 21 of black on white, 1 of like on like', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 9);
    expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.478, 3);
    expect(contrast('brass', 'brass')).toBe(1);
  });
  it('of the application’s own texts on their grounds is 4.5 or better', () => {
    for (const text of ['ink', 'mute', 'brass', 'verdigris', 'brick'] as const)
      for (const ground of ['sheet', 'paper'] as const)
        expect(contrast(text, ground), `${text} on ${ground}`).toBeGreaterThan(4.5);
    expect(Object.keys(TOKENS)).toHaveLength(11);
  });
});
