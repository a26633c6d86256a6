import type { FrameworkView, OutcomeRow, Wire } from '../../../contract';
import { depthsOf } from '../../../core';

export type Framework = Wire<FrameworkView>;
export interface TreeRow extends OutcomeRow {
  /** 0 at the top. */
  readonly depth: number;
}

/** So many outcomes are drawn at once: a search finds the others. */
export const MAX_SHOWN = 400;

/** The outcomes with these words in code or words, with those they stand under; none: all. */
export function rowsOf({ outcomes }: Pick<Framework, 'outcomes'>, search: string): TreeRow[] {
  const depths = depthsOf(outcomes);
  const byId = new Map(outcomes.map((row) => [row.id, row]));
  const wanted = search.trim().toLowerCase();
  const found = new Set<string>();
  for (const { id, code, words } of outcomes) {
    if (wanted !== '' && !`${code} ${words}`.toLowerCase().includes(wanted)) continue;
    for (let at = byId.get(id); at && !found.has(at.id); at = byId.get(at.parentId ?? '')) found.add(at.id);
  }
  return outcomes.flatMap((row) => (found.has(row.id) ? [{ ...row, depth: depths.get(row.id) ?? 0 }] : []));
}

/** An outcome as people call it. */
export const nameOf = ({ code, words }: Pick<OutcomeRow, 'code' | 'words'>): string =>
  code === '' ? words : `${code} ${words}`;
