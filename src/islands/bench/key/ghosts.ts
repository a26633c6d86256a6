import {
  type Board,
  belongsIn,
  boardOf,
  copyOf,
  emptyBoard,
  type Frame,
  type ItemId,
  itemOf,
  type ModelPlacement,
  type Question,
  type QuestionModel,
  questionModel,
  restIn,
  settle,
} from '../../../core';

/** A copy drawn where it would come to rest. */
export interface Ghost {
  readonly key: string;
  readonly item: ItemId;
  readonly label: string;
  readonly frame: Frame;
}

const models = new WeakMap<Question, QuestionModel>();
export function modelOf(question: Question): QuestionModel {
  const found = models.get(question) ?? questionModel(question);
  models.set(question, found);
  return found;
}

function ghostsIn(model: QuestionModel, board: Board, zone: number): Ghost[] {
  return [...restIn(model, board, zone)].flatMap(([copy, at]) => {
    const item = model.items[itemOf(copy)];
    if (!item) return [];
    const { label, id } = model.question.items[itemOf(copy)] as Question['items'][number];
    return [
      {
        key: `${copy} ${zone}`,
        item: id,
        label: label || id,
        frame: { x: at.x, y: at.y, w: item.w, h: item.h, rotation: item.rotation },
      },
    ];
  });
}

/** The ghosts of an item: where it would rest in each zone it belongs to, as the first one there. */
export function ghostsOf(question: Question, id: ItemId): Ghost[] {
  const model = modelOf(question);
  const item = model.itemAt.get(id);
  if (item === undefined) return [];
  return question.zones.flatMap((zone, index) => {
    if (!belongsIn(question, { zone: zone.id, item: id }) || zone.shape.type === 'slot') return [];
    const board = emptyBoard(model);
    settle(board, copyOf(item, 0), index, 0);
    return ghostsIn(model, board, index);
  });
}

/** The whole arrangement of a model answer, as it would lie. */
export function modelGhosts(question: Question, placements: readonly ModelPlacement[]): Ghost[] {
  const model = modelOf(question);
  const board = boardOf(model, placements);
  return question.zones.flatMap((_, zone) => ghostsIn(model, board, zone));
}

/** Where the copies of an item lie at the start, if in zones. */
export function startGhosts(question: Question, id: ItemId): Ghost[] {
  const model = modelOf(question);
  return question.zones.flatMap((_, zone) => ghostsIn(model, model.start, zone).filter(({ item }) => item === id));
}
