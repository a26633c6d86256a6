import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isTicked, PLACES, tickedPlaces } from './places';

describe('places that are ticked', () => {
  it('are written as ranges', () => {
    expect(tickedPlaces(9, new Set([6, 7]))).toBe('0-5,8');
    expect(tickedPlaces(2, new Set([0, 1]))).toBe('none');
    expect(tickedPlaces(3, new Set([1]))).toBe('0,2');
  });

  it('are read as they were written, and all where none are named', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.uniqueArray(fc.nat(59)), (length, out) => {
        const text = tickedPlaces(length, new Set(out));
        expect(text).toMatch(PLACES);
        const has = isTicked(text);
        for (let place = 0; place < 80; place++) expect(has(place)).toBe(place < length && !out.includes(place));
      }),
    );
    expect(isTicked(undefined)(7)).toBe(true);
  });
});
