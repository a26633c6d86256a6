import { describe, expect, it } from 'vitest';
import { random } from '../random/random';
import { barBetween, cutAlong, endsOf, leaving } from './bar';
import { type Corners, signedArea } from './polygon';

const near = (p: { x: number; y: number }, q: { x: number; y: number }) =>
  expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(0.01);

describe('a bar', () => {
  it('has the ends it was drawn between', () => {
    for (const [from, to] of [
      [
        { x: 10, y: 20 },
        { x: 110, y: 20 },
      ],
      [
        { x: 300, y: 40 },
        { x: 120, y: 260 },
      ],
      [
        { x: 50, y: 50 },
        { x: 50, y: 10 },
      ],
    ] as const) {
      const [a, b] = endsOf(barBetween(from, to, 2));
      near(a, from);
      near(b, to);
    }
  });

  it('has its ends across where it stands upright', () => {
    const [a, b] = endsOf({ x: 100, y: 50, w: 2, h: 80, rotation: 0 });
    near(a, { x: 101, y: 50 });
    near(b, { x: 101, y: 130 });
  });
});

it('a segment leaves a box at its edge, and one from outside begins where it begins', () => {
  const box = { x: 0, y: 0, w: 100, h: 40 };
  near(leaving(box, { x: 50, y: 20 }, { x: 250, y: 20 }), { x: 100, y: 20 });
  near(leaving(box, { x: 50, y: 20 }, { x: 50, y: -80 }), { x: 50, y: 0 });
  near(leaving(box, { x: 150, y: 20 }, { x: 250, y: 20 }), { x: 150, y: 20 });
  near(leaving(box, { x: 10, y: 10 }, { x: 20, y: 12 }), { x: 20, y: 12 });
});

describe('cutting along a line', () => {
  const square: Corners = [
    [0, 0],
    [100, 0],
    [100, 100],
    [0, 100],
  ];
  const area = (corners: Corners) => Math.abs(signedArea(corners));

  it('keeps all of the area, in convex parts, however it is cut', () => {
    const next = random(7);
    for (let n = 0; n < 200; n++) {
      let parts: Corners[] = [square];
      for (let cut = 0; cut < 4; cut++) {
        const at = () => ({ x: next() * 140 - 20, y: next() * 140 - 20 });
        const line = [at(), at()] as const;
        parts = parts.flatMap((part) => cutAlong(part, line, 0));
      }
      expect(parts.reduce((sum, part) => sum + area(part), 0)).toBeCloseTo(10_000, 6);
      for (const part of parts) expect(part.length).toBeGreaterThanOrEqual(3);
    }
  });

  it('takes no sliver off, and passes by what it does not cross', () => {
    expect(
      cutAlong(
        square,
        [
          { x: 98, y: 0 },
          { x: 98, y: 50 },
        ],
        4,
      ),
    ).toEqual([square]);
    expect(
      cutAlong(
        square,
        [
          { x: 120, y: 0 },
          { x: 120, y: 50 },
        ],
        0,
      ),
    ).toEqual([square]);
    expect(
      cutAlong(
        square,
        [
          { x: 40, y: 0 },
          { x: 40, y: 50 },
        ],
        4,
      )
        .map(area)
        .sort(),
    ).toEqual([4000, 6000]);
  });
});
