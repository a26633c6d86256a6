import { type Board, cloneBoard, lift } from '../../judge/board';
import { type Copy, copyOf, type QuestionModel } from '../../judge/model';
import { placeByKey } from '../../judge/placeByKey';
import { judge } from '../../marks/mark';
import { boardOf } from '../../marks/typical';
import { standInCopies } from '../guess/setting';
import type { FindingRule } from './finding';
import { itemId, itemNamed, zoneId, zoneNamed } from './named';

/** The full mark with something wrong: looked for around the model answer. */
export const wrongIsFree: FindingRule = ({ model, modelAnswer }) => {
  if (!modelAnswer) return [];
  const right = boardOf(model, modelAnswer);
  const mend = 'Let what is too many or belongs nowhere cost something, or give every zone a weight.';
  const added = withOneMore(model, right);
  if (added)
    return [
      {
        where: [itemId(model, added.item), zoneId(model, added.zone)],
        message: `Whoever has all of it right and puts ${itemNamed(model, added.item)} into ${zoneNamed(model, added.zone)} as well still earns the full mark.`,
        mend,
      },
    ];
  const emptied = withOneEmptied(model, right);
  return emptied === null
    ? []
    : [
        {
          where: [zoneId(model, emptied)],
          message: `Whoever leaves ${zoneNamed(model, emptied)} empty still earns the full mark.`,
          mend,
        },
      ];
};

const isFree = (model: QuestionModel, board: Board): boolean => {
  const { fraction, fullMarks } = judge(model, board, 1);
  return fraction === 1 && !fullMarks;
};

function withOneMore(model: QuestionModel, right: Board): { item: number; zone: number } | null {
  for (const [item, { id }] of model.items.entries()) {
    const copy = firstFree(model, right, item);
    if (copy === null) continue;
    for (const { zone } of model.entries) {
      const board = cloneBoard(right);
      const move = { item: id, copy: copy - copyOf(item, 0), zone: zoneId(model, zone) };
      if (placeByKey(model, board, move).to === 'zone' && isFree(model, board)) return { item, zone };
    }
  }
  return null;
}

/** A copy of the item that the answer leaves in the tray; null: all are used. */
function firstFree(model: QuestionModel, board: Board, item: number): Copy | null {
  const copies = Math.max(standInCopies(model, item), model.items[item]?.copies ?? 0);
  for (let copy = 0; copy < copies; copy++) if (!board.zoneOf.has(copyOf(item, copy))) return copyOf(item, copy);
  return null;
}

function withOneEmptied(model: QuestionModel, right: Board): number | null {
  for (const { zone } of model.entries) {
    const held = right.zones[zone] as Copy[];
    if (held.length === 0) continue;
    const board = cloneBoard(right);
    for (const copy of held) lift(board, copy);
    if (isFree(model, board)) return zone;
  }
  return null;
}
