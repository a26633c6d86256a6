// The same question in other releases, groups against one another, and first against last attempts.
import type { Figure } from '../core';
import { json, type Operation } from './operation';

/** A question in one release. */
export interface ComparedRelease {
  readonly id: string;
  readonly title: string;
  readonly course: string;
  readonly createdAt: Date;
  readonly edition: number;
  /** False: its figures are being worked out anew. */
  readonly isCurrent: boolean;
  /** True: word for word as in the release that is looked at, key and all. */
  readonly same: boolean;
  readonly asked: number;
  readonly full: number;
  readonly facility: Figure | null;
  readonly discrimination: Figure | null;
  /** How much its facility is above that in the release that is looked at, of which it is null. */
  readonly difference: Figure | null;
}

/** A question wherever the teacher has released it: first the release that is looked at, then the newest on. */
export interface ComparedQuestion {
  readonly title: string;
  readonly struck: boolean;
  readonly releases: readonly ComparedRelease[];
}

/** A group's first attempts. */
export interface ComparedGroup {
  readonly id: string;
  readonly title: string;
  /** Of the group, who answered. Of all others of the release, who did. */
  readonly learners: number;
  readonly others: number;
  readonly mean: number | null;
  /** How much its mean share of the points is above that of all others. */
  readonly difference: Figure | null;
  /** By question: the mean share of its marks, and of how many; null: none was asked it. */
  readonly questions: readonly ({ readonly learners: number; readonly facility: number } | null)[];
}

/** First and last attempts of the same learners. */
export interface ComparedAttempts {
  /** Who had more than one. */
  readonly learners: number;
  readonly first: number;
  readonly last: number;
  /** How much the last is above the first on average. */
  readonly difference: Figure | null;
}

export interface ComparisonView {
  readonly release: { id: string; title: string; course: string; courseId: string; edition: number };
  /** False: the figures of this release, or of another shown, are being worked out. */
  readonly isCurrent: boolean;
  /** Null: the figures of this release have not been worked out yet. */
  readonly questions: readonly ComparedQuestion[] | null;
  /** How many more releases have one of the questions than are shown. */
  readonly more: number;
  readonly groups: readonly ComparedGroup[];
  /** Null: nobody has had more than one. By question only those who were asked it in both. */
  readonly attempts: (ComparedAttempts & { readonly questions: readonly (ComparedAttempts | null)[] }) | null;
}

export const comparisonOperations = {
  'GET /api/releases/{id}/comparison': {
    who: 'teacher',
    does: 'Its questions in other releases, its groups against one another, first against last attempts.',
    answer: json<ComparisonView>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
