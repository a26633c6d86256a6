import { describe, expect, it } from 'vitest';
import { dayOf, monthNamed } from './month';

const NOW = new Date('2031-01-31T23:30:00Z');

describe('a month', () => {
  it('has whole weeks from Monday, and knows those beside it', () => {
    const { title, before, after, weeks } = monthNamed('2031-02', NOW, 'UTC');
    expect([title, before, after]).toEqual(['February 2031', '2031-01', '2031-03']);
    expect(weeks.map((week) => week.map(({ number, isInMonth }) => (isInMonth ? number : -number)))).toEqual([
      [-27, -28, -29, -30, -31, 1, 2],
      [3, 4, 5, 6, 7, 8, 9],
      [10, 11, 12, 13, 14, 15, 16],
      [17, 18, 19, 20, 21, 22, 23],
      [24, 25, 26, 27, 28, -1, -2],
    ]);
    expect(weeks[0]?.[5]?.date).toBe('2031-02-01');
  });

  it.each([null, '2031-13', '2031-1', '../etc'])(
    'is this month of the reader’s zone where none is named: %s',
    (name) => {
      expect(monthNamed(name, NOW, 'UTC').name).toBe('2031-01');
      expect(monthNamed(name, NOW, 'Asia/Kolkata').name).toBe('2031-02');
    },
  );

  it('a year’s turn and a month of four weeks', () => {
    expect(monthNamed('2031-12', NOW, 'UTC').after).toBe('2032-01');
    // February 2027 begins on a Monday.
    expect(monthNamed('2027-02', NOW, 'UTC').weeks).toHaveLength(4);
  });

  it('has the day of a moment in the reader’s zone', () => {
    expect(dayOf(NOW, 'America/New_York')).toBe('2031-01-31');
    expect(dayOf(NOW, 'Pacific/Auckland')).toBe('2031-02-01');
  });
});
