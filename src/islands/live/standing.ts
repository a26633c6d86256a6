import type { LiveLearner } from '../../contract';

/** How a learner stands: `quiet` has begun and made no move for three minutes. */
export type Standing = 'notBegun' | 'begun' | 'quiet' | 'finished';

const QUIET_MS = 3 * 60_000;

/** `at`: now by the server's clock, in milliseconds. */
export function standingOf(
  { startedAt, movedAt, finishedAt }: Pick<LiveLearner, 'startedAt' | 'movedAt' | 'finishedAt'>,
  at: number,
): Standing {
  if (finishedAt !== null) return 'finished';
  if (startedAt === null) return 'notBegun';
  return at - Date.parse(movedAt ?? startedAt) >= QUIET_MS ? 'quiet' : 'begun';
}

/** How long ago, coarsely, so that a column does not flicker. */
export function sinceInWords(seconds: number): string {
  if (seconds < 10) return 'now';
  if (seconds < 60) return `${Math.floor(seconds / 10) * 10} s`;
  if (seconds < 3600) return `${Math.floor(seconds / 60)} min`;
  return `${Math.floor(seconds / 3600)} h`;
}
