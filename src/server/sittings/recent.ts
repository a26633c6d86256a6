import type { At } from './standing';

/**
 * Where sittings stood after the last moves this process took, so that the next need not replay them all. Nothing rests on it: a process that has not seen a
 * sitting, or whose memory of it is old, finds that out from the database (the number of the next move is taken there) and works it out from the moves.
 */
const MOST_KEPT = 2000;
const kept = new Map<string, At>();

/** Takes the memory out: whoever has it may use it up, and puts back what came of it. */
export function recall(sittingId: string): At | null {
  const at = kept.get(sittingId) ?? null;
  kept.delete(sittingId);
  return at;
}

export function remember(at: At): void {
  kept.set(at.sitting.id, at);
  const oldest = kept.keys().next().value;
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
}
