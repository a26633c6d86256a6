/**
 * Indices of `placed` that make its first longest common subsequence with `key` (both without repeats): of several, the
 * one whose indices in `placed` are smallest, compared from the left. Dynamic programming over suffixes (Wagner and
 * Fischer, 1974).
 */
export function longestCommon(placed: readonly number[], key: readonly number[]): Set<number> {
  const at = (table: number[][], i: number, j: number) => (table[i] as number[])[j] as number;
  const longest = Array.from({ length: placed.length + 1 }, () => new Array<number>(key.length + 1).fill(0));
  for (let i = placed.length - 1; i >= 0; i--)
    for (let j = key.length - 1; j >= 0; j--)
      (longest[i] as number[])[j] =
        placed[i] === key[j] ? 1 + at(longest, i + 1, j + 1) : Math.max(at(longest, i + 1, j), at(longest, i, j + 1));

  const kept = new Set<number>();
  let from = 0;
  for (let i = 0; i < placed.length; i++) {
    const j = key.indexOf(placed[i] as number, from);
    if (j >= 0 && 1 + at(longest, i + 1, j + 1) === at(longest, i, from)) {
      kept.add(i);
      from = j + 1;
    }
  }
  return kept;
}
