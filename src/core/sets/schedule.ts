import type { FeedbackLevel } from './feedbackLevel';

/**
 * When a release opens, is due and closes, and when its learners are told: moments as dates, or as texts that sort as
 * they do. Null or empty: never.
 */
export interface Schedule<Moment extends Date | string> {
  readonly opensAt: Moment | null;
  readonly dueAt: Moment | null;
  readonly closesAt: Moment | null;
  readonly feedbackLevel: FeedbackLevel;
  readonly feedbackTime: 'atOnce' | 'finished' | 'closed';
}

/** What of a schedule does not go together, with the field it is said at. */
export function scheduleProblems<Moment extends Date | string>({
  opensAt,
  dueAt,
  closesAt,
  feedbackLevel,
  feedbackTime,
}: Schedule<Moment>): { path: 'dueAt' | 'closesAt'; message: string }[] {
  return [
    ...(opensAt && closesAt && closesAt <= opensAt
      ? [{ path: 'closesAt' as const, message: 'It would close before it opens.' }]
      : []),
    ...(opensAt && dueAt && dueAt <= opensAt
      ? [{ path: 'dueAt' as const, message: 'It would be due before it opens.' }]
      : []),
    ...(dueAt && closesAt && closesAt < dueAt
      ? [{ path: 'dueAt' as const, message: 'It would close before it is due.' }]
      : []),
    ...(feedbackLevel !== 'nothing' && feedbackTime === 'closed' && !closesAt
      ? [{ path: 'closesAt' as const, message: 'Learners see feedback once it has closed, so it has to close.' }]
      : []),
  ];
}
