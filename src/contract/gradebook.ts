// Marks of a course.
import { boolean, number, object, string } from 'yup';
import type { CellState } from '../core';
import { one } from './fields';
import { file, json, type Operation } from './operation';
import { page } from './roster';
import { GRADE_SORTS, type GradeSort } from './vocabulary';

export interface GradeRelease {
  id: string;
  title: string;
  categoryId: string | null;
  dueAt: Date | null;
  closesAt: Date | null;
  outOf: number;
}

export interface GradeCell {
  /** Null: none. */
  points: number | null;
  outOf: number;
  /** `notFor`: not assigned to this learner. `running`: started, nothing finished. */
  state: CellState;
  late: boolean;
  /** The reason, if it was set by hand. */
  byHand: string | null;
}

export interface GradeRow {
  learnerId: string;
  name: string;
  username: string | null;
  cells: GradeCell[];
  /** From 0 to 1; null: nothing counts yet. */
  whole: number | null;
}

export interface GradebookPage {
  releases: GradeRelease[];
  categories: { id: string; title: string; weight: number }[];
  rows: GradeRow[];
  total: number;
  from: number;
}

export interface GradesSought {
  readonly words?: string;
  readonly from?: number;
  readonly sort?: GradeSort;
}

/** `above`: the mark may exceed the maximum. */
export interface HandMark {
  readonly points: number;
  readonly reason: string;
  readonly above?: boolean | undefined;
}

export const markByHand = object({
  points: number()
    .typeError('Type a number')
    .required('Type the points')
    .min(0, 'No less than 0')
    .max(100_000, 'Too many'),
  reason: string().trim().required('Say why').max(500, 'At most 500 characters'),
  above: boolean().default(false),
});

export const handMark = object({
  learnerId: string().min(1).max(100).required(),
  mark: markByHand.nullable().default(null),
});

/** A page of the gradebook. */
export const grades = page.shape({ sort: one(GRADE_SORTS).default('name') });

export const gradebookOperations = {
  'GET /courses/{id}/gradebook.csv': { who: 'teacher', does: 'The gradebook as CSV.', answer: file('text/csv') },
  'GET /api/courses/{id}/gradebook': {
    who: 'teacher',
    does: 'A page of the gradebook: learners by releases that count.',
    query: grades,
    answer: json<GradebookPage>(),
  },
  'PUT /api/releases/{id}/marks': {
    who: 'teacher',
    does: 'Sets a learner’s mark by hand, or back to what the sittings came to.',
    body: handMark,
    answer: json<null>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
