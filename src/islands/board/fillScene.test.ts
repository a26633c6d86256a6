import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { type Question, sceneModel } from '../../core';
import { localSitting } from '../shared/localSitting';
import { dockHeight, fillScene } from './fillScene';

const LARGE = { width: 3700, height: 1700 };
const SMALL = { width: 1248, height: 560 };
const TRAY = { side: 'bottom', size: 130, order: 'asListed' };

const shown = (changes: Record<string, unknown> = {}) => {
  const question: Question = seeds(changes);
  return localSitting(question, { seed: 'a class', full: () => null }).view().question;
};
const page = (changes: Record<string, unknown>, room: typeof LARGE) => {
  const question = shown(changes);
  return { question, page: fillScene(question, sceneModel(question), room) };
};
/** The size of an item's words on the screen, in CSS pixels. */
const wordsOn = ({ scale, question }: ReturnType<typeof fillScene>) => (question.dress?.letters?.size ?? 15) * scale;

describe('A scene fills the room of a class', () => {
  it('whole, where its words can be read from the back', () => {
    const { page: now } = page({ tray: TRAY }, LARGE);
    expect(now.way).toBe('whole');
    expect(now.scale).toBeCloseTo(Math.min(3700 / 960, 1700 / 540, 4));
    expect(wordsOn(now)).toBeGreaterThanOrEqual(24);
  });

  it('with the tray beneath it and larger items, where they could not', () => {
    const { page: now, question } = page({ tray: TRAY }, SMALL);
    expect(now.way).toBe('panned');
    expect(now.zoom).toBeNull();
    expect(wordsOn(now)).toBeGreaterThanOrEqual(23.9);
    const first = now.question.items[0];
    expect((first?.size.h ?? 0) * now.scale).toBeGreaterThanOrEqual(44);
    // The scene and its tray are inside the room.
    expect(now.crop.h * now.scale + dockHeight(question, SMALL)).toBeLessThanOrEqual(SMALL.height + 1);
    expect(now.crop.w * now.scale).toBeLessThanOrEqual(SMALL.width + 1);
  });

  it('with items as they are, where their size is a part of the question', () => {
    const turned = seeds().items.map((item) => ({ ...item, rotation: 15 }));
    const { page: now, question } = page({ tray: TRAY, items: turned }, SMALL);
    expect(now.way).toBe('whole');
    expect(now.question).toBe(question);
  });

  it('with what is picked in its place larger, but never over one another or over the edge', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 400, max: 2000 }), (n, width) => {
        const items = Array.from({ length: n }, (_, i) => ({
          ...{ id: `i${i}`, label: `Seed ${i}`, size: { w: 160, h: 36 }, stays: true },
          home: { x: 60 + (i % 2) * 300, y: 40 + Math.floor(i / 2) * 60 },
        }));
        const { page: now } = page(
          {
            kind: 'pick',
            items,
            zones: [{ id: 'picked', label: 'Picked', shape: { type: 'slot' } }],
            key: [{ zone: 'picked', belongs: ['i0'], need: { rule: 'all' } }],
          },
          { width, height: width / 2 },
        );
        const boxes = now.question.items.map(({ home, size }) => ({ ...home, ...size }));
        boxes.forEach((box, i) => {
          expect(box.x >= 0 && box.y >= 0 && box.x + box.w <= 960 && box.y + box.h <= 540).toBe(true);
          for (const other of boxes.slice(0, i))
            expect(
              box.x + box.w <= other.x ||
                other.x + other.w <= box.x ||
                box.y + box.h <= other.y ||
                other.y + other.h <= box.y,
            ).toBe(true);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('never larger than the room, whatever the room', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 4000 }), fc.integer({ min: 150, max: 2400 }), (width, height) => {
        const { page: now, question } = page({ tray: TRAY }, { width, height });
        const dock = now.way === 'panned' ? dockHeight(question, { width, height }) : 0;
        expect(now.crop.w * now.scale).toBeLessThanOrEqual(Math.max(width, 96) + 1);
        expect(now.crop.h * now.scale + dock).toBeLessThanOrEqual(Math.max(height, 150) + 1);
      }),
    );
  });
});
