// A teacher's first page each day, and what is found in everything.
import { object } from 'yup';
import { words } from './fields';
import { json, type Operation } from './operation';

interface OfRelease {
  releaseId: string;
  title: string;
  course: string;
}

/** What is due or closes within seven days. */
export interface DueRow extends OfRelease {
  at: Date;
  /** It closes then; else it is due. */
  closes: boolean;
  /** How many it is assigned to, have finished it, and have begun it. */
  learners: number;
  finished: number;
  begun: number;
}

/** Attempts that ended since the teacher looked. */
export interface EndedRow extends OfRelease {
  ended: number;
  fullMarks: number;
}

/** An attempt in which nothing has moved for a while. */
export interface StuckRow extends OfRelease {
  sittingId: string;
  name: string;
  /** The place of the question in the attempt, from 1. */
  place: number;
  since: Date;
}

/** An attempt in which everything was tried, by the rule of the results. */
export interface TriedRow extends OfRelease {
  sittingId: string;
  name: string;
  question: string;
}

/** A question of the teacher's with errors that was opened last. */
export interface DraftRow {
  id: string;
  title: string;
  errors: number;
  changedAt: Date;
}

export interface TodayView {
  /** When it was looked up. */
  at: Date;
  /** Since when there may be news. */
  since: Date;
  due: DueRow[];
  ended: EndedRow[];
  stuck: StuckRow[];
  tried: TriedRow[];
  drafts: DraftRow[];
  /** The teacher has no question yet. */
  isNew: boolean;
}

export const FOUND_KINDS = ['question', 'set', 'course', 'release', 'learner'] as const;
export type FoundKind = (typeof FOUND_KINDS)[number];

export interface Found {
  kind: FoundKind;
  id: string;
  title: string;
  /** The course of a release or a learner; null: none. */
  course: { id: string; title: string } | null;
}

export const everything = object({ words: words(200).default('') });

export const todayOperations = {
  'GET /api/today': { who: 'teacher', does: 'What asks for the teacher today.', answer: json<TodayView>() },
  'PUT /api/today': {
    who: 'teacher',
    does: 'Notes that the teacher has looked: what came until now is no news any more.',
    answer: json<{ since: Date }>(),
  },
  'GET /api/search': {
    who: 'teacher',
    does: 'Finds words in everything of the teacher’s: questions, sets, courses, releases and learners, best first.',
    query: everything,
    answer: json<Found[]>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
