import { SLACK } from '../geometry/space';
import type { Board } from './board';
import { type Copy, type EitherModel, type EntryModel, itemOf, type QuestionModel } from './model';

/**
 * What a key entry's zone holds: r copies that belong, w others, s of r too many, and whether all of the entry holds.
 */
export interface Tally {
  readonly entry: EntryModel;
  readonly right: number;
  readonly wrong: number;
  readonly surplus: number;
  readonly sumHolds: boolean;
  readonly satisfied: boolean;
}

/** Do values add up to what is asked for? */
export const sumHolds = (sum: EntryModel['sum'], total: number): boolean =>
  sum === null || Math.abs(total - sum.target) <= sum.tolerance + SLACK;

/** The placements an entry asks for, where marks are earned per placement: n. */
export const neededBy = ({ sum, sequence, order, lo }: EntryModel): number => (sum ? 1 : sequence ? order.length : lo);

export function tally(model: QuestionModel, board: Board, entry: EntryModel): Tally {
  const held = board.zones[entry.zone] as Copy[];
  let right = 0;
  let total = 0;
  let apart = 0;
  for (const copy of held) {
    const item = itemOf(copy);
    if (entry.belongs.has(item)) right++;
    else if (entry.apart.has(item)) apart++;
    total += model.values[item] as number;
  }
  const wrong = held.length - right - apart;
  const holds = sumHolds(entry.sum, total);
  const inOrder =
    !entry.sequence || (held.length === entry.order.length && held.every((copy, i) => itemOf(copy) === entry.order[i]));
  return {
    entry,
    right,
    wrong,
    surplus: Math.max(0, right - entry.hi),
    sumHolds: holds,
    satisfied: wrong === 0 && right >= entry.lo && right <= entry.hi && holds && inOrder,
  };
}

/** What an either entry's zones hold together: r of its copies, s too many, and whether its need is met. */
export interface EitherTally {
  readonly entry: EitherModel;
  readonly right: number;
  readonly surplus: number;
  readonly satisfied: boolean;
}

export function eitherTally(board: Board, entry: EitherModel): EitherTally {
  let right = 0;
  for (const zone of entry.zones)
    for (const copy of board.zones[zone] as Copy[]) if (entry.belongs.has(itemOf(copy))) right++;
  return {
    entry,
    right,
    surplus: Math.max(0, right - entry.hi),
    satisfied: right >= entry.lo && right <= entry.hi,
  };
}
