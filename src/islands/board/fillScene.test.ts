import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { copyOf, emptyBoard, type Question, sceneModel, type WidthIn } from '../../core';
import { localSitting } from '../shared/localSitting';
import { dockHeight, fillScene } from './fillScene';

const LARGE = { width: 3700, height: 1700 };
const SMALL = { width: 1248, height: 560 };
/** One half of a race at 1280 × 800. */
const HALF = { width: 600, height: 480 };
const TRAY = { side: 'bottom', size: 130, order: 'asListed' };

const shown = (changes: Record<string, unknown> = {}) => {
  const question: Question = seeds(changes);
  return localSitting(question, { seed: 'a class', full: () => null }).view().question;
};
const widthIn: WidthIn = (text, { size }) => text.length * size * 0.6;
const page = (changes: Record<string, unknown>, room: typeof LARGE) => {
  const question = shown(changes);
  const model = sceneModel(question);
  return { question, page: fillScene(question, model, emptyBoard(model), { ...room, widthIn }) };
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
    expect(
      now.crop.h * now.scale + dockHeight(question, sceneModel(question), { ...SMALL, widthIn }),
    ).toBeLessThanOrEqual(SMALL.height + 1);
    expect(now.crop.w * now.scale).toBeLessThanOrEqual(SMALL.width + 1);
  });

  it('laid out anew on one half of a race, where its zones would leave its words too small', () => {
    const rows = seeds().zones.map((zone, i) => ({
      ...{ ...zone, settle: { rule: 'row', gap: 8 } },
      shape: { type: 'rect', x: 40 + i * 400, y: 40, w: 220, h: 60 },
    }));
    const items = seeds().items.map((item) => ({ ...item, label: `${item.label}, sown` }));
    const { page: now, question } = page({ tray: TRAY, zones: rows, items }, HALF);
    expect(now.way).toBe('anew');
    expect(wordsOn(now)).toBeGreaterThanOrEqual(20);
    // It has room for everything in its zones, so that it stays as large while it is played.
    const model = sceneModel(question);
    const board = emptyBoard(model);
    for (const item of question.items.keys()) board.zones[item % 2]?.push(copyOf(item, 0));
    const full = fillScene(question, model, board, { ...HALF, widthIn });
    expect([full.way, full.scale]).toEqual([now.way, now.scale]);
    expect(full.crop.h * full.scale + dockHeight(question, model, { ...HALF, widthIn })).toBeLessThanOrEqual(
      HALF.height + 1,
    );
    // Places that carry meaning stay.
    const pictured = { type: 'picture', id: 'f', x: 40, y: 40, w: 400, h: 300, media: 'plan' };
    const media = { plan: { kind: 'picture', hash: '0'.repeat(64), description: 'A plan' } };
    expect(page({ tray: TRAY, zones: rows, items, fixtures: [pictured], media }, HALF).page.way).not.toBe('anew');
  });

  it('with larger letters, as far as the boxes of all items have room for them', () => {
    const turned = seeds().items.map((item) => ({ ...item, rotation: 15 }));
    const { page: now, question } = page({ tray: TRAY, items: turned }, HALF);
    const size = now.question.dress?.letters?.size ?? 0;
    const widest = Math.max(...question.items.map(({ label }) => widthIn(label, { size } as never)));
    expect(size).toBeGreaterThan(15);
    expect(widest).toBeLessThanOrEqual(100 - 14);
  });

  it('with items as they are, where their size is a part of the question', () => {
    const turned = seeds().items.map((item) => ({ ...item, rotation: 15 }));
    const { page: now, question } = page({ tray: TRAY, items: turned }, SMALL);
    expect(now.way).toBe('whole');
    expect(now.question.items).toEqual(question.items);
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
        const dock = ['panned', 'anew'].includes(now.way)
          ? dockHeight(question, sceneModel(question), { width, height, widthIn })
          : 0;
        expect(now.crop.w * now.scale).toBeLessThanOrEqual(Math.max(width, 96) + 1);
        expect(now.crop.h * now.scale + dock).toBeLessThanOrEqual(Math.max(height, 150) + 1);
      }),
    );
  });
});
