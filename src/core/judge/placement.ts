import type { Point } from '../geometry/space';
import { type Board, bySettling, lift, settle } from './board';
import { candidates, winner } from './drop';
import { sendHome } from './home';
import { type Copy, copyOf, itemOf, type SceneModel } from './model';

/**
 * An item let go on the scene: its unrotated top left, and the pointer (both parts, or neither: then the item's
 * centre).
 */
export interface Drop {
  readonly item: string;
  readonly copy?: number | undefined;
  readonly x: number;
  readonly y: number;
  readonly px?: number | undefined;
  readonly py?: number | undefined;
  readonly at?: number | undefined;
}
/** An item put into a zone by name; zone null: home. */
export interface Put {
  readonly item: string;
  readonly copy?: number | undefined;
  readonly zone: string | null;
  readonly at?: number | undefined;
}
/**
 * A text typed into a zone: read as an item, it replaces what the zone held; a text of nothing but white space empties
 * it.
 */
export interface TypedAnswer {
  readonly zone: string;
  readonly text: string;
}
export type Placement = Drop | Put;
export const isPut = (move: Placement): move is Put => 'zone' in move;
export const isTyped = (move: Placement | TypedAnswer): move is TypedAnswer => 'text' in move;

export type Outcome =
  | { readonly to: 'zone'; readonly zone: number; readonly sentHome: Copy | null }
  | { readonly to: 'loose' }
  | { readonly to: 'home' }
  | { readonly to: 'turnedAway'; readonly zone: number; readonly why: 'notWelcome' | 'full' }
  /**
   * Only the server can say: the zone welcomes what is keyed to it and the key is not here, or (null) zones are hidden.
   * The board is as before.
   */
  | { readonly to: 'unknown'; readonly zone: number | null }
  /** The input is invalid: `path` within the move, and a sentence. The board is unchanged. */
  | { readonly to: 'refused'; readonly path: string; readonly message: string };

/** Is the item keyed to the zone? Null where the key is not known, as in a learner's browser. */
export type Keyed = ((zone: number, item: number) => boolean) | null;

/**
 * Places one valid drop or put; `board` is changed in place. Untrusted moves go through `placeChecked` first; the
 * learner's page, which makes its moves itself, does without those checks and their sentences.
 */
export function putDown(model: SceneModel, board: Board, move: Placement, keyed: Keyed): Outcome {
  const copy = copyOf(model.itemAt.get(move.item) as number, move.copy ?? 0);
  if (!keyed && model.hides && !isPut(move)) return { to: 'unknown', zone: null };
  const zone = isPut(move)
    ? move.zone === null
      ? null
      : (model.zoneAt.get(move.zone) as number)
    : zoneUnder(model, board, copy, move);
  if (zone !== null)
    return enterZone(model, board, copy, zone, move.at, isPut(move) ? null : { x: move.x, y: move.y }, keyed);
  // Where zones are hidden a copy lies where it was let go, in one of them or not.
  if (isPut(move) || (model.items[itemOf(copy)]?.goesHome && !model.hides)) {
    sendHome(model, board, copy);
    return { to: 'home' };
  }
  lift(board, copy);
  board.letGo.set(copy, { x: move.x, y: move.y });
  return { to: 'loose' };
}

export const refused = (path: string, message: string): Outcome => ({ to: 'refused', path, message });

function zoneUnder(model: SceneModel, board: Board, copy: Copy, { x, y, px, py }: Drop): number | null {
  return winner(
    candidates(model, board, copy, { x, y }, px === undefined || py === undefined ? null : { x: px, y: py }),
  );
}

function enterZone(
  model: SceneModel,
  board: Board,
  copy: Copy,
  zone: number,
  at: number | undefined,
  letGo: Point | null,
  keyed: Keyed,
): Outcome {
  const { keyedOnly, capacity, swaps, id } = model.zones[zone] as SceneModel['zones'][number];
  if (keyedOnly && !keyed) return { to: 'unknown', zone };
  const room = (board.zones[zone] as Copy[]).length - (board.zoneOf.get(copy) === zone ? 1 : 0);
  const welcome = !keyedOnly || keyed?.(zone, itemOf(copy)) === true;
  if (welcome && at !== undefined && at > room)
    return refused('at', `Zone "${id}" holds ${room}: at has to be a whole number from 0 to ${room}`);
  const turnAway = (why: 'notWelcome' | 'full'): Outcome => {
    sendHome(model, board, copy);
    return { to: 'turnedAway', zone, why };
  };
  if (!welcome) return turnAway('notWelcome');
  if (room >= capacity && !swaps) return turnAway('full');
  lift(board, copy);
  let sentHome: Copy | null = null;
  if (room >= capacity) {
    sentHome = bySettling(board, zone)[0] as Copy;
    sendHome(model, board, sentHome);
  }
  settle(board, copy, zone, Math.min(at ?? Infinity, (board.zones[zone] as Copy[]).length));
  if (letGo) board.letGo.set(copy, letGo);
  return { to: 'zone', zone, sentHome };
}
