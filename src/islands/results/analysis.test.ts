import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Figure, fisher, wilson } from '../../core';
import {
  correlationInWords,
  discriminationInWords,
  facilityInWords,
  fullInWords,
  reliabilityInWords,
  shareInWords,
  timeInWords,
  wasInstead,
  withoutInWords,
} from './analysis';

/** Of `asked` learners `full` had all of it right, the others `rest` of it. */
const hard = (full: number, asked: number, rest = 0) =>
  facilityInWords({
    asked,
    fullShare: wilson(full / Math.max(1, asked), asked),
    facility: wilson((full + (asked - full) * rest) / Math.max(1, asked), asked),
  });
const figure = (low: number, high: number): Figure => ({ value: (low + high) / 2, low, high });

describe('what is said of a question', () => {
  it('is borne by the interval of those who had all of it right', () => {
    expect(hard(40, 40)).toBe('Nearly all had it right.');
    expect(hard(30, 40)).toBe('Most had it right.');
    expect(hard(20, 40)).toBe('');
    expect(hard(10, 40, 0.9)).toBe('Fewer than half had all of it right.');
    expect(hard(0, 40)).toBe('Hardly anybody had it right: look at its key and its words.');
    expect(hard(0, 40, 0.6)).toBe('Hardly anybody had all of it right; on average they earned 60 % of it.');
    // What was said once and was not true: 11 of 20, 19 of 40, 0 of 1.
    expect([hard(11, 20, 0.9), hard(19, 40, 0.6), hard(0, 1)]).toEqual(['', '', '']);
  });

  it('is true at every number of learners, and nothing below ten', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 0, max: 200 }),
        fc.double({ min: 0, max: 0.99, noNaN: true }),
        (a, b, rest) => {
          const [full, asked] = [Math.min(a, b), Math.max(a, b)];
          const said = hard(full, asked, rest);
          if (asked < 10) expect(said).toBe('');
          if (said.startsWith('Nearly all')) expect(full / asked).toBeGreaterThan(0.8);
          if (said.startsWith('Most')) expect(full / asked).toBeGreaterThan(0.5);
          if (said.startsWith('Fewer than half')) expect(full / asked).toBeLessThan(0.5);
          if (said.startsWith('Hardly anybody')) expect(full / asked).toBeLessThan(0.2);
        },
      ),
    );
  });

  it('of discrimination is borne by its interval', () => {
    const said = (r: number, n: number) => discriminationInWords(fisher(r, n), n);
    expect(said(-0.03, 38)).toBe('');
    expect(said(-0.5, 38)).toBe('Who did well elsewhere did worse here: look at its key.');
    expect(said(0.7, 38)).toBe('It separates strong from weak very well.');
    expect(said(0.55, 38)).toBe('It separates strong from weak well.');
    expect(said(0.4, 38)).toBe('Who did well elsewhere did better here.');
    expect(said(0, 400)).toBe('It hardly separates strong from weak.');
    expect(said(-0.9, 9)).toBe('');
    expect(discriminationInWords(null, 40)).toBe('');
  });

  it('of time and of leaving it out likewise', () => {
    expect(timeInWords(figure(0.3, 0.6), 40)).toBe('Who took longer earned more.');
    expect(timeInWords(figure(-0.6, -0.3), 40)).toBe('Who took longer earned less.');
    expect([timeInWords(figure(-0.1, 0.5), 40), timeInWords(figure(0.3, 0.6), 9), timeInWords(null, 40)]).toEqual([
      '',
      '',
      '',
    ]);
    expect(withoutInWords(0.9, figure(0.6, 0.8))).toBe('The total would be more reliable without it.');
    expect([
      withoutInWords(0.75, figure(0.6, 0.8)),
      withoutInWords(null, figure(0.6, 0.8)),
      withoutInWords(0.9, null),
    ]).toEqual(['', '', '']);
  });
});

describe('what is said of a set', () => {
  it('says why nothing can be said', () => {
    expect(reliabilityInWords(null, 1, 40)).toContain('two questions');
    expect(reliabilityInWords(figure(0.8, 0.9), 3, 9)).toContain('ten learners');
    expect(reliabilityInWords(null, 3, 40)).toContain('different questions');
    expect(reliabilityInWords(figure(0.3, 0.9), 3, 12)).toContain('cannot be said');
  });

  it('is borne by the interval of α', () => {
    const said = [figure(0.91, 0.96), figure(0.72, 0.85), figure(0.55, 0.69), figure(0.1, 0.49)].map((alpha) =>
      reliabilityInWords(alpha, 3, 40),
    );
    expect(said).toEqual([
      'Answered again, learners would stand in nearly the same order.',
      'The total is reliable enough to compare learners.',
      'The total compares learners only roughly: do not rely on single marks.',
      'The questions have little in common, or are too few: do not compare learners by the total.',
    ]);
  });
});

describe('what a figure was before a correction', () => {
  it('is said where it is shown otherwise now', () => {
    expect(wasInstead('12 of 38', '9 of 38')).toBe('9 of 38');
    expect(wasInstead('67 %', '67 %')).toBe('');
    expect(wasInstead('67 %', null)).toBe('');
    expect(wasInstead(fullInWords({ struck: true, full: 3, asked: 9 }), '3 of 9')).toBe('3 of 9');
    expect([0.125, -0.5, null].map(correlationInWords)).toEqual(['0.13', '−0.50', '–']);
    expect([{ value: 0.666, low: 0, high: 1 }, null].map(shareInWords)).toEqual(['67 %', '–']);
  });
});
