import { describe, expect, it } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { copyOf } from './copy';
import { indexAt } from './insertion';
import { questionModel } from './model';
import { respond } from './response';

/**
 * Four jars of 40 × 40, the first three at rest in a zone by a settle rule; the zone stands at 100, 100 and its gap is
 * 10.
 */
function shelf(settle: Record<string, unknown>, w = 400) {
  const model = questionModel(
    seeds({
      items: ['a', 'b', 'c', 'd'].map((id, i) => ({ id, size: { w: 40, h: 40 }, home: { x: 20 + i * 60, y: 480 } })),
      zones: [{ id: 'shelf', shape: { type: 'rect', x: 100, y: 100, w, h: 300 }, settle }],
      key: [{ zone: 'shelf', belongs: ['a'], need: { rule: 'all' } }],
    }),
  );
  const responded = respond(model, { drops: ['a', 'b', 'c'].map((item) => ({ item, zone: 'shelf' })) });
  if (!responded.ok) throw new Error(JSON.stringify(responded.fault));
  return (x: number, y: number, copy = copyOf(3, 0)) => indexAt(model, responded.board, copy, 0, { x, y });
}

describe('where a copy is let in among others', () => {
  it('is before or after the nearest of a row, by which half it is over', () => {
    const at = shelf({ rule: 'row', gap: 10 });
    // They stand at 110, 160 and 210: their middles at 130, 180 and 230.
    expect([105, 129, 131, 179, 181, 229, 231, 480].map((x) => at(x, 130))).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  });

  it('is above or below in a column', () => {
    const at = shelf({ rule: 'column', gap: 10 });
    expect([105, 131, 181, 390].map((y) => at(130, y))).toEqual([0, 1, 2, 3]);
  });

  it('of a grid, is in the line it is in, before the next line', () => {
    // Two beside each other: c begins the second line.
    const at = shelf({ rule: 'grid', gap: 10 }, 120);
    expect([at(115, 130), at(145, 130), at(190, 130)]).toEqual([0, 1, 2]);
    expect([at(115, 180), at(190, 200)]).toEqual([2, 3]);
  });

  it('counts the others alone when it lies among them already', () => {
    const at = shelf({ rule: 'row', gap: 10 });
    // Without b, c moves up to 160.
    expect([at(105, 130, copyOf(1, 0)), at(170, 130, copyOf(1, 0)), at(190, 130, copyOf(1, 0))]).toEqual([0, 1, 2]);
  });

  it('is nowhere in a zone that keeps no order, or in an empty one', () => {
    expect(shelf({ rule: 'pile' })(130, 130)).toBeNull();
    expect(shelf({ rule: 'asDropped' })(130, 130)).toBeNull();
  });
});
