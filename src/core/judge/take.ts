import type { Point } from '../geometry/space';
import { type Board, bySettling, lift, settle } from './board';
import { candidates, carriesItself, winner } from './drop';
import { sendHome } from './home';
import { type Copy, copyOf, itemOf, type SceneModel } from './model';

/** An item let go on the scene: its unrotated top left, and the pointer (both parts, or neither: then the item's centre). */
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
/** A text typed into a zone: read as an item, it replaces what the zone held; a text of nothing but white space empties it. */
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
  /** Only the server can say: the zone welcomes what is keyed to it and the key is not here, or (null) zones are hidden. The board is as before. */
  | { readonly to: 'unknown'; readonly zone: number | null }
  /** The input is at fault: `path` within the move, and a sentence. The board is as before. */
  | { readonly to: 'refused'; readonly path: string; readonly message: string };

/** Is the item keyed to the zone? Null where the key is not known, as in a learner's browser. */
export type Keyed = ((zone: number, item: number) => boolean) | null;

/** Takes one drop or put from the arrangement the last one left; `board` is changed in place. */
export function take(model: SceneModel, board: Board, move: Placement, keyed: Keyed): Outcome {
  const found = copyNamed(model, move);
  if (found === 'item') return refused('item', `There is no item "${move.item}"`);
  if (found === 'copy') return refused('copy', `There is no copy ${move.copy} of "${move.item}"`);
  if (move.at !== undefined && !(Number.isInteger(move.at) && move.at >= 0)) return refused('at', 'at has to be a whole number from 0');
  if (!keyed && model.source.hides && !isPut(move)) return { to: 'unknown', zone: null };
  const target = isPut(move) ? putTarget(model, board, found, move) : dropTarget(model, board, found, move);
  if (typeof target === 'object' && target !== null) return target;
  if (target === null) {
    if (isPut(move) || model.items[itemOf(found)]?.goesHome) {
      sendHome(model, board, found);
      return { to: 'home' };
    }
    lift(board, found);
    board.letGo.set(found, { x: move.x, y: move.y });
    return { to: 'loose' };
  }
  return enter(model, board, found, target, move.at, isPut(move) ? null : { x: move.x, y: move.y }, keyed);
}

export const refused = (path: string, message: string): Outcome => ({ to: 'refused', path, message });

function copyNamed(model: SceneModel, { item, copy = 0 }: Placement): Copy | 'item' | 'copy' {
  const index = model.itemAt.get(item);
  if (index === undefined) return 'item';
  if (!Number.isInteger(copy) || copy < 0 || copy >= (model.items[index]?.copies ?? 0)) return 'copy';
  return copyOf(index, copy);
}

function putTarget(model: SceneModel, board: Board, copy: Copy, { zone }: Put): number | null | Outcome {
  if (zone === null) return null;
  const index = model.zoneAt.get(zone);
  if (index === undefined) return refused('zone', `There is no zone "${zone}"`);
  const family = model.zones[index]?.family ?? null;
  if (family !== null && family !== model.items[itemOf(copy)]?.family) return refused('zone', `Zone "${zone}" takes only items of the family "${family}"`);
  if (carriesItself(model, board, copy, index)) return refused('zone', `Zone "${zone}" rides on what it would take`);
  return index;
}

function dropTarget(model: SceneModel, board: Board, copy: Copy, drop: Drop): number | null | Outcome {
  for (const name of ['x', 'y'] as const) if (!Number.isFinite(drop[name])) return refused(name, `${name} has to be a finite number`);
  if ((drop.px === undefined) !== (drop.py === undefined)) return refused(drop.px === undefined ? 'px' : 'py', 'px and py have to be given both, or neither');
  for (const name of ['px', 'py'] as const) if (drop.px !== undefined && !Number.isFinite(drop[name])) return refused(name, `${name} has to be a finite number`);
  const pointer = drop.px === undefined ? null : { x: drop.px, y: drop.py as number };
  return winner(candidates(model, board, copy, { x: drop.x, y: drop.y }, pointer));
}

function enter(model: SceneModel, board: Board, copy: Copy, zone: number, at: number | undefined, letGo: Point | null, keyed: Keyed): Outcome {
  const { keyedOnly, capacity, swaps, id } = model.zones[zone] as SceneModel['zones'][number];
  if (keyedOnly && !keyed) return { to: 'unknown', zone };
  const room = (board.zones[zone] as Copy[]).length - (board.zoneOf.get(copy) === zone ? 1 : 0);
  const welcome = !keyedOnly || keyed?.(zone, itemOf(copy)) === true;
  if (welcome && at !== undefined && at > room) return refused('at', `Zone "${id}" holds ${room}: at has to be a whole number from 0 to ${room}`);
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
