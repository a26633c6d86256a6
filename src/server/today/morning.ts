import { TZDate } from '@date-fns/tz';
import { addDays } from 'date-fns';
import type { MailDays } from '../../contract';

/** Days of the week, from Sunday, 0. */
const DAYS: Readonly<Record<MailDays, readonly number[]>> = {
  everyDay: [0, 1, 2, 3, 4, 5, 6],
  schoolDays: [1, 2, 3, 4, 5],
  mondays: [1],
};

/** A week and a day: the next Monday after one, and a day on which the clocks are put forward. */
const MAX_DAYS = 8;

/**
 * The next time after `after` that it is `hour` o'clock in the zone on one of the days. Where the clocks leave that
 * hour out it is the one after it.
 */
export function nextMorning(after: Date, { days, hour, zone }: { days: MailDays; hour: number; zone: string }): Date {
  const today = new TZDate(after, zone);
  for (let i = 0; i <= MAX_DAYS; i++) {
    const day = addDays(today, i);
    const at = new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hour, zone);
    if (at.getTime() > after.getTime() && DAYS[days].includes(day.getDay())) return new Date(at.getTime());
  }
  throw new Error(`No morning follows ${after.toISOString()} in ${zone}`);
}
