import { longestCommon } from '../marks/sequence/longestCommon';
import { type Board, bySettling } from './board';
import { type Copy, itemOf, type QuestionModel } from './model';
import type { EitherTally, Tally } from './tally';

export type Verdict = 'right' | 'wrong' | 'none';

/** The verdict of each copy that rests in a zone with a key entry; all other copies have none. */
export function verdicts(
  model: QuestionModel,
  board: Board,
  { tallies, either }: { readonly tallies: readonly Tally[]; readonly either: readonly EitherTally[] },
): Map<Copy, Verdict> {
  const all = new Map<Copy, Verdict>();
  for (const tally of tallies) for (const [copy, verdict] of zoneVerdicts(model, board, tally)) all.set(copy, verdict);
  for (const tally of either) for (const [copy, verdict] of eitherVerdicts(board, tally)) all.set(copy, verdict);
  return all;
}

function zoneVerdicts(model: QuestionModel, board: Board, { entry, satisfied, surplus }: Tally): [Copy, Verdict][] {
  const held = board.zones[entry.zone] as Copy[];
  if (entry.sequence) return sequenceVerdicts(model, held, entry.order);
  const belonging = bySettling(board, entry.zone).filter((copy) => entry.belongs.has(itemOf(copy)));
  const tooMany = new Set(belonging.slice(belonging.length - surplus));
  return held
    .filter((copy) => !entry.apart.has(itemOf(copy)))
    .map((copy) => {
      if (!entry.belongs.has(itemOf(copy)) || tooMany.has(copy)) return [copy, 'wrong'];
      return [copy, entry.sum && !satisfied ? 'none' : 'right'];
    });
}

/** Of a surplus the latest settled, in whichever of its zones, are wrong. */
function eitherVerdicts(board: Board, { entry, surplus }: EitherTally): [Copy, Verdict][] {
  const when = (copy: Copy) => board.settledAt.get(copy) ?? 0;
  const held = entry.zones
    .flatMap((zone) => board.zones[zone] ?? [])
    .filter((copy) => entry.belongs.has(itemOf(copy)))
    .sort((a, b) => when(a) - when(b));
  return held.map((copy, i) => [copy, i < held.length - surplus ? 'right' : 'wrong']);
}

function sequenceVerdicts(model: QuestionModel, held: readonly Copy[], order: readonly number[]): [Copy, Verdict][] {
  const items = held.map(itemOf);
  if (model.question.marks.sequenceRule === 'exactPosition')
    return held.map((copy, i) => [copy, items[i] === order[i] ? 'right' : 'wrong']);
  const kept = longestCommon(items, order);
  return held.map((copy, i) => [copy, kept.has(i) ? 'right' : 'wrong']);
}
