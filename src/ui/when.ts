import { TZDate, tz } from '@date-fns/tz';
import { format, formatDistance, isSameDay } from 'date-fns';
import { zone } from './zone';

const here = () => ({ in: tz(zone()) });

/** A time in the reader's zone, as people say it: today's time, or the day with it. */
export const moment = (at: Date): string =>
  isSameDay(at, new Date(), here()) ? clock(at) : format(at, 'd MMM yyyy, HH:mm', here());
/** How long before `now` it was: given, so that a page drawn twice says the same. */
export const ago = (at: Date, now: Date): string => formatDistance(at, now, { addSuffix: true });
/** The day of a time in the reader's zone, as people say it. */
export const day = (at: Date): string => format(at, 'd MMM yyyy', here());
export const clock = (at: Date): string => format(at, 'HH:mm', here());
export const duration = (seconds: number): string =>
  seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${String(seconds % 60).padStart(2, '0')} s`;

/** The same moment in another zone, with its name; null: it is the reader's own, or none is said. */
export const elsewhere = (at: Date, other: string | null): string | null =>
  other === null || other === zone() ? null : `${format(at, 'd MMM, HH:mm', { in: tz(other) })} ${other}`;

/** A time as a `datetime-local` field has it, in the reader's zone. */
export const asTyped = (at: Date): string => format(at, "yyyy-MM-dd'T'HH:mm", here());
/** A day as a `date` field has it. */
export const asTypedDay = (at: Date): string => format(at, 'yyyy-MM-dd', here());

/**
 * What was typed into a `datetime-local` field, as a time of the reader's zone. Where clocks are put forward the hour
 * that is not there is the one after it.
 */
export function typedTime(text: string): Date {
  const [year = 0, month = 1, day = 1, hours = 0, minutes = 0, seconds = 0] = text.split(/[-T:]/).map(Number);
  return new Date(new TZDate(year, month - 1, day, hours, minutes, seconds, zone()).getTime());
}
