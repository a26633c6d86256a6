import type { Board } from '../judge/board';
import type { Copy } from '../judge/copy';
import { copyOf, isKeyed, itemOf, type QuestionModel } from '../judge/model';
import { isTyped } from '../judge/placement';
import { applyMove, judgedAt, type Move, type Standing, untouched } from '../judge/replay';

/** A move as it was made, with when: milliseconds since 1970. */
export interface Made {
  readonly move: Move;
  readonly at: number;
}

/** A zone by its index, or {@link NOWHERE}. */
export type Place = number;
export const NOWHERE: Place = -1;

/** What became of a marker: in a place that was sought, in one that had one already, or in none. */
export type MarkOutcome = 'hit' | 'double' | 'miss';

/**
 * What one learner did with one question, worked out once from the moves and small enough to be kept. Items and zones
 * by their indexes. "At last" is where things lay when they were judged last: what a wrong answer sent home counts
 * where it was, unless it was moved again.
 */
export interface Digest {
  readonly tries: number;
  /** How often a zone turned an item away. */
  readonly turnedAway: number;
  /** From the first move to the last that was no check: a sitting that ends checks what was left. */
  readonly seconds: number;
  /** Each copy that was moved: where it was put at first (a zone that turned it away too) and where it lay at last. */
  readonly put: readonly (readonly [copy: Copy, first: Place, last: Place])[];
  /** Where items were let go by hand: the item's middle, in scene units. */
  readonly drops: readonly (readonly [item: number, x: number, y: number])[];
  /** The time each item took that was put somewhere, from the move before: tenths of a second. */
  readonly paces: readonly number[];
  /**
   * For each item that was tried in more than one zone: the zones in their order, those that turned it away among them.
   */
  readonly went: readonly (readonly [item: number, zones: readonly Place[]])[];
  /** Of each zone in which an order is made: its items as they were first judged (or left), and at last. */
  readonly orders: readonly (readonly [zone: number, first: readonly number[], last: readonly number[]])[];
  /** What was typed at last, and the item it was read as; one more than the last item: as none. */
  readonly typed: readonly (readonly [zone: number, text: string, item: number])[];
  /** Where zones are hidden, where each marker was at last: its middle; null: it was put there by name. */
  readonly marks: readonly (readonly [item: number, at: readonly [x: number, y: number] | null, MarkOutcome])[];
}

/** The shape of digests: those of another were worked out by an earlier program, and are worked out again. */
export const DIGEST_VERSION = 2;

const MAX_DROPS = 400;
/** Of a text that was typed, as much is kept. */
const MAX_TYPED = 200;

/**
 * Goes through the moves of one question once more. What cannot be taken (it was made in another edition) is passed
 * over.
 */
export function digestOf(model: QuestionModel, moves: readonly Made[]): Digest {
  let now: Standing = untouched(model);
  let turnedAway = 0;
  /** Something was moved by hand since it was judged last. */
  let movedSince = true;
  let firstJudged: Board | null = null;
  let before = moves[0]?.at ?? 0;
  const firsts = new Map<Copy, Place>();
  /** Where copies were that a wrong answer sent home, until they are moved again. */
  const sentFrom = new Map<Copy, number>();
  const went = new Map<number, Place[]>();
  const drops: [number, number, number][] = [];
  const paces: number[] = [];
  for (const { move, at } of moves) {
    const { goingHome } = now;
    const from = goingHome.map((copy) => [copy, now.board.zoneOf.get(copy)] as const);
    const tries = now.tries.count;
    const taken = applyMove(model, now, move);
    if (!taken.ok) continue;
    now = taken.standing;
    if (move.kind !== 'hint') for (const [copy, zone] of from) if (zone !== undefined) sentFrom.set(copy, zone);
    const isJudged = now.tries.count > tries;
    if (isJudged) firstJudged ??= now.tries.last?.board ?? null;
    movedSince = move.kind === 'hint' ? movedSince : !isJudged;
    if (move.kind === 'reset') sentFrom.clear();
    if (move.kind !== 'drop' && move.kind !== 'put') continue;
    if (paces.length < MAX_DROPS) paces.push(Math.max(0, Math.round((at - before) / 100)));
    before = at;
    if (isTyped(move)) continue;
    const item = model.itemAt.get(move.item) as number;
    const copy = copyOf(item, move.copy ?? 0);
    sentFrom.delete(copy);
    const { outcome } = taken;
    if (outcome?.to === 'turnedAway') turnedAway++;
    const zone = outcome?.to === 'zone' || outcome?.to === 'turnedAway' ? outcome.zone : NOWHERE;
    if (!firsts.has(copy)) firsts.set(copy, zone);
    if (zone !== NOWHERE) {
      const zones = went.get(item) ?? [];
      if (zones.at(-1) !== zone) went.set(item, [...zones, zone]);
    }
    if (move.kind === 'drop' && 'x' in move && drops.length < MAX_DROPS) {
      const { w, h } = model.question.items[item]?.size ?? { w: 0, h: 0 };
      drops.push([item, Math.round(move.x + w / 2), Math.round(move.y + h / 2)]);
    }
  }
  // Typed answers are where they were read to be.
  for (const copy of now.board.zoneOf.keys())
    if (!firsts.has(copy)) firsts.set(copy, now.board.zoneOf.get(copy) ?? NOWHERE);
  const last = movedSince ? now.board : (now.tries.last?.board ?? now.board);
  return {
    tries: now.tries.count,
    turnedAway,
    seconds: Math.round(
      ((moves.findLast(({ move }) => move.kind !== 'check')?.at ?? moves[0]?.at ?? 0) - (moves[0]?.at ?? 0)) / 1000,
    ),
    put: [...firsts].map(
      ([copy, first]) => [copy, first, last.zoneOf.get(copy) ?? sentFrom.get(copy) ?? NOWHERE] as const,
    ),
    drops,
    paces,
    went: [...went].filter(([, zones]) => zones.length > 1),
    orders: model.entries.flatMap(({ sequence, zone }) => {
      const held = (board: Board) => (board.zones[zone] ?? []).map(itemOf);
      return sequence ? [[zone, held(firstJudged ?? last), held(last)] as const] : [];
    }),
    typed: [...last.texts].flatMap(([zone, text]) =>
      (last.zones[zone] ?? []).map((copy) => [zone, text.trim().slice(0, MAX_TYPED), itemOf(copy)] as const),
    ),
    marks: model.hides ? marksOn(model, last, Math.max(1, now.tries.count)) : [],
  };
}

function marksOn(model: QuestionModel, board: Board, number: number): Digest['marks'] {
  const { verdicts } = judgedAt(model, board, number);
  return [...new Set([...board.zoneOf.keys(), ...board.letGo.keys()])].map((copy) => {
    const item = itemOf(copy);
    const { w, h } = model.question.items[item]?.size ?? { w: 0, h: 0 };
    const at = board.letGo.get(copy);
    const zone = board.zoneOf.get(copy) ?? NOWHERE;
    const marked = verdicts.get(copy) === 'right' ? 'hit' : isKeyed(model, zone, item) ? 'double' : 'miss';
    return [item, at ? [Math.round(at.x + w / 2), Math.round(at.y + h / 2)] : null, marked] as const;
  });
}

/** An item a learner took through the zones until it was right: where it went. */
export interface ExhaustedItem {
  readonly item: number;
  readonly zones: readonly Place[];
}

/**
 * The items that were tried in zone after zone until they fitted: one that is right at last and had been in at least
 * two wrong zones before, and in all of the wrong ones where there are no more than three.
 */
export function exhaustedItems(model: QuestionModel, { went, put }: Digest): ExhaustedItem[] {
  const isRight = (item: number, zone: Place) => isKeyed(model, zone, item);
  const lasts = new Map(put.map(([copy, , last]) => [itemOf(copy), last]));
  const wrongZones = (item: number) =>
    model.zones.flatMap((_, zone) => (model.entryOf[zone] && !isRight(item, zone) ? [zone] : []));
  return went.flatMap(([item, zones]) => {
    const last = lasts.get(item) ?? NOWHERE;
    if (last === NOWHERE || !isRight(item, last)) return [];
    const wrong = new Set(zones.filter((zone) => !isRight(item, zone)));
    const all = wrongZones(item).length;
    return wrong.size >= 2 && wrong.size >= Math.min(all, 3) ? [{ item, zones }] : [];
  });
}

/** By the rule: at least two items were swept, and at least half of all that were right at last. */
export function usedTrialAndError(model: QuestionModel, digest: Digest): readonly ExhaustedItem[] | null {
  const swept = exhaustedItems(model, digest);
  const right = new Set(
    digest.put.flatMap(([copy, , last]) => (isKeyed(model, last, itemOf(copy)) ? [itemOf(copy)] : [])),
  );
  return swept.length >= 2 && swept.length * 2 >= right.size ? swept : null;
}
