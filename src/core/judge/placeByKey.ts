import { type Board, settle } from './board';
import { sendHome } from './home';
import { COPIES, type Copy, copyOf, isKeyed, itemOf, type QuestionModel } from './model';
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
  if (item !== null) {
    settle(board, typedCopy(item, index), index, 0);
    board.texts.set(index, text);
  }
  readAgain(model, board);
  return item === null ? { to: 'home' } : { to: 'zone', zone: index, sentHome: null };
}

/**
 * Reads all typed texts: an item in no more zones than it has copies. Of the zones whose text reads as it, in the order
 * in which they were last typed into, those beyond are read as {@link UNREAD}.
 */
function readAgain(model: QuestionModel, board: Board): void {
  const typedInto = [...board.texts.keys()].sort((a, b) => typedAt(board, a) - typedAt(board, b));
  const zonesOf = new Map<number, number>();
  for (const zone of typedInto) {
    const [held] = board.zones[zone] as Copy[];
    const read = model.readers[zone]?.(board.texts.get(zone) ?? '');
    if (held === undefined || read === null || read === undefined) continue;
    const before = zonesOf.get(read) ?? 0;
    zonesOf.set(read, before + 1);
    const item = before < (model.items[read]?.copies ?? Infinity) ? read : model.items.length;
    if (item !== itemOf(held)) exchange(board, zone, held, typedCopy(item, zone));
  }
}

const typedAt = (board: Board, zone: number): number => board.settledAt.get(board.zones[zone]?.[0] as Copy) ?? 0;

/** What was typed is read as something else: it stays where it is, and as old as it is. */
function exchange(board: Board, zone: number, before: Copy, after: Copy): void {
  board.zones[zone] = [after];
  board.zoneOf.delete(before);
  board.zoneOf.set(after, zone);
  board.settledAt.set(after, board.settledAt.get(before) ?? 0);
  board.settledAt.delete(before);
}

const typedCopy = (item: number, zone: number): Copy => copyOf(item, COPIES - 1 - zone);

/** Places any move by the key: a drop, a put, or a typed answer. */
export function placeByKey(model: QuestionModel, board: Board, move: Placement | TypedAnswer): Outcome {
  if (isTyped(move)) return placeTyped(model, board, move);
  return placeChecked(model, board, move, (zone, item) => isKeyed(model, zone, item));
}
