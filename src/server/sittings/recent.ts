import { LRUCache } from 'lru-cache';
import type { LearnerEdition, Standing } from '../../core';

/**
 * The state of a question after the last moves this process stored, so that the next moves need no replay. It holds
 * only what moves and an edition determine; everything else is read with each request. `last` shows whether another
 * process has continued since.
 */
export interface Remembered {
  readonly question: number;
  /** The edition by which it was judged. */
  readonly edition: number;
  readonly reopenedAfter: number;
  /** The number of the attempt's last move. */
  readonly last: number;
  /** The last move in the stored checkpoint. */
  readonly checkpointed: number;
  readonly standing: Standing;
  readonly sent: LearnerEdition;
}

const remembered = new LRUCache<string, Remembered>({ max: 2000 });

/** Takes the state out of the memory, because judging changes it in place. The caller puts the new state back. */
export function recall(sittingId: string): Remembered | null {
  const found = remembered.get(sittingId) ?? null;
  remembered.delete(sittingId);
  return found;
}

export function remember(sittingId: string, what: Remembered): void {
  remembered.set(sittingId, what);
}
