/** How a learner stands in a release, as a gradebook's cell shows it. */
export type CellState = 'excused' | 'done' | 'running' | 'missing' | 'notFor' | 'none';

export interface CellFacts {
  /** A teacher has excused the learner: whatever they have, it does not count. */
  readonly excused: boolean;
  /** A teacher has set the mark by hand. */
  readonly byHand: boolean;
  /** The release is assigned to the learner, or they have started an attempt. */
  readonly assigned: boolean;
  /** An attempt that counts has been started, and one of these has finished. */
  readonly counts: boolean;
  readonly finished: boolean;
  /** Any attempt has been started, even one without a move. */
  readonly started: boolean;
  /** The learner's own due date, or the end of the release, has passed. */
  readonly over: boolean;
}

/** The state of a cell: the first that applies, in this order. */
export function cellState({ excused, byHand, assigned, counts, finished, started, over }: CellFacts): CellState {
  if (excused) return 'excused';
  if (byHand || finished) return 'done';
  if (!assigned) return 'notFor';
  if (counts) return 'running';
  if (over) return 'missing';
  return started ? 'running' : 'none';
}
