// A release while it is being answered, for its teachers.
import { object } from 'yup';
import { words } from './fields';
import { file, json, type Operation } from './operation';

/** An attempt as it stands, or a learner who has not begun. Questions by their index in the release. */
export interface LiveLearner {
  learnerId: string;
  name: string;
  /** Null: they have not begun. */
  sittingId: string | null;
  /** Which of their attempts it is, from 1. */
  number: number;
  /** The question of their last move, and its place in their attempt, from 1; null: none yet. */
  question: number | null;
  place: number | null;
  /** In that question. `of`: how many there are to place; null: that cannot be said. */
  tries: number;
  placed: number;
  of: number | null;
  /** Times as JSON has them. */
  startedAt: string | null;
  movedAt: string | null;
  finishedAt: string | null;
}

export interface LiveQuestion {
  title: string;
  items: readonly string[];
  zones: readonly string[];
  /** By item and zone: it belongs there. */
  keyed: readonly (readonly boolean[])[];
}

/** By item, by zone: how many attempts have it there now. */
export type LiveCounts = readonly (readonly number[])[];

/** What has changed. Learners by row: each is whole. Counts by the index of their question. */
export interface LiveChange {
  readonly learners: readonly LiveLearner[];
  readonly counts: Readonly<Record<number, LiveCounts>>;
}

export interface LiveView extends LiveChange {
  readonly release: {
    readonly id: string;
    readonly title: string;
    readonly course: string;
    readonly courseId: string;
    readonly minutes: number | null;
    readonly closesAt: string | null;
  };
  readonly questions: readonly LiveQuestion[];
  /** The id of the last event in it. */
  readonly last: string;
  /** The server's clock. */
  readonly now: string;
}

export const liveAfter = object({ after: words(100).nullable().default(null) });

export const liveOperations = {
  'GET /api/releases/{id}/live': {
    who: 'teacher',
    does: 'How a release is being answered now, learner by learner.',
    answer: json<LiveView>(),
  },
  'GET /api/releases/{id}/live/events': {
    who: 'teacher',
    does: 'Its changes as server-sent events, after the event that Last-Event-ID or `after` names.',
    query: liveAfter,
    answer: file('text/event-stream'),
  },
} as const satisfies Readonly<Record<string, Operation>>;
