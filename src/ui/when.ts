import { format, formatDistanceToNow, isToday } from 'date-fns';

/** A moment as people say it: the time today, the day before that. */
export const moment = (at: Date): string => (isToday(at) ? format(at, 'HH:mm') : format(at, 'd MMM yyyy, HH:mm'));
export const ago = (at: Date): string => formatDistanceToNow(at, { addSuffix: true });
export const clock = (at: Date): string => format(at, 'HH:mm');
export const duration = (seconds: number): string => (seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${String(seconds % 60).padStart(2, '0')} s`);
