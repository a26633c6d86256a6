import { describe, expect, it } from 'vitest';
import { resize, rounded, SMALLEST, shiftWithin, snapMove, snapResize } from './snap';

const other = { x: 100, y: 100, w: 50, h: 30 };
const scene = { x: 0, y: 0, w: 960, h: 540 };

describe('snapping', () => {
  it('brings an edge onto an edge within the tolerance, and shows the line', () => {
    const { box, guides } = snapMove({ x: 104, y: 200, w: 80, h: 40 }, [other], 6);
    expect(box).toEqual({ x: 100, y: 200, w: 80, h: 40 });
    expect(guides).toEqual([{ axis: 'x', at: 100, from: 100, to: 240 }]);
  });
  it('brings a centre onto a centre', () => {
    expect(snapMove({ x: 88, y: 300, w: 80, h: 40 }, [other], 6).box.x).toBe(85);
  });
  it('leaves what is farther away alone', () => {
    expect(snapMove({ x: 157, y: 200, w: 83, h: 40 }, [other], 6)).toEqual({
      box: { x: 157, y: 200, w: 83, h: 40 },
      guides: [],
    });
  });
  it('moves only the sides a handle moves', () => {
    const { box } = snapResize({ x: 10, y: 10, w: 87, h: 20 }, { x: 1, y: 0 }, [other], 6);
    expect(box).toEqual({ x: 10, y: 10, w: 90, h: 20 });
  });
});

describe('resizing', () => {
  it('keeps the far side where it is', () => {
    expect(resize(other, { x: -1, y: -1 }, -10, 5)).toEqual({ x: 90, y: 105, w: 60, h: 25 });
  });
  it('ends at the smallest size', () => {
    expect(resize(other, { x: -1, y: 0 }, 500, 0)).toEqual({ x: 150 - SMALLEST, y: 100, w: SMALLEST, h: 30 });
  });
});

describe('shifting several boxes', () => {
  it('stops where the first of them would leave the scene', () => {
    expect(shiftWithin([other, { x: 900, y: 10, w: 50, h: 30 }], { x: 100, y: -50 }, scene)).toEqual({ x: 10, y: -10 });
  });
});

it('rounds to whole units', () => {
  expect(rounded({ x: 0.4, y: 1.5, w: 0.2, h: 9.9 })).toEqual({ x: 0, y: 2, w: 1, h: 10 });
});
