import type { Marks } from '../../document/schema';
import { longestCommon } from './longestCommon';

/**
 * The share of a sequence that is right, 0 to 1: `key` the right order (n ≥ 1 items), `placed` the zone's order with
 * wrong ones in place.
 */
type SequenceRule = (key: readonly number[], placed: readonly number[]) => number;

const exactPosition: SequenceRule = (key, placed) => key.filter((item, i) => placed[i] === item).length / key.length;

/** Consecutive pairs of the key that stand consecutively in the answer. */
const adjacentPairs: SequenceRule = (key, placed) => {
  if (key.length === 1) return exactPosition(key, placed);
  let pairs = 0;
  for (let i = 1; i < key.length; i++) {
    const first = placed.indexOf(key[i - 1] as number);
    if (first >= 0 && placed[first + 1] === key[i]) pairs++;
  }
  return pairs / (key.length - 1);
};

const longestRun: SequenceRule = (key, placed) => longestCommon(placed, key).size / key.length;

/** Pairs of the key that both stand in the answer, in the right order (Kendall's concordant pairs). */
const pairsInOrder: SequenceRule = (key, placed) => {
  const n = key.length;
  if (n === 1) return exactPosition(key, placed);
  const places = key.map((item) => placed.indexOf(item));
  let pairs = 0;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      if ((places[i] as number) >= 0 && (places[j] as number) > (places[i] as number)) pairs++;
  return pairs / ((n * (n - 1)) / 2);
};

const allOrNothing: SequenceRule = (key, placed) =>
  placed.length === key.length && exactPosition(key, placed) === 1 ? 1 : 0;

export const sequenceRules: { readonly [Rule in Marks['sequenceRule']]: SequenceRule } = {
  exactPosition,
  adjacentPairs,
  longestRun,
  pairsInOrder,
  allOrNothing,
};
