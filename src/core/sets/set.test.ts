import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { random } from '../random/random';
import {
  asked,
  asksOf,
  earned,
  guessingOf,
  pointsOf,
  type Section,
  secondsFor,
  secondsOf,
  totalOf,
  type Worth,
} from './set';

const worth = (max: number, points: number | null = null): Worth => ({ max, points });
const section = <Q>(questions: Q[], draw: Section<Q>['draw'] = null): Section<Q> => ({ title: '', draw, questions });

describe('points', () => {
  it('are a question’s marks unless set; where questions are drawn, the section’s', () => {
    expect(pointsOf(section([]), worth(3))).toBe(3);
    expect(pointsOf(section([]), worth(3, 5))).toBe(5);
    expect(pointsOf(section([], { count: 1, points: 2 }), worth(3, 5))).toBe(2);
  });

  it('come to the same total for every sitting', () => {
    expect(
      totalOf([section([worth(3), worth(2, 0.5)]), section([worth(1), worth(9), worth(4)], { count: 2, points: 4 })]),
    ).toBe(3 + 0.5 + 8);
    // More are asked for than there are.
    expect(totalOf([section([worth(1)], { count: 5, points: 2 })])).toBe(2);
    expect(totalOf([])).toBe(0);
  });

  it('of a mark are its share of them', () => {
    expect(earned(2, 4, 10)).toBe(5);
    expect(earned(0, 0, 10)).toBe(0);
  });
});

describe('how long it takes', () => {
  it('is the reading and the placing; of a draw, so many of the mean', () => {
    expect(secondsFor({ words: 238, items: 0, gaps: 0 })).toBe(70);
    expect(secondsFor({ words: 0, items: 3, gaps: 2 })).toBe(48);
    const taking = (...seconds: number[]) => seconds.map((one) => ({ seconds: one }));
    expect(secondsOf([section(taking(30, 60)), section(taking(10, 20, 60), { count: 2, points: 1 })])).toBe(150);
    expect(secondsOf([section([])])).toBe(0);
  });
});

describe('what a sitting is asked', () => {
  it('is in the order of the seed where a section is shuffled, and each order comes as often', () => {
    const sections = [section(['a']), { ...section(['b', 'c', 'd']), shuffled: true }, section(['e', 'f'])];
    const seen = new Map<string, number>();
    for (let seed = 0; seed < 6000; seed++) {
      const places = asked(sections, random(seed));
      expect(places).toEqual(asked(sections, random(seed)));
      expect([places[0], ...places.slice(4)]).toEqual([0, 4, 5]);
      const order = places.slice(1, 4).join();
      seen.set(order, (seen.get(order) ?? 0) + 1);
    }
    // Chi-squared over six orders: 20.5 is passed by one in a thousand.
    expect(seen.size).toBe(6);
    expect([...seen.values()].reduce((sum, n) => sum + (n - 1000) ** 2 / 1000, 0)).toBeLessThan(20.5);
  });

  it('is as it was before, where nothing is shuffled: drawn first, shuffled after', () => {
    const drawn = (isShuffled: boolean) => [
      { ...section([...'abcdefgh'], { count: 4, points: 1 }), shuffled: isShuffled },
    ];
    for (let seed = 0; seed < 50; seed++)
      expect(asked(drawn(true), random(seed)).toSorted((a, b) => a - b)).toEqual(asked(drawn(false), random(seed)));
  });

  it('is all there is where nothing is drawn', () => {
    expect(asked([section(['a', 'b']), section(['c'])], random(1))).toEqual([0, 1, 2]);
  });

  it('is so many of each section, in the set’s order, the same for the same seed', () => {
    const sections = fc.array(fc.record({ n: fc.nat(8), draw: fc.option(fc.integer({ min: 1, max: 9 })) }), {
      maxLength: 5,
    });
    fc.assert(
      fc.property(sections, fc.nat(), (parts, seed) => {
        const all = parts.map(({ n, draw }) =>
          section(Array(n).fill(0), draw === null ? null : { count: draw, points: 1 }),
        );
        const places = asked(all, random(seed));
        expect(places).toEqual([...new Set(places)].sort((a, b) => a - b));
        let first = 0;
        for (const section of all) {
          expect(places.filter((p) => p >= first && p < first + section.questions.length)).toHaveLength(
            asksOf(section),
          );
          first += section.questions.length;
        }
        expect(asked(all, random(seed))).toEqual(places);
      }),
    );
  });

  it('draws each choice about as often as any other', () => {
    const times = new Map<string, number>();
    const next = random(7);
    for (let i = 0; i < 6000; i++) {
      const drawn = asked([section([0, 1, 2, 3], { count: 2, points: 1 })], next).join();
      times.set(drawn, (times.get(drawn) ?? 0) + 1);
    }
    // Six choices, 1,000 each in the mean; a standard error is below 29.
    expect([...times.values()]).toHaveLength(6);
    for (const n of times.values()) expect(Math.abs(n - 1000)).toBeLessThan(5 * 29);
  });
});

describe('what guessing earns on a set', () => {
  const one = (points: number, expectedFraction: number, chanceOfFullMarks: number) => ({
    max: points,
    points: null,
    expectedFraction,
    chanceOfFullMarks,
  });

  it('is the share weighted by points, and the chances multiplied', () => {
    const level = guessingOf([section([one(1, 0.5, 0.25), one(3, 0.1, 0.01)])]);
    expect(level?.expectedFraction).toBeCloseTo((0.5 + 0.3) / 4, 12);
    expect(level?.chanceOfFullMarks).toBeCloseTo(0.0025, 12);
    expect(guessingOf([])).toBeNull();
  });

  it('of a draw is what listing every draw gives', () => {
    const chances = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(chances, fc.integer({ min: 1, max: 6 }), (full, count) => {
        const k = Math.min(count, full.length);
        const draws = Array.from({ length: 2 ** full.length }, (_, bits) =>
          full.filter((_, i) => bits & (1 << i)),
        ).filter((d) => d.length === k);
        const mean = (of: (d: number[]) => number) => draws.reduce((sum, d) => sum + of(d), 0) / draws.length;
        const level = guessingOf([
          section(
            full.map((chance) => one(9, chance, chance)),
            { count, points: 2 },
          ),
        ]);
        expect(level?.chanceOfFullMarks).toBeCloseTo(
          mean((d) => d.reduce((product, chance) => product * chance, 1)),
          9,
        );
        expect(level?.expectedFraction).toBeCloseTo(
          mean((d) => d.reduce((sum, chance) => sum + chance, 0) / k),
          9,
        );
      }),
    );
  });

  it('is not changed by a question that counts nothing', () => {
    expect(guessingOf([section([one(1, 0.5, 0.5), { ...one(1, 0.1, 0.01), points: 0 }])])).toEqual({
      expectedFraction: 0.5,
      chanceOfFullMarks: 0.5,
    });
  });
});
