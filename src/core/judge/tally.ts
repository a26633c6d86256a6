import { SLACK } from '../geometry/space';
import type { Board } from './board';
import { type Copy, type EntryModel, itemOf, type QuestionModel } from './model';

/** What a key entry's zone holds: r copies that belong, w others, s of r too many, and whether all of the entry holds. */
export interface Tally {
  readonly entry: EntryModel;
  readonly right: number;
  readonly wrong: number;
  readonly surplus: number;
  readonly sumHolds: boolean;
  readonly satisfied: boolean;
}

export function tally(model: QuestionModel, board: Board, entry: EntryModel): Tally {
  const held = board.zones[entry.zone] as Copy[];
  let right = 0;
  let total = 0;
  for (const copy of held) {
    const item = itemOf(copy);
    if (entry.belongs.has(item)) right++;
    total += model.values[item] as number;
  }
  const wrong = held.length - right;
  const sumHolds = entry.sum === null || Math.abs(total - entry.sum.target) <= entry.sum.tolerance + SLACK;
  const inOrder = !entry.sequence || (held.length === entry.order.length && held.every((copy, i) => itemOf(copy) === entry.order[i]));
  return {
    entry,
    right,
    wrong,
    surplus: Math.max(0, right - entry.hi),
    sumHolds,
    satisfied: wrong === 0 && right >= entry.lo && right <= entry.hi && sumHolds && inOrder,
  };
}
