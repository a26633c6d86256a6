import { type Board, cloneBoard, lift, settle } from '../judge/board';
import { type Copy, copyOf, isKeyed, itemOf, type QuestionModel } from '../judge/model';
import { placeByKey } from '../judge/placeByKey';
import { standInCopies } from '../proof/guess/setting';
import type { ModelPlacement } from '../proof/solve/solve';
import { type Judged, judge } from './mark';

/** What learners typically hand in, to see what each earns before anyone does. */
export type Typical = 'allRight' | 'allButOne' | 'oneWrong' | 'allInOneZone' | 'nothing';

export interface TypicalAnswer {
  readonly typical: Typical;
  readonly board: Board;
  readonly judged: Judged;
  /**
   * The copy or the zone it turns on: what is left out or put wrong, where everything is put; null where there is none.
   */
  readonly about: { readonly copy: Copy } | { readonly zone: number } | null;
}

const MAX_COPIES = 500;

/** The board of a model answer. */
export function boardOf(model: QuestionModel, placements: readonly ModelPlacement[]): Board {
  const board = cloneBoard(model.start);
  for (const copy of [...board.zoneOf.keys()]) lift(board, copy);
  for (const { item, copy, zone } of placements) {
    const [index, into] = [model.itemAt.get(item), model.zoneAt.get(zone)];
    if (index !== undefined && into !== undefined)
      settle(board, copyOf(index, copy), into, board.zones[into]?.length ?? 0);
  }
  return board;
}

/**
 * Five answers and what they earn on the first try, worked out as every answer is. `full`: the placements of a model
 * answer; without one the three that start from it are left out. Empty where the question has no key.
 */
export function typicalAnswers(model: QuestionModel, full: readonly ModelPlacement[] | null): TypicalAnswer[] {
  if (model.entries.length === 0) return [];
  const judged = (typical: Typical, board: Board, about: TypicalAnswer['about']): TypicalAnswer => ({
    typical,
    board,
    judged: judge(model, board, 1),
    about,
  });
  const found: TypicalAnswer[] = [];
  if (full) {
    const right = boardOf(model, full);
    found.push(judged('allRight', right, null));
    const last = full.at(-1);
    const missing = last && copyOf(model.itemAt.get(last.item) as number, last.copy);
    if (missing !== undefined) {
      const less = cloneBoard(right);
      lift(less, missing);
      found.push(judged('allButOne', less, { copy: missing }));
      const wrong = misplaced(model, less, missing, last?.zone ?? '');
      if (wrong) found.push(judged('oneWrong', wrong, { copy: missing }));
    }
  }
  const most = mostInOne(model);
  if (most) found.push(judged('allInOneZone', most.board, { zone: most.zone }));
  found.push(judged('nothing', cloneBoard(model.start), null));
  return found;
}

/** The copy put into the first zone that is not its own and lets it in; null: there is none. */
function misplaced(model: QuestionModel, board: Board, copy: Copy, own: string): Board | null {
  const item = model.items[itemOf(copy)]?.id ?? '';
  for (const [index, zone] of model.zones.entries()) {
    if (zone.id === own || isKeyed(model, index, itemOf(copy)) || !model.entryOf[index]) continue;
    const wrong = cloneBoard(board);
    const outcome = placeByKey(model, wrong, { item, copy: copy - copyOf(itemOf(copy), 0), zone: zone.id });
    if (outcome.to === 'zone') return wrong;
  }
  return null;
}

/** Everything, as far as it is let in, in the one zone in which that earns most. */
function mostInOne(model: QuestionModel): { zone: number; board: Board } | null {
  let best: { zone: number; board: Board; fraction: number } | null = null;
  for (const [zone, { id }] of model.zones.entries()) {
    const board = allIn(model, id);
    const { fraction } = judge(model, board, 1);
    if (!best || fraction > best.fraction) best = { zone, board, fraction };
  }
  return best;
}

/** Every copy put into one zone, as far as the zone lets it in. */
export function allIn(model: QuestionModel, zone: string): Board {
  const board = cloneBoard(model.start);
  model.items.forEach(({ id }, item) => {
    const copies = Math.min(MAX_COPIES, standInCopies(model, item));
    for (let copy = 0; copy < copies; copy++) placeByKey(model, board, { item: id, copy, zone });
  });
  return board;
}
