import type { Board } from './board';
import { carriesItself } from './drop';
import { copyOf, type SceneModel } from './model';
import { type Drop, isPut, type Keyed, type Outcome, type Placement, type Put, putDown, refused } from './placement';

/**
 * Checks one drop or put from an untrusted source and places it. If it is invalid, the outcome has the place and a
 * sentence, and the board is unchanged.
 */
export function placeChecked(model: SceneModel, board: Board, move: Placement, keyed: Keyed): Outcome {
  return faultOf(model, board, move) ?? putDown(model, board, move, keyed);
}

function faultOf(model: SceneModel, board: Board, move: Placement): Outcome | null {
  const { item, copy = 0, at } = move;
  const index = model.itemAt.get(item);
  if (index === undefined) return refused('item', `There is no item "${item}"`);
  if (!Number.isInteger(copy) || copy < 0 || copy >= (model.items[index]?.copies ?? 0))
    return refused('copy', `There is no copy ${copy} of "${item}"`);
  if (at !== undefined && !(Number.isInteger(at) && at >= 0))
    return refused('at', 'at has to be a whole number from 0');
  return isPut(move) ? faultOfPut(model, board, index, move) : faultOfDrop(move);
}

function faultOfPut(model: SceneModel, board: Board, item: number, { zone, copy = 0 }: Put): Outcome | null {
  if (zone === null) return null;
  const index = model.zoneAt.get(zone);
  if (index === undefined) return refused('zone', `There is no zone "${zone}"`);
  const family = model.zones[index]?.family ?? null;
  if (family !== null && family !== model.items[item]?.family)
    return refused('zone', `Zone "${zone}" takes only items of the family "${family}"`);
  if (carriesItself(model, board, copyOf(item, copy), index))
    return refused('zone', `Zone "${zone}" rides on what it would take`);
  return null;
}

function faultOfDrop(drop: Drop): Outcome | null {
  for (const name of ['x', 'y'] as const)
    if (!Number.isFinite(drop[name])) return refused(name, `${name} has to be a finite number`);
  if ((drop.px === undefined) !== (drop.py === undefined))
    return refused(drop.px === undefined ? 'px' : 'py', 'px and py have to be given both, or neither');
  for (const name of ['px', 'py'] as const)
    if (drop.px !== undefined && !Number.isFinite(drop[name]))
      return refused(name, `${name} has to be a finite number`);
  return null;
}
