import { describe, expect, it } from 'vitest';
import { outlineOf } from '../geometry/outline';
import { standingAt, thresholdOf } from './threshold';

const body = { w: 100, h: 40, rotation: 0 };
const scene = { x: 0, y: 0, w: 960, h: 540 };
const rect = outlineOf({ type: 'rect', x: 300, y: 100, w: 300, h: 200 }, 0);
const oval = outlineOf({ type: 'ellipse', cx: 450, cy: 200, rx: 150, ry: 100 }, 0);
if (!rect || !oval) throw new Error('no outline');

describe('the threshold of a reach', () => {
  it.each([
    [{ rule: 'touch' } as const, 200],
    [{ rule: 'centre' } as const, 250],
    [{ rule: 'pointer' } as const, 250],
    [{ rule: 'share', share: 0.5 } as const, 250],
    [{ rule: 'share', share: 0.8 } as const, 280],
    [{ rule: 'inside' } as const, 300],
  ])('of %o from the left is where it says', (reach, x) => {
    const at = thresholdOf(body, rect, reach, scene);
    expect(at?.x).toBeCloseTo(x, 3);
    expect(at?.y).toBe(180);
  });

  it('is the last place at which it is reached, of an ellipse too', () => {
    const reach = { rule: 'share', share: 0.62 } as const;
    const at = thresholdOf(body, oval, reach, scene);
    if (!at) throw new Error('never');
    expect(standingAt(body, at, oval, reach)).toMatchObject({ reached: true });
    expect(standingAt(body, at, oval, reach).overlap).toBeCloseTo(0.62, 5);
    expect(standingAt(body, { ...at, x: at.x - 0.01 }, oval, reach).reached).toBe(false);
  });

  it('of an item larger than the zone is nowhere when all of it is asked for', () => {
    expect(thresholdOf({ w: 400, h: 40, rotation: 0 }, rect, { rule: 'inside' }, scene)).toBeNull();
  });

  it('is looked for from a side the scene has', () => {
    const left = outlineOf({ type: 'rect', x: 0, y: 100, w: 300, h: 200 }, 0);
    if (!left) throw new Error('no outline');
    const at = thresholdOf(body, left, { rule: 'centre' }, scene);
    expect(at).toMatchObject({ x: 100 });
    expect(at?.y).toBeCloseTo(80, 3);
  });
});
