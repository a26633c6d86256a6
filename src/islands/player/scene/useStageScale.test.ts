import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { learnerEdition, random, seedOf } from '../../../core';
import { leastScale, stageSize } from './useStageScale';

/** A scene of 1000 × 600 whose smallest item is 30 high, and its tray. */
const question = (tray: Record<string, unknown> | null) =>
  learnerEdition(
    seeds({ scene: { width: 1000, height: 600 }, tray, items: [{ id: 'jar', size: { w: 60, h: 30 } }], key: [] }),
    random(seedOf('a learner')),
  ).question;

describe('the size of the scene on a screen', () => {
  const withTray = question({ side: 'right', size: 250, order: 'asListed' });

  it('fills the room, up to four times', () => {
    expect(stageSize(withTray, 1004)).toEqual({ scale: 1, docked: false, crop: { x: 0, y: 0, w: 1000, h: 600 } });
    expect(stageSize(withTray, 904).scale).toBe(0.9);
    expect(stageSize(withTray, 9000).scale).toBe(4);
  });

  it('never makes the smallest item less than 24 px: there the tray docks, and the rest of the scene has its room', () => {
    // 24 px of 30: 0.8, which the whole scene has from 804 px on.
    expect(leastScale(withTray)).toBe(0.8);
    expect(stageSize(withTray, 804).docked).toBe(false);
    const narrow = stageSize(withTray, 754);
    expect(narrow).toEqual({ scale: 1, docked: true, crop: { x: 0, y: 0, w: 750, h: 600 } });
    expect(stageSize(withTray, 320).scale).toBe(0.8);
  });

  it.each([
    ['left', { x: 250, y: 0, w: 750, h: 600 }],
    ['top', { x: 0, y: 250, w: 1000, h: 350 }],
    ['bottom', { x: 0, y: 0, w: 1000, h: 350 }],
  ])('leaves out the band of a tray at the %s', (side, crop) =>
    expect(stageSize(question({ side, size: 250, order: 'asListed' }), 320).crop).toEqual(crop),
  );

  it('without a tray pans the whole scene', () => {
    expect(stageSize(question(null), 320)).toEqual({ scale: 0.8, docked: true, crop: { x: 0, y: 0, w: 1000, h: 600 } });
  });
});
