import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MAIL_DAYS } from '../../contract';
import { nextMorning } from './morning';

const at = (text: string) => new Date(text);

describe('the next morning', () => {
  it('is today if the hour is still to come, else the next of the days', () => {
    const six = { days: 'everyDay', hour: 6, zone: 'UTC' } as const;
    expect(nextMorning(at('2026-12-01T05:59:59Z'), six)).toEqual(at('2026-12-01T06:00:00Z'));
    expect(nextMorning(at('2026-12-01T06:00:00Z'), six)).toEqual(at('2026-12-02T06:00:00Z'));
    // 4 December 2026 is a Friday.
    expect(nextMorning(at('2026-12-04T07:00:00Z'), { ...six, days: 'schoolDays' })).toEqual(at('2026-12-07T06:00:00Z'));
    expect(nextMorning(at('2026-12-07T06:00:00Z'), { ...six, days: 'mondays' })).toEqual(at('2026-12-14T06:00:00Z'));
  });

  it('goes by the clocks of the zone, over the days on which they are changed', () => {
    const berlin = { days: 'everyDay', zone: 'Europe/Berlin' } as const;
    expect(nextMorning(at('2027-03-27T12:00:00Z'), { ...berlin, hour: 6 })).toEqual(at('2027-03-28T04:00:00Z'));
    expect(nextMorning(at('2027-10-30T12:00:00Z'), { ...berlin, hour: 6 })).toEqual(at('2027-10-31T05:00:00Z'));
    // Two o'clock is left out that night: three is what the clocks say then.
    expect(nextMorning(at('2027-03-27T12:00:00Z'), { ...berlin, hour: 2 })).toEqual(at('2027-03-28T01:00:00Z'));
    // It is already tomorrow there.
    const auckland = { days: 'mondays', hour: 6, zone: 'Pacific/Auckland' } as const;
    expect(nextMorning(at('2026-12-06T16:30:00Z'), auckland)).toEqual(at('2026-12-06T17:00:00Z'));
  });

  it('is after, within eight days, at that hour', () => {
    fc.assert(
      fc.property(
        fc.date({ min: at('2020-01-01T00:00:00Z'), max: at('2040-01-01T00:00:00Z'), noInvalidDate: true }),
        fc.constantFrom(...MAIL_DAYS),
        fc.integer({ min: 4, max: 23 }),
        fc.constantFrom('UTC', 'Europe/Berlin', 'America/New_York', 'Asia/Kolkata', 'Pacific/Auckland'),
        (after, days, hour, zone) => {
          const next = nextMorning(after, { days, hour, zone });
          const wait = next.getTime() - after.getTime();
          expect(wait).toBeGreaterThan(0);
          expect(wait).toBeLessThanOrEqual(7 * 86_400_000 + 3_600_000);
          const said = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone });
          expect(said.format(next)).toBe(`${String(hour).padStart(2, '0')}:00`);
        },
      ),
    );
  });
});
