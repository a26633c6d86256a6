import type { Kind } from '../../core';

export const FINDINGS = ['error', 'warning', 'none'] as const;
export const USES = ['used', 'unused', 'start'] as const;
export const SORTS = ['changed', 'title'] as const;

/** What is looked for in the Vault. Left out: everything. */
export interface Sought {
  /** A shelf's id; `none`: on no shelf; `bin`: what was deleted. */
  readonly shelf?: string | undefined;
  readonly words?: string | undefined;
  readonly kind?: Kind | undefined;
  readonly findings?: (typeof FINDINGS)[number] | undefined;
  /** In a set or a release of anybody's, in none, or as a starting point for others. */
  readonly use?: (typeof USES)[number] | undefined;
  readonly tag?: string | undefined;
  readonly sort?: (typeof SORTS)[number] | undefined;
  readonly from?: number | undefined;
}
