import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import type { Shape } from '../document/schema';
import { random } from '../random/random';
import { contains, type Outline, outlineOf, overlapShare, rectOutline } from './outline';
import { type Corners, signedArea } from './polygon';
import { isSimplePolygon } from './simplePolygon';

const box = fc.record({
  x: fc.integer({ min: 0, max: 100 }),
  y: fc.integer({ min: 0, max: 100 }),
  w: fc.integer({ min: 5, max: 90 }),
  h: fc.integer({ min: 5, max: 90 }),
});
const turn = fc.integer({ min: -180, max: 180 });
const body = (b: { x: number; y: number; w: number; h: number }, rotation: number) =>
  rectOutline(b, rotation) as Extract<Outline, { type: 'polygon' }>;

/** The share by throwing points at the item: slow, and as plain as can be. */
function thrown(item: Extract<Outline, { type: 'polygon' }>, zone: Outline, n: number): number {
  const next = random(7);
  let hits = 0;
  let all = 0;
  while (all < n) {
    const p = { x: item.box.x + next() * item.box.w, y: item.box.y + next() * item.box.h };
    if (!contains(item, p)) continue;
    all++;
    if (contains(zone, p)) hits++;
  }
  return hits / n;
}

describe('overlap', () => {
  it('of turned rectangles agrees with a general clipping library', () => {
    fc.assert(
      fc.property(box, turn, box, turn, (a, ra, b, rb) => {
        const [item, zone] = [body(a, ra), body(b, rb)];
        const ring = (corners: Corners) => corners.map(([x, y]) => [x, y] as [number, number]);
        const area = polygonClipping
          .intersection([ring(item.corners)], [ring(zone.corners)])
          .reduce((sum, [outer]) => sum + Math.abs(signedArea((outer ?? []).slice(0, -1))), 0);
        expect(overlapShare(item, a.w * a.h, zone)).toBeCloseTo(area / (a.w * a.h), 6);
      }),
      { seed: 26, numRuns: 400 },
    );
  });

  it.each<[string, Shape, number]>([
    ['an ellipse', { type: 'ellipse', cx: 60, cy: 55, rx: 40, ry: 25 }, 30],
    [
      'a concave polygon',
      {
        type: 'polygon',
        points: [
          [20, 20],
          [110, 30],
          [60, 60],
          [100, 110],
          [15, 95],
        ],
      },
      0,
    ],
  ])('with %s agrees with thrown points', (_, shape, rotation) => {
    const zone = outlineOf(shape, rotation) as Outline;
    for (const [x, y, r] of [
      [30, 30, 0],
      [50, 40, 35],
      [70, 70, -20],
      [5, 5, 60],
    ] as const) {
      const item = body({ x, y, w: 50, h: 30 }, r);
      // 40,000 points: a standard error of at most 0.0025.
      expect(Math.abs(overlapShare(item, 1500, zone) - thrown(item, zone, 40_000))).toBeLessThan(0.01);
    }
  });

  it('is all or nothing where it has to be', () => {
    const item = body({ x: 40, y: 40, w: 20, h: 10 }, 0);
    expect(overlapShare(item, 200, outlineOf({ type: 'rect', x: 0, y: 0, w: 100, h: 100 }, 0) as Outline)).toBe(1);
    expect(
      overlapShare(item, 200, outlineOf({ type: 'ellipse', cx: 50, cy: 45, rx: 300, ry: 300 }, 0) as Outline),
    ).toBeCloseTo(1, 12);
    expect(overlapShare(item, 200, outlineOf({ type: 'rect', x: 60, y: 40, w: 10, h: 10 }, 0) as Outline)).toBe(0);
  });
});

describe('a polygon outline', () => {
  it.each<[string, Corners, boolean]>([
    [
      'a triangle',
      [
        [0, 0],
        [10, 0],
        [0, 10],
      ],
      true,
    ],
    [
      'a concave one',
      [
        [0, 0],
        [10, 0],
        [10, 10],
        [5, 2],
        [0, 10],
      ],
      true,
    ],
    [
      'one that crosses itself',
      [
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ],
      false,
    ],
    [
      'one that touches itself',
      [
        [0, 0],
        [10, 0],
        [5, 0],
        [5, 10],
      ],
      false,
    ],
    [
      'one without area',
      [
        [0, 0],
        [5, 5],
        [10, 10],
      ],
      false,
    ],
    [
      'a corner twice',
      [
        [0, 0],
        [0, 0],
        [10, 0],
        [0, 10],
      ],
      false,
    ],
  ])('%s', (_, corners, simple) => {
    expect(isSimplePolygon(corners)).toBe(simple);
  });
});
