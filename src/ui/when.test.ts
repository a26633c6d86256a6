import { afterEach, describe, expect, it } from 'vitest';
import { isZone } from '../core';
import { ago, asTyped, asTypedDay, elsewhere, moment, typedTime } from './when';
import { zoneOnServer } from './zone';

afterEach(() => zoneOnServer(() => 'UTC'));

describe('how long ago', () => {
  it('is told from the time that is given, not from the clock of whoever draws it', () => {
    const at = new Date('2031-01-15T11:30:00Z');
    expect(ago(at, new Date('2031-01-15T11:55:10Z'))).toBe('25 minutes ago');
    expect(ago(at, new Date('2031-01-15T11:55:40Z'))).toBe('26 minutes ago');
  });
});

describe('times in the reader’s zone', () => {
  it.each([
    ['UTC', '15 Jan 2031, 11:30', '15 Jul 2031, 11:30'],
    ['America/New_York', '15 Jan 2031, 06:30', '15 Jul 2031, 07:30'],
    ['Europe/Berlin', '15 Jan 2031, 12:30', '15 Jul 2031, 13:30'],
    ['Asia/Kolkata', '15 Jan 2031, 17:00', '15 Jul 2031, 17:00'],
    ['Pacific/Auckland', '16 Jan 2031, 00:30', '15 Jul 2031, 23:30'],
  ])('%s, in winter and in summer', (zone, winter, summer) => {
    zoneOnServer(() => zone);
    for (const [at, said] of [
      ['2031-01-15T11:30:00Z', winter],
      ['2031-07-15T11:30:00Z', summer],
    ] as const) {
      expect(moment(new Date(at))).toBe(said);
      expect(typedTime(asTyped(new Date(at))).toISOString()).toBe(new Date(at).toISOString());
      expect(asTyped(new Date(at)).slice(0, 10)).toBe(asTypedDay(new Date(at)));
    }
  });

  it('a day in which clocks are put forward or back', () => {
    zoneOnServer(() => 'Europe/Berlin');
    // 30 March 2031: 02:00 is 03:00.
    expect(typedTime('2031-03-30T01:59').toISOString()).toBe('2031-03-30T00:59:00.000Z');
    expect(typedTime('2031-03-30T03:00').toISOString()).toBe('2031-03-30T01:00:00.000Z');
    expect(typedTime('2031-03-30T02:30').getTime()).toBeGreaterThanOrEqual(Date.parse('2031-03-30T00:30:00Z'));
    // 26 October 2031: 03:00 is 02:00 once more.
    expect(typedTime('2031-10-26T01:30').toISOString()).toBe('2031-10-25T23:30:00.000Z');
    expect(typedTime('2031-10-26T03:30').toISOString()).toBe('2031-10-26T02:30:00.000Z');
  });

  it('are said in a course’s zone too, where that is another', () => {
    zoneOnServer(() => 'Europe/Berlin');
    const at = new Date('2031-07-15T20:00:00Z');
    expect(elsewhere(at, 'Asia/Kolkata')).toBe('16 Jul, 01:30 Asia/Kolkata');
    expect(elsewhere(at, 'Europe/Berlin')).toBeNull();
    expect(elsewhere(at, null)).toBeNull();
  });

  it('a zone is one that there is', () => {
    expect(['UTC', 'Europe/Berlin', 'Asia/Kolkata'].every(isZone)).toBe(true);
    expect(['', 'Nowhere/Else', '<script>', 'x'.repeat(100)].some(isZone)).toBe(false);
  });
});
