import type { Marks } from '../../../core';

/** What counts as right in an order, in words. */
export const ORDERS: readonly [Marks['sequenceRule'], string][] = [
  ['exactPosition', 'in its exact place'],
  ['adjacentPairs', 'neighbours in order'],
  ['longestRun', 'longest part in order'],
  ['pairsInOrder', 'pairs in order'],
  ['allOrNothing', 'all or nothing'],
];
