import {
  allIn,
  type Board,
  cloneBoard,
  copyOf,
  idOf,
  itemOf,
  type ModelPlacement,
  numberOf,
  type QuestionModel,
  random,
  settle,
  typicalAnswers,
} from '../../../core';
import type { LocalMove } from '../../player/types';
import type { LocalSitting } from '../../shared/localSitting';

/** The answers a rehearsal can be filled with at a press. */
export type Fill = 'allRight' | 'allButOne' | 'allInOneZone' | 'random';
export const FILLS: readonly (readonly [Fill, string])[] = [
  ['allRight', 'All right'],
  ['allButOne', 'All but one'],
  ['allInOneZone', 'All in one zone'],
  ['random', 'A random guess'],
];
export const needsModelAnswer = (fill: Fill) => fill === 'allRight' || fill === 'allButOne';

const MAX_COPIES = 60;

/** Each copy at random: in a zone that its family and capacity allow, or at home. */
function guessed(model: QuestionModel, seed: number): Board {
  const next = random(seed);
  const board = cloneBoard(model.start);
  for (const [item, { copies, family }] of model.items.entries())
    for (let number = 0; number < Math.min(copies, MAX_COPIES); number++) {
      const copy = copyOf(item, number);
      if (board.zoneOf.has(copy)) continue;
      const places = model.zones.flatMap((zone, i) =>
        (zone.family === null || zone.family === family) && (board.zones[i]?.length ?? 0) < zone.capacity ? [i] : [],
      );
      const zone = places[Math.floor(next() * (places.length + 1))];
      if (zone !== undefined) settle(board, copy, zone, board.zones[zone]?.length ?? 0);
    }
  return board;
}

function boardFor(
  model: QuestionModel,
  fill: Fill,
  full: readonly ModelPlacement[] | null,
  seed: number,
): Board | null {
  if (fill === 'random') return guessed(model, seed);
  const typical = typicalAnswers(model, full).find((typicalAnswer) => typicalAnswer.typical === fill);
  if (typical) return typical.board;
  const first = model.zones[0];
  return fill === 'allInOneZone' && first ? allIn(model, first.id) : null;
}

/** The moves from the start to the answer, as a learner would make them. */
export function movesFor(
  { model, names }: LocalSitting,
  fill: Fill,
  full: readonly ModelPlacement[] | null,
  seed: number,
): LocalMove[] {
  const board = boardFor(model, fill, full, seed);
  if (!board) return [];
  const puts = board.zones.flatMap((held, zone) =>
    held.flatMap((copy): LocalMove[] => {
      const item = names.item.get(idOf(model, copy));
      const into = names.zone.get(model.zones[zone]?.id ?? '');
      return item !== undefined && into !== undefined && itemOf(copy) < model.items.length
        ? [{ kind: 'put', item, copy: numberOf(copy), zone: into }]
        : [];
    }),
  );
  return [{ kind: 'reset' }, ...puts];
}
