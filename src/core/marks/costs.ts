import type { Board } from '../judge/board';
import { type Copy, itemOf } from '../judge/model';
import type { EitherTally, Tally } from '../judge/tally';

/**
 * The wrong placements by what they cost. Of an item's wrong copies as many are misplaced as the entries that list it
 * lack together; the others, and every surplus, are extra.
 */
export function wrongPlacements(
  board: Board,
  tallies: readonly Tally[],
  either: readonly EitherTally[],
): { misplaced: number; extra: number } {
  let extra = either.reduce((sum, { surplus }) => sum + surplus, 0);
  const wrong = new Map<number, number>();
  for (const { entry, wrong: w, surplus } of tallies) {
    if (!entry.sequence) extra += surplus;
    if (w === 0) continue;
    for (const copy of board.zones[entry.zone] as Copy[]) {
      const item = itemOf(copy);
      if (!entry.belongs.has(item) && !entry.apart.has(item)) wrong.set(item, (wrong.get(item) ?? 0) + 1);
    }
  }
  let misplaced = 0;
  for (const [item, n] of wrong) {
    const lacking = Math.min(n, lackOf(item, tallies, either));
    misplaced += lacking;
    extra += n - lacking;
  }
  return { misplaced, extra };
}

/** How many copies the entries that list an item lack together: Σ max(0, lo − r). */
function lackOf(item: number, tallies: readonly Tally[], either: readonly EitherTally[]): number {
  let lack = 0;
  for (const { entry, right } of tallies) if (entry.belongs.has(item)) lack += Math.max(0, entry.lo - right);
  for (const { entry, right } of either) if (entry.belongs.has(item)) lack += Math.max(0, entry.lo - right);
  return lack;
}
