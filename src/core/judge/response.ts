import { type Judged, judge } from '../marks/mark';
import { type Board, cloneBoard } from './board';
import { type Copy, itemOf, type QuestionModel, UNREAD } from './model';
import { placeByKey } from './placeByKey';
import type { Placement, TypedAnswer } from './placement';
import { boardFromPlacements, type Placed } from './placements';

/** A judged answer; `fault`: what is wrong with the input, and where. */
export type Responded =
  | { readonly ok: true; readonly judged: Judged; readonly board: Board; readonly turnedAway: number }
  | { readonly ok: false; readonly fault: string };

type Fields = Readonly<Record<string, unknown>>;
const wrong = (path: string, message: string): Responded => ({ ok: false, fault: `${path}: ${message}` });
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const KNOWN = new Set(['id', 'try', 'placements', 'drops', 'drawn']);

/**
 * Judges a response of the command line's form: an arrangement given outright, or the drops, puts and typed answers
 * that led to one.
 */
export function respond(model: QuestionModel, response: unknown): Responded {
  if (!isFields(response)) return { ok: false, fault: 'A response has to be a JSON object' };
  for (const name in response) if (!KNOWN.has(name)) return wrong(name, 'is not a field that is known here');
  const { id, try: attempt = 1, placements, drops, drawn } = response;
  if (id !== undefined && id !== null && typeof id !== 'string' && !(typeof id === 'number' && Number.isFinite(id)))
    return wrong('id', 'has to be a text or a number');
  if (drawn !== undefined) return wrong('drawn', 'is given, but there are no pools');
  const { tries } = model.question;
  if (!Number.isInteger(attempt) || (attempt as number) < 1 || (tries !== null && (attempt as number) > tries))
    return wrong(
      'try',
      tries === null ? 'has to be a whole number from 1' : `has to be a whole number from 1 to ${tries}`,
    );
  if (placements !== undefined && drops !== undefined)
    return wrong('drops', 'cannot be given together with placements');
  if (drops !== undefined) return respondToDrops(model, drops, attempt as number);
  if (placements === undefined) return wrong('placements', 'is missing');
  const fault = placementsFault(placements);
  if (fault) return { ok: false, fault };
  const placing = boardFromPlacements(model, placements as Placed[]);
  if (!placing.ok) return wrong(placing.path, placing.message);
  return { ok: true, judged: judge(model, placing.board, attempt as number), board: placing.board, turnedAway: 0 };
}

function respondToDrops(model: QuestionModel, drops: unknown, attempt: number): Responded {
  if (!Array.isArray(drops)) return wrong('drops', 'has to be a list');
  const board = cloneBoard(model.start);
  let turnedAway = 0;
  for (let i = 0; i < drops.length; i++) {
    const move: unknown = drops[i];
    const fault = moveFault(move);
    if (fault) return wrong(`drops[${i}]${fault[0]}`, fault[1]);
    const outcome = placeByKey(model, board, move as Placement | TypedAnswer);
    if (outcome.to === 'refused') return wrong(`drops[${i}].${outcome.path}`, outcome.message);
    if (outcome.to === 'turnedAway') turnedAway++;
  }
  return { ok: true, judged: judge(model, board, attempt), board, turnedAway };
}

function placementsFault(placements: unknown): string | null {
  if (!Array.isArray(placements)) return 'placements: has to be a list';
  for (let i = 0; i < placements.length; i++) {
    const placed: unknown = placements[i];
    if (!isFields(placed)) return `placements[${i}]: has to be an object`;
    for (const name in placed)
      if (name !== 'item' && name !== 'copy' && name !== 'zone')
        return `placements[${i}].${name}: is not a field that is known here`;
    if (typeof placed.item !== 'string') return `placements[${i}].item: has to be the id of an item`;
    if (typeof placed.zone !== 'string') return `placements[${i}].zone: has to be the id of a zone`;
    if (placed.copy !== undefined && typeof placed.copy !== 'number')
      return `placements[${i}].copy: has to be a whole number`;
  }
  return null;
}

const DROP = new Set(['item', 'copy', 'x', 'y', 'px', 'py', 'at']);
const PUT = new Set(['item', 'copy', 'zone', 'at']);
const TYPED = new Set(['zone', 'text']);

/**
 * Where in a move, from the move on, and what is wrong; null: it has the form of a drop, a put or a typed answer. What
 * is in it is the rules' to judge.
 */
function moveFault(move: unknown): readonly [path: string, message: string] | null {
  if (!isFields(move)) return ['', 'has to be an object'];
  const known = 'text' in move ? TYPED : 'zone' in move ? PUT : DROP;
  for (const name in move) if (!known.has(name)) return [`.${name}`, 'is not a field that is known here'];
  if (known === TYPED) {
    if (typeof move.zone !== 'string') return ['.zone', 'has to be the id of a zone'];
    return typeof move.text === 'string' ? null : ['.text', 'has to be a text'];
  }
  if (typeof move.item !== 'string') return ['.item', 'has to be the id of an item'];
  if (move.copy !== undefined && typeof move.copy !== 'number') return ['.copy', 'has to be a whole number'];
  if (move.at !== undefined && typeof move.at !== 'number') return ['.at', 'has to be a whole number'];
  if (known === PUT)
    return move.zone === null || typeof move.zone === 'string'
      ? null
      : ['.zone', 'has to be the id of a zone, or null'];
  for (const name of ['x', 'y'] as const)
    if (typeof move[name] !== 'number') return [`.${name}`, 'has to be a finite number'];
  for (const name of ['px', 'py'] as const)
    if (move[name] !== undefined && typeof move[name] !== 'number') return [`.${name}`, 'has to be a finite number'];
  return null;
}

/** The ids of the items a zone holds, one for each copy, in the zone's order. */
export function heldIn(model: QuestionModel, board: Board, zone: number): string[] {
  return (board.zones[zone] as Copy[]).map((copy) => model.items[itemOf(copy)]?.id ?? UNREAD);
}
