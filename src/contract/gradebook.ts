// Marks of a course.
import { boolean, number, object, string } from 'yup';
import type { CellState, LetterGrade } from '../core';
import { anyUuid, flag, isOneOf, one, words } from './fields';
import { file, json, type Operation } from './operation';
import type { Sending } from './platforms';
import { page } from './roster';
import { GRADE_FILTERS, GRADE_SORTS, type GradeFilter } from './vocabulary';

export interface GradeRelease {
  id: string;
  title: string;
  unitId: string | null;
  categoryId: string | null;
  dueAt: Date | null;
  closesAt: Date | null;
  outOf: number;
  /** Its marks go to a platform; `refused`: the platform takes none for it. Null: it is linked nowhere. */
  scores: 'sent' | 'refused' | null;
}

export interface GradeCell {
  /** Null: none. */
  points: number | null;
  outOf: number;
  /** `notFor`: not assigned to this learner. `running`: started, nothing finished. `excused`: it does not count. */
  state: CellState;
  late: boolean;
  /** The reason, if it was set by hand. */
  byHand: string | null;
  /** What a teacher has noted, for teachers; empty: nothing. */
  note: string;
  /** The attempt that counts, else the latest; null: there is none. */
  attempt: string | null;
  /** How many attempts the learner began. */
  attempts: number;
  /** How the mark's way to the course's platform stands; null: it has arrived, or none is sent. */
  sending: Sending;
}

export interface GradeRow {
  learnerId: string;
  name: string;
  username: string | null;
  /** The titles of their groups. */
  groups: string[];
  cells: GradeCell[];
  /** From 0 to 1; null: nothing counts yet. */
  whole: number | null;
  /** By the letter grades of the course; null: none. */
  letter: string | null;
}

export interface GradebookPage {
  /** By unit, in its order. */
  releases: GradeRelease[];
  units: { id: string; title: string }[];
  categories: { id: string; title: string; weight: number }[];
  groups: { id: string; title: string }[];
  letters: LetterGrade[];
  rows: GradeRow[];
  total: number;
  from: number;
}

/** The mean share of those who have a mark, from 0 to 1, and how many they are; null: nobody has. */
export interface GradeMean {
  mean: number | null;
  count: number;
}

export interface GradeMeans {
  overall: GradeMean;
  /** By release, in the order of the gradebook's columns. */
  releases: GradeMean[];
}

/** Whom a gradebook shows. `release` with `state`: those whose cell of this release is so. */
export interface GradesFiltered {
  readonly words?: string;
  readonly group?: string | undefined;
  readonly release?: string | undefined;
  readonly state?: GradeFilter | undefined;
}

/** `sort`: one of GRADE_SORTS, or the id of a release. Those without a mark come last in either order. */
export interface GradesSought extends GradesFiltered {
  readonly from?: number;
  readonly sort?: string;
  readonly descending?: boolean;
}

/** `above`: the mark may exceed the maximum. */
export interface HandMark {
  readonly points: number;
  readonly reason: string;
  readonly above?: boolean | undefined;
}

export interface GradeRemark {
  readonly learnerId: string;
  readonly excused: boolean;
  readonly note: string;
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

const MAX_NOTE = 1000;

/** What a teacher says of a learner's mark of a release: both at once. */
export const gradeRemark = object({
  learnerId: string().min(1).max(100).required(),
  excused: boolean().required(),
  note: string().max(MAX_NOTE, 'At most 1000 characters').defined(),
});

const filtered = {
  group: anyUuid().optional(),
  release: anyUuid().optional(),
  state: one(GRADE_FILTERS).optional(),
};

/** A page of the gradebook. */
export const grades = page.shape({
  ...filtered,
  sort: string()
    .test(
      'sort',
      `has to be one of ${GRADE_SORTS.join(', ')}, or the id of a release`,
      (sort) => sort === undefined || isOneOf(GRADE_SORTS, sort) || anyUuid().isValidSync(sort),
    )
    .default('name'),
  descending: flag(),
});

export const gradeMeans = object({ words: words(200).default(''), ...filtered });

export const gradebookFile = object({ bom: flag() });

export const gradebookOperations = {
  'GET /courses/{id}/gradebook.csv': {
    who: 'teacher',
    does: 'The gradebook as CSV; `bom`: it begins with a byte order mark, for programs that ask for one.',
    query: gradebookFile,
    answer: file('text/csv'),
  },
  'GET /api/courses/{id}/gradebook': {
    who: 'teacher',
    does: 'A page of the gradebook: learners by releases that count.',
    query: grades,
    answer: json<GradebookPage>(),
  },
  'GET /api/courses/{id}/gradebook/means': {
    who: 'teacher',
    does: 'The mean marks of those whom a gradebook shows.',
    query: gradeMeans,
    answer: json<GradeMeans>(),
  },
  'PUT /api/releases/{id}/marks': {
    who: 'teacher',
    does: 'Sets a learner’s mark by hand, or back to what the attempts came to, and answers with their row.',
    body: handMark,
    answer: json<GradeRow>(),
  },
  'PUT /api/releases/{id}/remarks': {
    who: 'teacher',
    does: 'Excuses a learner from a release, or no longer, notes something for teachers, and answers with their row.',
    body: gradeRemark,
    answer: json<GradeRow>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
