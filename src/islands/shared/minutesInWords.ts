/** About how long something takes, for planning: an estimate. */
export const minutesInWords = (seconds: number): string =>
  seconds < 45 ? 'under a minute' : `about ${Math.max(1, Math.round(seconds / 60))} min`;
