import type { ItemId, ZoneId } from '../document/ids';
import type { Question } from '../document/schema';
import { emptyBoard } from '../judge/board';
import { questionModel } from '../judge/model';
import { placeGiven } from '../judge/placements';
import type { Step } from './edit';
import { setQuestion } from './steps';

/** Where items start: in a zone (`start.placements`), or at their homes. */
type Placements = NonNullable<Question['start']>['placements'];

/** The zone in which the first copy of an item starts; null: at its home. */
export const startOf = ({ start }: Pick<Question, 'start'>, item: ItemId): ZoneId | null =>
  start?.placements.find((placed) => placed.item === item)?.zone ?? null;

export type Started =
  | { readonly ok: true; readonly step: Step }
  /** The zone takes none of the item: why, as a sentence without its full stop. */
  | { readonly ok: false; readonly item: ItemId; readonly message: string };

/**
 * Items start in a zone, each with as many of its copies as the zone takes (of an endless one, one copy); zone null: at
 * their homes.
 */
export function startIn(question: Question, items: readonly ItemId[], zone: ZoneId | null): Started {
  const others = (question.start?.placements ?? []).filter(({ item }) => !items.includes(item));
  const placements: Placements = [...others];
  if (zone !== null) {
    const model = questionModel({ ...question, start: null });
    const board = emptyBoard(model);
    for (const placed of others) placeGiven(model, board, placed);
    for (const id of items) {
      const copies = question.items.find((item) => item.id === id)?.copies ?? 1;
      const count = copies === 'endless' ? 1 : copies;
      for (let copy = 0; copy < count; copy++) {
        const placed = { item: id, copy, zone };
        const wrong = placeGiven(model, board, placed);
        if (wrong && copy === 0) return { ok: false, item: id, message: wrong[1] };
        if (wrong) break;
        placements.push(placed);
      }
    }
  }
  return { ok: true, step: setStart(question, placements) };
}

const setStart = (question: Question, placements: Placements): Step =>
  setQuestion(question, 'start', placements.length > 0 ? { placements } : null);

/**
 * What the zones cannot hold at the start any more, because a capacity, a family or a copy has gone, starts at home: a
 * step, empty where all of it holds.
 */
export function withFittingStart(question: Question): Step {
  if (!question.start) return [];
  const model = questionModel({ ...question, start: null });
  const board = emptyBoard(model);
  const kept = question.start.placements.filter((placed) => placeGiven(model, board, placed) === null);
  return kept.length === question.start.placements.length ? [] : setStart(question, kept);
}
