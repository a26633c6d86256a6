import { describe, expect, it } from 'vitest';
import { seeds } from '../../../../tests/support/seeds';
import { emptyBoard, learnerEdition, NARROW_SCALE, random, sceneModel, seedOf } from '../../../core';
import { type PageScene, pageScene } from './usePageScene';

const widthIn = (text: string, { size }: { readonly size: number }) => text.length * size * 0.6;

/** A scene of 1000 × 600 whose smallest item is 30 high, in a room. */
function shown(changes: Record<string, unknown>, room: number, zoomed: number | null = null): PageScene {
  const { question } = learnerEdition(
    seeds({
      scene: { width: 1000, height: 600 },
      tray: { side: 'right', size: 250, order: 'asListed' },
      items: [{ id: 'jar', label: 'Jar', size: { w: 60, h: 30 } }],
      key: [],
      ...changes,
    }),
    random(seedOf('a learner')),
  );
  const model = sceneModel(question);
  return pageScene(question, model, emptyBoard(model), { room, zoomed, widthIn });
}
const silent = [{ id: 'jar', size: { w: 60, h: 30 } }];

describe('the scene on a page', () => {
  it('is whole where it can be read, up to four times its size', () => {
    expect(shown({}, 1004)).toMatchObject({ way: 'whole', scale: 1, crop: { x: 0, y: 0, w: 1000, h: 600 } });
    expect(shown({}, 944)).toMatchObject({ way: 'whole', scale: 0.94 });
    expect(shown({}, 9000).scale).toBe(4);
    expect(shown({}, 904).way).not.toBe('whole');
  });

  it('without words is whole as long as the smallest item is 24 px across', () => {
    expect(shown({ items: silent }, 804)).toMatchObject({ way: 'whole', scale: 0.8 });
    const narrow = shown({ items: silent }, 400);
    expect(narrow).toMatchObject({ way: 'panned', scale: 0.8, crop: { x: 0, y: 0, w: 750, h: 600 } });
  });

  it('keeps places that carry meaning: it is pushed and zoomed, its words 16 px high', () => {
    const narrow = shown({}, 400);
    expect(narrow).toMatchObject({ way: 'panned', scale: NARROW_SCALE, zoom: { least: 396 / 750, most: 3 } });
    expect(shown({}, 400, 0.1).scale).toBe(396 / 750);
    expect(shown({}, 400, 9).scale).toBe(3);
    expect(narrow.question.items[0]?.size).toEqual({ w: 60, h: 30 });
  });

  it('is laid out anew where places carry no meaning', () => {
    const boxed = seeds().zones.map((zone) => ({ ...zone, settle: { rule: 'grid', gap: 8 } }));
    const narrow = shown({ zones: boxed }, 400);
    expect(narrow).toMatchObject({ way: 'anew', scale: NARROW_SCALE, zoom: null });
    expect(narrow.question.scene.width * NARROW_SCALE).toBeCloseTo(396);
    expect(narrow.model.source).toBe(narrow.question);
  });

  it('with spots to be found shows the whole of it first, with markers as large as a finger at every scale', () => {
    const hidden = seeds().zones.map((zone) => ({ ...zone, hidden: true }));
    for (const zoomed of [null, 1, 2]) {
      const { way, scale, question } = shown({ zones: hidden }, 400, zoomed);
      const { w, h } = question.items[0]?.size ?? { w: 0, h: 0 };
      expect([way, scale, w / h]).toEqual(['panned', zoomed ?? 396 / 750, 2]);
      expect(Math.max(44, 30 * scale)).toBeCloseTo(h * scale);
    }
  });

  it.each([
    ['left', { x: 250, y: 0, w: 750, h: 600 }],
    ['top', { x: 0, y: 250, w: 1000, h: 350 }],
    ['bottom', { x: 0, y: 0, w: 1000, h: 350 }],
  ])('leaves out the band of a tray at the %s', (side, crop) =>
    expect(shown({ tray: { side, size: 250, order: 'asListed' } }, 320).crop).toEqual(crop),
  );

  it('without a tray pans the whole scene', () => {
    expect(shown({ tray: null }, 320).crop).toEqual({ x: 0, y: 0, w: 1000, h: 600 });
  });
});
