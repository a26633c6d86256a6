import type { ReleaseRow, Wire } from '../../contract';

type Dated = Pick<Wire<ReleaseRow>, 'opensAt' | 'dueAt' | 'closesAt' | 'withdrawnAt'>;

/** `late`: what is finished now is late, but still taken. */
export type ReleaseState = 'withdrawn' | 'early' | 'open' | 'late' | 'closed';

/** The state of a release at a time. */
export function releaseState({ opensAt, dueAt, closesAt, withdrawnAt }: Dated, now: Date): ReleaseState {
  const isPast = (at: string | null) => at !== null && new Date(at) <= now;
  if (withdrawnAt !== null) return 'withdrawn';
  if (isPast(closesAt)) return 'closed';
  if (opensAt !== null && !isPast(opensAt)) return 'early';
  return isPast(dueAt) ? 'late' : 'open';
}

export const STATE_NAMES: Readonly<Record<ReleaseState, string>> = {
  withdrawn: 'withdrawn',
  early: 'not open yet',
  open: 'open',
  late: 'past due',
  closed: 'closed',
};
