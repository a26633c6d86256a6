// Releases and their settings.
import { array, boolean, number, object, string } from 'yup';
import { FEEDBACK_LEVELS, type FeedbackLevel } from '../core';
import { aWord, ids, moment, name, revision, uuid } from './fields';
import { MAX_MINUTES, MAX_SITTINGS } from './limits';
import { json, type Operation } from './operation';
import type { Corrected } from './sittings';
import { COUNTS, type Counts, FEEDBACK_TIMES, type FeedbackTime, type JobState } from './vocabulary';

/** The learners and groups of a release that is not for the whole course. */
export interface ReleaseAudience {
  readonly groups: readonly string[];
  readonly learners: readonly string[];
}

/** The settings of a release. */
export interface ReleaseSettings {
  readonly title?: string | undefined;
  readonly unitId: string | null;
  readonly opensAt: Date | null;
  readonly dueAt: Date | null;
  readonly closesAt: Date | null;
  readonly minutes: number | null;
  readonly sittings: number | null;
  readonly counts: Counts;
  readonly practice: boolean;
  readonly categoryId: string | null;
  /** The share of the points that passes, in per cent; null: nothing is said of passing. */
  readonly passMark: number | null;
  readonly feedbackLevel: FeedbackLevel;
  /** `atOnce` is fixed when it is published. */
  readonly feedbackTime: FeedbackTime;
  /** Null: the whole course. */
  readonly audience: ReleaseAudience | null;
}

/** The settings that a course's new releases begin with. */
export type ReleaseDefaults = Partial<
  Pick<ReleaseSettings, 'minutes' | 'sittings' | 'counts' | 'practice' | 'feedbackLevel' | 'feedbackTime'>
>;

export interface AllowanceRow {
  learnerId: string;
  name: string;
  moreMinutes: number;
  moreSittings: number;
  dueAt: Date | null;
  closesAt: Date | null;
}

export interface SettingsView {
  settings: ReleaseSettings & { title: string };
  courseId: string;
  /** Null: it is not withdrawn. */
  withdrawnAt: Date | null;
  /** The revision that a write of the settings has to name. */
  revision: number;
  allowances: AllowanceRow[];
}

export interface Allowed {
  readonly moreMinutes: number;
  readonly moreSittings: number;
  readonly dueAt: Date | null;
  readonly closesAt: Date | null;
}

export interface LearnerRelease {
  id: string;
  title: string;
  course: string;
  courseId: string;
  /** The unit it stands in; null: none. */
  unit: string | null;
  createdAt: Date;
  opensAt: Date | null;
  dueAt: Date | null;
  closesAt: Date | null;
  minutes: number | null;
  practice: boolean;
  questions: number;
  /** The place, from 1, of the furthest question of an attempt that runs; null: none does. */
  at: number | null;
  /** What corrections did to the mark that counts; null: nothing, or marks are not shown. */
  corrected: Corrected | null;
  /** A teacher has excused the learner: it does not count. */
  excused: boolean;
  /** The mark of the attempt that counts. Null before the first check, and if the learner may not see the marks. */
  mark: number | null;
  max: number | null;
  /** `again`: finished, and another attempt may be started. */
  state: 'early' | 'waiting' | 'started' | 'finished' | 'again' | 'closed';
}

export interface JobView {
  id: string;
  state: JobState;
  done: number;
  total: number;
  /** The error; null: none. */
  problems: { path: string; message: string }[] | null;
}

const releaseSettings = {
  title: name(200).optional(),
  unitId: string().uuid().nullable().default(null),
  opensAt: moment(),
  dueAt: moment(),
  closesAt: moment(),
  minutes: number()
    .integer('A whole number')
    .min(1, 'At least one minute')
    .max(MAX_MINUTES, 'At most a week')
    .nullable()
    .default(null),
  sittings: number()
    .integer('A whole number')
    .min(1, 'At least one')
    .max(MAX_SITTINGS, `At most ${MAX_SITTINGS}`)
    .nullable()
    .defined(),
  counts: aWord(COUNTS),
  practice: boolean().required(),
  categoryId: string().uuid().nullable().default(null),
  passMark: number()
    .integer('A whole number')
    .min(1, 'At least 1 per cent')
    .max(100, 'At most 100 per cent')
    .nullable()
    .default(null),
  feedbackLevel: aWord(FEEDBACK_LEVELS),
  feedbackTime: aWord(FEEDBACK_TIMES),
  audience: object({ groups: ids(200), learners: ids(2000) })
    .nullable()
    .default(null),
};

/** The settings of a release, as they are sent. */
export const settingsContent = object(releaseSettings);

export const releaseChange = object({ ...releaseSettings, from: revision() });

export const allowed = object({
  learnerId: string().min(1).max(100).required(),
  allowed: object({
    moreMinutes: number().integer().min(0, 'No less than 0').max(MAX_MINUTES, 'At most a week').required(),
    moreSittings: number().integer().min(0, 'No less than 0').max(MAX_SITTINGS, `At most ${MAX_SITTINGS}`).required(),
    dueAt: moment(),
    closesAt: moment(),
  })
    .nullable()
    .default(null),
});

export const withdrawal = object({ withdrawn: boolean().required() });

/** Into which courses a release is copied; `id`: the copy's, made by the client, so that a repeated request makes one. */
export const releaseCopies = object({
  copies: array(object({ id: uuid(), courseId: uuid() }))
    .min(1, 'At least one course')
    .max(50, 'At most 50 courses')
    .required(),
});

/** What a course's new releases begin with. */
export const releaseDefaults = object({
  minutes: releaseSettings.minutes,
  sittings: releaseSettings.sittings,
  counts: releaseSettings.counts,
  practice: releaseSettings.practice,
  feedbackLevel: releaseSettings.feedbackLevel,
  feedbackTime: releaseSettings.feedbackTime,
});

/** Either a question at a revision, or a set. */
export const publication = object({
  id: uuid(),
  courseId: uuid(),
  questionId: uuid().notRequired(),
  revision: number().integer().min(0),
  setId: uuid().notRequired(),
  settings: object(releaseSettings).default(undefined),
}).test(
  'content',
  'has to name a question with its revision, or a set',
  (value) => (value.setId === undefined) === (value.questionId !== undefined && value.revision !== undefined),
);

/** The minutes left; null if there is no time limit. */
export const reopening = object({
  minutes: number()
    .integer('A whole number')
    .min(1, 'At least one minute')
    .max(MAX_MINUTES, 'At most a week')
    .nullable()
    .default(null),
});

export const releaseOperations = {
  'GET /api/releases': {
    who: 'learner',
    does: 'What is published for the learner, and how far they have come with it.',
    answer: json<LearnerRelease[]>(),
  },
  'POST /api/releases': {
    who: 'teacher',
    does: 'Publishes a question as it stood at a revision, or a set, to a course: at once, or (where model answers have to be found) as a job.',
    body: publication,
    maxBytes: 256 * 1024,
    answer: json<{ id: string; job: string | null }>(),
  },
  'GET /api/jobs/{id}': { who: 'teacher', does: 'How far a job of the teacher’s has come.', answer: json<JobView>() },
  'GET /api/releases/{id}/settings': {
    who: 'teacher',
    does: 'How a release runs, and what learners are allowed beyond that.',
    answer: json<SettingsView>(),
  },
  'PUT /api/releases/{id}/settings': {
    who: 'teacher',
    does: 'Changes how a release runs.',
    body: releaseChange,
    maxBytes: 256 * 1024,
    answer: json<SettingsView>(),
  },
  'PUT /api/releases/{id}/withdrawn': {
    who: 'teacher',
    does: 'Withdraws a release, or brings it back. Withdrawn, no learner sees it and it does not count; the work stays.',
    body: withdrawal,
    answer: json<SettingsView>(),
  },
  'POST /api/releases/{id}/copies': {
    who: 'teacher',
    does: 'Publishes the questions of a release, as they count now, to other courses with the same settings, for everybody there.',
    body: releaseCopies,
    answer: json<{ made: number }>(),
  },
  'PUT /api/releases/{id}/allowances': {
    who: 'teacher',
    does: 'Allows one learner more time, more sittings or other dates; null takes the allowance away.',
    body: allowed,
    answer: json<SettingsView>(),
  },
  'PUT /api/releases/{id}/sittings/{sitting}': {
    who: 'teacher',
    does: 'Opens a finished attempt again, as it was before it ended.',
    body: reopening,
    answer: json<null>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
