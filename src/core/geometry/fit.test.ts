import { describe, expect, it } from 'vitest';
import type { Settle } from '../document/schema';
import { random, seedOf } from '../random/random';
import { fitCount, fitsAll } from './fit';
import { outlineOf, rectOutline } from './outline';
import { largestShare, shareAt } from './spots';

const zone = { x: 20, y: 30, w: 400, h: 200 };
const item = { w: 100, h: 40 };

describe('how many a zone holds', () => {
  it.each<[Settle, number]>([
    [{ rule: 'row', gap: 8 }, 3 * 4],
    [{ rule: 'column', gap: 8 }, 3 * 4],
    [{ rule: 'grid', gap: 8 }, 3 * 4],
    [{ rule: 'grid', gap: 0 }, 4 * 5],
    [{ rule: 'anchor', at: 'top', gap: 8 }, Infinity],
    [{ rule: 'pile' }, Infinity],
    [{ rule: 'asDropped' }, 4 * 5],
  ])('%j', (settle, count) => expect(fitCount(settle, zone, item)).toBe(count));

  it('is as many as come to rest inside it, and one more does not', () => {
    const next = random(seedOf('fit'));
    for (let i = 0; i < 400; i++) {
      const settle: Settle = {
        rule: (['row', 'column', 'grid'] as const)[i % 3] ?? 'row',
        gap: Math.floor(next() * 12),
      };
      const size = { w: 10 + next() * 120, h: 10 + next() * 90 };
      const count = fitCount(settle, zone, size);
      const some = (n: number) => Array.from({ length: n }, () => size);
      expect(fitsAll(settle, zone, some(count)), `${i}`).toBe(true);
      expect(fitsAll(settle, zone, some(count + 1)), `${i}`).toBe(false);
    }
  });

  it('is none for an item larger than the zone', () => {
    for (const rule of ['row', 'column', 'grid', 'anchor', 'pile', 'asDropped'] as const)
      expect(fitCount({ rule, gap: 4, at: 'middle' } as Settle, zone, { w: 500, h: 40 })).toBe(0);
  });
});

describe('the most of an item that a zone can have over it', () => {
  const scene = { x: 0, y: 0, w: 960, h: 540 };
  const body = { w: 120, h: 48, rotation: 20 };
  it('is where the middles meet, for a rectangle and an ellipse', () => {
    for (const shape of [
      { type: 'rect', x: 300, y: 200, w: 90, h: 60 } as const,
      { type: 'ellipse', cx: 400, cy: 250, rx: 50, ry: 40 } as const,
    ]) {
      const outline = outlineOf(shape, 35);
      if (!outline) throw new Error('It has an outline');
      const best = largestShare(body, outline, scene, true);
      const next = random(seedOf('middles'));
      for (let i = 0; i < 3000; i++)
        expect(shareAt(body, outline, { x: 300 + next() * 200, y: 150 + next() * 200 })).toBeLessThanOrEqual(
          best.share + 1e-9,
        );
    }
  });

  it('is found in a polygon at least as well as by 20,000 places thrown at it', () => {
    const outline = outlineOf(
      {
        type: 'polygon',
        points: [
          [300, 100],
          [500, 100],
          [500, 160],
          [380, 160],
          [380, 300],
          [300, 300],
        ],
      },
      0,
    );
    if (!outline) throw new Error('It has an outline');
    const best = largestShare({ w: 70, h: 70, rotation: 0 }, outline, scene, false);
    expect(best.share).toBeCloseTo(1, 6);
    const tall = { w: 90, h: 150, rotation: 15 };
    const found = largestShare(tall, outline, scene, false).share;
    const next = random(seedOf('thrown'));
    for (let i = 0; i < 20_000; i++)
      expect(shareAt(tall, outline, { x: 280 + next() * 240, y: 80 + next() * 240 })).toBeLessThanOrEqual(found + 1e-3);
  });

  it('is less where the zone lies off the scene', () => {
    const outline = rectOutline({ x: -300, y: 40, w: 320, h: 300 }, 0);
    expect(largestShare({ w: 100, h: 40, rotation: 0 }, outline, scene, true).share).toBeCloseTo(0.7, 6);
  });
});
