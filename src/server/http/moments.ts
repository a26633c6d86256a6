import type { Moment } from '../../contract';

/** A time of a request, as a date. */
export const dateOf = (moment: Moment | null): Date | null => (moment === null ? null : new Date(moment));

/** The settings of a release with their times as dates. */
export const withDates = <Settings extends { opensAt: Moment | null; dueAt: Moment | null; closesAt: Moment | null }>(
  settings: Settings,
) => ({
  ...settings,
  opensAt: dateOf(settings.opensAt),
  dueAt: dateOf(settings.dueAt),
  closesAt: dateOf(settings.closesAt),
});
