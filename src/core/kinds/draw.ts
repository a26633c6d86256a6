import { random, seedOf, shuffled } from '../random/random';

/** So many lines of a list, drawn by a seed: the same again for the same seed. They keep the list's order. */
export function drawnFrom<Row>(rows: readonly Row[], n: number, seed: string): Row[] {
  const chosen = shuffled(rows.length, random(seedOf(seed))).slice(0, Math.max(0, n));
  return chosen.sort((a, b) => a - b).map((i) => rows[i] as Row);
}
