import { type Board, settle } from './board';
import { sendHome } from './home';
import { COPIES, type Copy, copyOf, type QuestionModel } from './model';
import { placeChecked } from './placeChecked';
import { isTyped, type Outcome, type Placement, refused, type TypedAnswer } from './placement';

/**
 * Places a typed answer. It is a copy of its own, numbered down from the last, so that it never collides with a copy in
 * the tray. Family, welcome and capacity do not apply.
 */
export function placeTyped(model: QuestionModel, board: Board, { zone, text }: TypedAnswer): Outcome {
  const index = model.zoneAt.get(zone);
  if (index === undefined) return refused('zone', `There is no zone "${zone}"`);
  const read = model.readers[index];
  if (!read) return refused('zone', `Zone "${zone}" is not answered by typing`);
  const item = read(text);
  for (const held of [...(board.zones[index] as Copy[])]) sendHome(model, board, held);
  if (item === null) return { to: 'home' };
  settle(board, typedCopy(item, index), index, 0);
  board.texts.set(index, text);
  return { to: 'zone', zone: index, sentHome: null };
}

const typedCopy = (item: number, zone: number): Copy => copyOf(item, COPIES - 1 - zone);

/** Places any move by the key: a drop, a put, or a typed answer. */
export function placeByKey(model: QuestionModel, board: Board, move: Placement | TypedAnswer): Outcome {
  if (isTyped(move)) return placeTyped(model, board, move);
  return placeChecked(model, board, move, (zone, item) => model.entryOf[zone]?.belongs.has(item) === true);
}
