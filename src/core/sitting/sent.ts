import { type Copy, copyOf, type QuestionModel } from '../judge/model';
import { applyMove, type Move, type MoveResult, type Standing } from '../judge/replay';
import type { Names } from './learnerEdition';

/** A move as a learner's browser sends it: with drawn names, and an id made by the browser. */
export type SentMove =
  | {
      readonly id: string;
      readonly kind: 'drop';
      readonly item: string;
      readonly copy: number;
      readonly x: number;
      readonly y: number;
      readonly px: number;
      readonly py: number;
      readonly at?: number | undefined;
    }
  | {
      readonly id: string;
      readonly kind: 'put';
      readonly item: string;
      readonly copy: number;
      readonly zone: string | null;
      readonly at?: number | undefined;
    }
  | { readonly id: string; readonly kind: 'put'; readonly zone: string; readonly text: string }
  | { readonly id: string; readonly kind: 'reset' }
  | { readonly id: string; readonly kind: 'check' }
  | { readonly id: string; readonly kind: 'hint' };

/** The move with the document's own ids; else the field whose drawn name is unknown in this attempt. */
export function inOwnNames(sent: SentMove, names: Names): Move | 'item' | 'zone' {
  if (sent.kind === 'reset' || sent.kind === 'check' || sent.kind === 'hint') return { kind: sent.kind };
  if ('text' in sent) {
    const zone = names.zoneId.get(sent.zone);
    return zone === undefined ? 'zone' : { kind: 'put', zone, text: sent.text };
  }
  const item = names.itemId.get(sent.item);
  if (item === undefined) return 'item';
  if (sent.kind === 'drop') {
    const { id: _, ...rest } = sent;
    return { ...rest, item };
  }
  const zone = sent.zone === null ? null : names.zoneId.get(sent.zone);
  if (zone === undefined) return 'zone';
  const { id: _, ...rest } = sent;
  return { ...rest, item, zone };
}

/** The result of a batch of moves. */
export type BatchResult =
  | {
      readonly ok: true;
      readonly standing: Standing;
      /** The applied moves in order, to be stored. */
      readonly taken: readonly { readonly id: string; readonly move: Move }[];
      readonly turnedAway: readonly TurnedAway[];
      /**
       * The number of skipped moves: an earlier move was judged differently than the browser could know, or ended the
       * question.
       */
      readonly passedOver: number;
    }
  | { readonly ok: false; readonly reason: 'ended' }
  | { readonly ok: false; readonly reason: 'malformed'; readonly path: string };

export interface TurnedAway {
  readonly copy: Copy;
  readonly zone: number;
  readonly why: 'notWelcome' | 'full';
}

/**
 * Applies moves in order. An unknown name or copy refuses them all; a move that cannot be applied in the present state
 * is skipped. `standing` is changed in place.
 */
export function applyBatch(
  model: QuestionModel,
  names: Names,
  standing: Standing,
  sent: readonly SentMove[],
): BatchResult {
  if (standing.ended) return { ok: false, reason: 'ended' };
  let now = standing;
  const taken: { id: string; move: Move }[] = [];
  const turnedAway: TurnedAway[] = [];
  for (const [i, sentMove] of sent.entries()) {
    const move = inOwnNames(sentMove, names);
    if (typeof move === 'string') return { ok: false, reason: 'malformed', path: `[${i}].${move}` };
    if ('item' in move && 'copy' in move && !hasCopy(model, move.item, move.copy ?? 0))
      return { ok: false, reason: 'malformed', path: `[${i}].copy` };
    const result = applyOrAppend(model, now, move);
    if (!result.ok) continue;
    now = result.standing;
    taken.push({ id: sentMove.id, move: result.move });
    if (result.outcome?.to === 'turnedAway' && 'item' in move)
      turnedAway.push({
        copy: copyOf(model.itemAt.get(move.item) as number, move.copy ?? 0),
        zone: result.outcome.zone,
        why: result.outcome.why,
      });
  }
  return { ok: true, standing: now, taken, turnedAway, passedOver: sent.length - taken.length };
}

/** If the place in a zone's order does not exist any more, the item goes to the end. */
function applyOrAppend(model: QuestionModel, standing: Standing, move: Move): MoveResult & { readonly move: Move } {
  const result = applyMove(model, standing, move);
  if (result.ok || result.reason !== 'refused' || result.path !== 'at') return { ...result, move };
  const last = { ...move, at: undefined };
  return { ...applyMove(model, standing, last), move: last };
}

const hasCopy = (model: QuestionModel, item: string, copy: number) =>
  copy < (model.items[model.itemAt.get(item) as number]?.copies ?? 0);
