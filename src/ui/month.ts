import { TZDate } from '@date-fns/tz';
import {
  addMonths,
  eachDayOfInterval,
  endOfMonth,
  endOfWeek,
  format,
  parse,
  startOfMonth,
  startOfWeek,
} from 'date-fns';

/** A month as weeks of seven days, from Monday: those of the months beside fill the first week and the last. */
export interface Month {
  /** As addresses write it: 2031-01. */
  readonly name: string;
  readonly title: string;
  readonly before: string;
  readonly after: string;
  readonly weeks: readonly (readonly Day[])[];
}

export interface Day {
  /** 2031-01-15. */
  readonly date: string;
  readonly number: number;
  readonly isInMonth: boolean;
}

const WEEK = { weekStartsOn: 1 } as const;
const NAME = 'yyyy-MM';

/** The day of a moment in a zone: 2031-01-15. */
export const dayOf = (at: Date, zone: string): string => format(new TZDate(at, zone), 'yyyy-MM-dd');

/** The month of this name; of another text, that of `now` in the zone. */
export function monthNamed(name: string | null, now: Date, zone: string): Month {
  const given = name !== null && /^\d{4}-(0[1-9]|1[0-2])$/.test(name) ? name : dayOf(now, zone).slice(0, 7);
  const first = startOfMonth(parse(given, NAME, new Date(0)));
  const days = eachDayOfInterval({ start: startOfWeek(first, WEEK), end: endOfWeek(endOfMonth(first), WEEK) });
  const weeks = Array.from({ length: days.length / 7 }, (_, week) =>
    days.slice(week * 7, week * 7 + 7).map((day) => ({
      date: format(day, 'yyyy-MM-dd'),
      number: day.getDate(),
      isInMonth: format(day, NAME) === given,
    })),
  );
  return {
    name: given,
    title: format(first, 'MMMM yyyy'),
    before: format(addMonths(first, -1), NAME),
    after: format(addMonths(first, 1), NAME),
    weeks,
  };
}
