import { describe, expect, it } from 'vitest';
import { type Entry, wholeMark } from './gradebook';

const mark = (points: number, outOf: number): Entry => ({ mark: { points, outOf }, missing: false });
const missing: Entry = { mark: null, missing: true };
const toCome: Entry = { mark: null, missing: false };
const release = (categoryId: string | null, outOf = 10) => ({ categoryId, outOf });
const WEIGHTS = [
  { id: 'exercises', weight: 1 },
  { id: 'tests', weight: 3 },
];

describe('a whole mark', () => {
  it('weighs categories, and points within them', () => {
    const releases = [release('exercises'), release('exercises', 30), release('tests')];
    expect(wholeMark(releases, [mark(10, 10), mark(10, 30), mark(5, 10)], WEIGHTS)).toBeCloseTo(
      (0.5 + 3 * 0.5) / 4,
      12,
    );
  });

  it('takes what is missing as nothing, and leaves out what is still to come', () => {
    const releases = [release('exercises'), release('tests')];
    expect(wholeMark(releases, [mark(8, 10), toCome], WEIGHTS)).toBeCloseTo(0.8, 12);
    expect(wholeMark(releases, [mark(8, 10), missing], WEIGHTS)).toBeCloseTo(0.2, 12);
    expect(wholeMark(releases, [toCome, toCome], WEIGHTS)).toBeNull();
    expect(wholeMark([], [], WEIGHTS)).toBeNull();
  });

  it('counts releases in no category only where there is none at all', () => {
    const releases = [release(null), release('tests')];
    expect(wholeMark(releases, [mark(0, 10), mark(10, 10)], WEIGHTS)).toBe(1);
    expect(wholeMark([release(null), release(null)], [mark(0, 10), mark(10, 10)], [])).toBe(0.5);
  });

  it('does not count a release that gives nothing, nor a category that weighs nothing', () => {
    expect(wholeMark([release('tests'), release('exercises', 0)], [mark(4, 10), mark(0, 0)], WEIGHTS)).toBeCloseTo(
      0.4,
      12,
    );
    expect(
      wholeMark(
        [release('tests'), release('exercises')],
        [mark(4, 10), mark(0, 10)],
        [
          { id: 'tests', weight: 1 },
          { id: 'exercises', weight: 0 },
        ],
      ),
    ).toBeCloseTo(0.4, 12);
  });
});
