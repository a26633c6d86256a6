import type { Copy } from '../judge/copy';
import { copyOf, isKeyed, itemOf, type QuestionModel } from '../judge/model';
import { isTyped } from '../judge/placement';
import { applyMove, type Move, type Standing, untouched } from '../judge/replay';

/** A move as it was made, with when: milliseconds since 1970. */
export interface Made {
  readonly move: Move;
  readonly at: number;
}

/** A zone by its index, or {@link NOWHERE}. */
export type Place = number;
export const NOWHERE: Place = -1;

/**
 * What one learner did with one question, worked out once from the moves and small enough to be kept. Items and zones
 * by their indexes.
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
  /**
   * For each item that was tried in more than one zone: the zones in their order, those that turned it away among them.
   */
  readonly went: readonly (readonly [item: number, zones: readonly Place[]])[];
}

const MAX_DROPS = 400;

/**
 * Goes through the moves of one question once more. What cannot be taken (it was made in another edition) is passed
 * over.
 */
export function digestOf(model: QuestionModel, moves: readonly Made[]): Digest {
  let now: Standing = untouched(model);
  let turnedAway = 0;
  const firsts = new Map<Copy, Place>();
  const went = new Map<number, Place[]>();
  const drops: [number, number, number][] = [];
  for (const { move } of moves) {
    const taken = applyMove(model, now, move);
    if (!taken.ok) continue;
    now = taken.standing;
    if ((move.kind !== 'drop' && move.kind !== 'put') || isTyped(move)) continue;
    const item = model.itemAt.get(move.item) as number;
    const copy = copyOf(item, move.copy ?? 0);
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
  return {
    tries: now.tries.count,
    turnedAway,
    seconds: Math.round(
      ((moves.findLast(({ move }) => move.kind !== 'check')?.at ?? moves[0]?.at ?? 0) - (moves[0]?.at ?? 0)) / 1000,
    ),
    put: [...firsts].map(([copy, first]) => [copy, first, now.board.zoneOf.get(copy) ?? NOWHERE] as const),
    drops,
    went: [...went].filter(([, zones]) => zones.length > 1),
  };
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
