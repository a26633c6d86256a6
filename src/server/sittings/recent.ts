import type { LearnerEdition, Standing } from '../../core';

/**
 * Where a question stood after the last moves this process took, so that the next need not be replayed: only what moves
 * and an edition determine. Whatever else there is to know of a sitting is read with each request; `last` tells whether
 * another process has gone on since.
 */
export interface Remembered {
  readonly question: number;
  /** The edition it was judged by. */
  readonly edition: number;
  readonly reopenedAfter: number;
  /** The number of the sitting's last move. */
  readonly last: number;
  /** The number of the last move that its checkpoint has. */
  readonly checkpointed: number;
  readonly standing: Standing;
  readonly sent: LearnerEdition;
}

const MAX_REMEMBERED = 2000;
const remembered = new Map<string, Remembered>();

/** Takes the memory out: whoever has it may use it up, and puts back what came of it. */
export function recall(sittingId: string): Remembered | null {
  const found = remembered.get(sittingId) ?? null;
  remembered.delete(sittingId);
  return found;
}

export function remember(sittingId: string, what: Remembered): void {
  remembered.set(sittingId, what);
  const oldest = remembered.keys().next().value;
  if (remembered.size > MAX_REMEMBERED && oldest !== undefined) remembered.delete(oldest);
}
