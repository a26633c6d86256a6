import { describe, expect, it } from 'vitest';
import { settleBoxes } from './index';

const zone = { x: 100, y: 50, w: 200, h: 120 };
const two = [
  { w: 80, h: 30 },
  { w: 60, h: 20 },
];
const letGo = [null, null];

describe('coming to rest', () => {
  it('as dropped: where it was let go; put by name, in the middle', () => {
    expect(settleBoxes({ rule: 'asDropped' }, zone, two, [{ x: 7, y: 9 }, null])).toEqual([
      { x: 7, y: 9 },
      { x: 170, y: 100 },
    ]);
  });
  it.each([
    ['topLeft', 110, 60],
    ['top', 160, 60],
    ['topRight', 210, 60],
    ['left', 110, 95],
    ['middle', 160, 95],
    ['right', 210, 95],
    ['bottomLeft', 110, 130],
    ['bottom', 160, 130],
    ['bottomRight', 210, 130],
  ] as const)('anchor %s', (at, x, y) => {
    expect(settleBoxes({ rule: 'anchor', at, gap: 10 }, zone, [{ w: 80, h: 30 }], [null])).toEqual([{ x, y }]);
  });
  it('row: a new line when the next would pass the right edge less the gap', () => {
    const three = [...two, { w: 80, h: 10 }];
    expect(settleBoxes({ rule: 'row', gap: 10 }, zone, three, [...letGo, null])).toEqual([
      { x: 110, y: 60 },
      { x: 200, y: 60 },
      { x: 110, y: 100 },
    ]);
  });
  it('column: the same downwards', () => {
    const three = [...two, { w: 10, h: 60 }];
    expect(settleBoxes({ rule: 'column', gap: 10 }, zone, three, [...letGo, null])).toEqual([
      { x: 110, y: 60 },
      { x: 110, y: 100 },
      { x: 200, y: 60 },
    ]);
  });
  it('grid: cells of the widest by the tallest, each box in the middle of its cell', () => {
    expect(settleBoxes({ rule: 'grid', gap: 10 }, zone, [...two, { w: 80, h: 10 }], [...letGo, null])).toEqual([
      { x: 110, y: 60 },
      { x: 210, y: 65 },
      { x: 110, y: 110 },
    ]);
  });
  it('pile: about the middle, no two at one place, and always the same', () => {
    const piled = settleBoxes({ rule: 'pile' }, zone, Array(12).fill({ w: 20, h: 20 }), Array(12).fill(null));
    expect(piled[0]).toEqual({ x: 190, y: 100 });
    expect(new Set(piled.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`)).size).toBe(12);
    expect(settleBoxes({ rule: 'pile' }, zone, Array(12).fill({ w: 20, h: 20 }), Array(12).fill(null))).toEqual(piled);
  });
});
