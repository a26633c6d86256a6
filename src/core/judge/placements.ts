import { type Board, emptyBoard, lowestFree, settle } from './board';
import { carriesItself } from './drop';
import { COPIES, type Copy, copyOf, isKeyed, type QuestionModel } from './model';

/** A copy that rests in a zone, given outright; `copy` left out is the lowest not yet placed. */
export interface Placed {
  readonly item: string;
  readonly copy?: number | undefined;
  readonly zone: string;
}

export type Arranged = { ok: true; board: Board } | { ok: false; path: string; message: string };

/** An arrangement from placements in settling order; refused where the zones could not hold them. */
export function boardFromPlacements(model: QuestionModel, placements: readonly Placed[]): Arranged {
  const board = emptyBoard(model);
  for (const [i, placed] of placements.entries()) {
    const wrong = placeGiven(model, board, placed);
    if (wrong) return { ok: false, path: `placements[${i}].${wrong[0]}`, message: wrong[1] };
  }
  return { ok: true, board };
}

/** Places one copy given outright, `board` is changed in place; else the field that is wrong, and a sentence. */
export function placeGiven(
  model: QuestionModel,
  board: Board,
  { item, copy, zone }: Placed,
): [path: string, message: string] | null {
  const itemIndex = model.itemAt.get(item);
  if (itemIndex === undefined) return ['item', `There is no item "${item}"`];
  const zoneIndex = model.zoneAt.get(zone);
  if (zoneIndex === undefined) return ['zone', `There is no zone "${zone}"`];
  const { copies, family } = model.items[itemIndex] as QuestionModel['items'][number];
  const token = copy === undefined ? lowestFree(board, itemIndex) : copyOf(itemIndex, copy);
  const number = (token as number) - itemIndex * COPIES;
  if (!Number.isInteger(number) || number < 0 || number >= copies)
    return ['copy', copy === undefined ? `No copy of "${item}" is left` : `There is no copy ${copy} of "${item}"`];
  if (board.zoneOf.has(token)) return ['copy', `Copy ${number} of "${item}" is placed twice`];
  const target = model.zones[zoneIndex] as QuestionModel['zones'][number];
  if (target.family !== null && target.family !== family)
    return ['zone', `Zone "${zone}" takes only items of the family "${target.family}"`];
  if (target.keyedOnly && !isKeyed(model, zoneIndex, itemIndex)) return ['zone', `Zone "${zone}" turns "${item}" away`];
  const held = (board.zones[zoneIndex] as Copy[]).length;
  if (held >= target.capacity) return ['zone', `Zone "${zone}" holds no more than ${target.capacity}`];
  if (carriesItself(model, board, token, zoneIndex)) return ['zone', `Zone "${zone}" rides on what it would take`];
  settle(board, token, zoneIndex, held);
  return null;
}
