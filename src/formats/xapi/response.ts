import { type Board, type Copy, idOf, itemOf, type QuestionModel } from '../../core';
import { amountOf, type Form, sequenceOf } from './form';
import { AND, componentId, TO } from './names';

/** What an arrangement answers, in the syntax of the kind of interaction. Nothing: an empty text. */
export function responseOf(model: QuestionModel, form: Form, board: Board): string {
  const item = (copy: Copy) => componentId(idOf(model, copy));
  switch (form) {
    case 'numeric': {
      const amount = amountOf(model);
      const held = board.zones[amount?.zone ?? -1] ?? [];
      if (held.length === 0) return '';
      return `${amount?.values ? held.reduce((sum, copy) => sum + (model.values[itemOf(copy)] ?? 0), 0) : held.length}`;
    }
    case 'sequencing':
      return (board.zones[sequenceOf(model)?.zone ?? -1] ?? []).map(item).join(AND);
    case 'choice':
      return board.zones.flat().map(item).join(AND);
    case 'fill-in': {
      const texts = board.zones.map((_, z) => board.texts.get(z) ?? '');
      return texts.every((text) => text === '') ? '' : texts.join(AND);
    }
    case 'matching':
      return pairs(model, board, item).join(AND);
    case 'other':
      return [...pairs(model, board, (copy, z) => board.texts.get(z) ?? item(copy)), ...loose(model, board)].join(AND);
  }
}

/** Pairs of item and zone, one for each copy. */
const pairs = (model: QuestionModel, board: Board, item: (copy: Copy, zone: number) => string): string[] =>
  board.zones.flatMap((held, z) =>
    held.map((copy) => `${item(copy, z)}${TO}${componentId(model.question.zones[z]?.id ?? '')}`),
  );

/** What was let go in no zone, with where its top left is, in scene units. */
const loose = (model: QuestionModel, board: Board): string[] =>
  [...board.letGo].flatMap(([copy, { x, y }]) =>
    board.zoneOf.has(copy) ? [] : [`${componentId(idOf(model, copy))}${TO}${Math.round(x)},${Math.round(y)}`],
  );
