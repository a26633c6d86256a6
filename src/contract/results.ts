// How a release was answered.
import { object } from 'yup';
import type { Answers, CellState, Fifths, Figure, Move, Question, SavedBoard, Verdict } from '../core';
import { anyUuid, flag, from, name, numberText, one, uuid, wholeNumber } from './fields';
import { file, json, type Operation } from './operation';

const MAX_QUESTION = 999;

export interface ResultRow {
  learnerId: string;
  name: string;
  username: string | null;
  /** The mark that counts: of an attempt, or set by hand. Null while nothing has been checked. */
  mark: number | null;
  max: number | null;
  /** The attempt that counts; null: none. */
  attempt: string | null;
  byHand: boolean;
  tries: number;
  state: 'notStarted' | 'started' | 'checked' | 'ended';
  /** Finished after it was due. */
  late: boolean;
  /** The time from the first to the last move of the last attempt, in seconds; null before the first. */
  seconds: number | null;
  /** The learner's attempts, the first one first. */
  sittings: { id: string; number: number; mark: number; max: number; onPaper: boolean }[];
}

export interface ResultsView {
  release: { id: string; title: string; course: string; courseId: string; edition: number; createdAt: Date };
  rows: ResultRow[];
  /** How many learners there are, how many of them have begun, and which of them is the first here. */
  total: number;
  begun: number;
  from: number;
}

/** By what learners are sorted; without: by name. */
export const RESULT_SORTS = ['name', 'username', 'state', 'sittings', 'mark', 'tries', 'time'] as const;
export type ResultSort = (typeof RESULT_SORTS)[number];

/** Which learners: a page of them. */
export const resultsAsked = object({ from: from(), sort: one(RESULT_SORTS).default('name'), descending: flag() });

export interface QuestionAnalysis {
  readonly title: string;
  readonly struck: boolean;
  readonly document: Question;
  readonly points: number;
  /** The learners who were asked it: who is still under way only if they have answered it. Of those, who answered. */
  readonly asked: number;
  readonly answered: number;
  /** How many had the full mark. */
  readonly full: number;
  /** The mean share of its marks. */
  readonly facility: Figure | null;
  /** The full marks as a share of those who were asked. */
  readonly fullShare: Figure | null;
  readonly discrimination: Figure | null;
  /** The reliability of the total if the question were left out. */
  readonly alphaWithout: number | null;
  /** The correlation of the time taken with the share of its marks. */
  readonly timeAndMark: Figure | null;
  readonly tries: number | null;
  readonly turnedAway: number;
  readonly seconds: number | null;
  /** The median time one item took to be put somewhere, in seconds. */
  readonly pace: number | null;
  readonly answers: Answers;
  readonly fifths: Fifths | null;
  /** The places where items were dropped: item, x, y. */
  readonly drops: readonly (readonly [number, number, number])[];
}

export interface TrialAndError {
  readonly sittingId: string;
  readonly name: string;
  readonly question: number;
  readonly swept: readonly { readonly item: number; readonly zones: readonly number[] }[];
}

/** Figures of a question by which a correction is judged. */
export type QuestionFigures = Pick<
  QuestionAnalysis,
  'asked' | 'full' | 'fullShare' | 'facility' | 'discrimination' | 'alphaWithout'
>;

/** What the figures were under the edition before, question by question. */
export interface FiguresBefore {
  readonly edition: number;
  readonly alpha: Figure | null;
  readonly questions: readonly QuestionFigures[];
}

/** How a release was answered. */
export interface Figures {
  /** First attempts, one for each learner. */
  readonly learners: number;
  readonly outOf: number;
  readonly mean: number | null;
  /** Marks by tenths of the maximum. */
  readonly distribution: readonly number[];
  readonly alpha: Figure | null;
  readonly questions: readonly QuestionAnalysis[];
  readonly sweepers: readonly TrialAndError[];
}

export interface AnalysisView {
  readonly release: { id: string; title: string; course: string; courseId: string; edition: number };
  /** False: something has come in since the figures were worked out, and a job is at it. */
  readonly isCurrent: boolean;
  /** Null: they have not been worked out yet. */
  readonly figures: Figures | null;
  /** Null: no correction has been applied since figures were first worked out. */
  readonly before: FiguresBefore | null;
}

/** What was put where in the try whose mark counts, its verdict, and its feedback. What was typed stands as it was. */
export interface ReportLine {
  readonly item: string;
  /** Null: the learner does not know of the zone. */
  readonly zone: string | null;
  readonly verdict: Verdict;
  readonly said: string;
}

export interface ReportQuestion {
  readonly title: string;
  /** It counts for nobody. */
  readonly struck: boolean;
  readonly points: number;
  /** Null: its author shows no marks to the learner. */
  readonly earned: number | null;
  readonly tries: number;
  readonly lines: readonly ReportLine[];
  readonly said: string;
  /** What there is to draw; null: it was not answered. */
  readonly drawn: ReportDrawing | null;
}

/** A question as the learner had it, the answer that earned the mark, and the model answer if the author shows one. */
export interface ReportDrawing {
  readonly document: Question;
  /** Where each item was at the start for this learner, by its index: scene units. */
  readonly homes: readonly { readonly x: number; readonly y: number }[];
  readonly answer: SavedBoard;
  readonly model: SavedBoard | null;
  /** The address of each medium by its id. */
  readonly media: Readonly<Record<string, string>>;
  /** Zones that learners do not know of are not drawn. */
  readonly hides: boolean;
}

export interface ReportRelease {
  readonly title: string;
  readonly practice: boolean;
  /** False: the learner is not told yet what it came to. There is no mark then, and no question. */
  readonly told: boolean;
  readonly mark: number | null;
  readonly outOf: number;
  readonly byHand: string | null;
  /** As in the gradebook; of practice whatever there is. */
  readonly state: CellState;
  readonly late: boolean;
  readonly finishedAt: Date | null;
  /** True if the question has ended. */
  readonly ended: boolean;
  readonly sittings: number;
  /** Of the attempt that counts. */
  readonly questions: readonly ReportQuestion[];
}

export interface LearnerReport {
  /** `lang`: its language; null: none is said. */
  readonly course: { readonly id: string; readonly title: string; readonly lang: string | null };
  readonly learner: { readonly id: string; readonly name: string };
  /** The overall mark, from 0 to 1; null: nothing counts yet. */
  readonly overall: number | null;
  /** By the letter grades of the course; null: none. */
  readonly letter: string | null;
  /** The parts of the overall mark; empty: all points count alike. */
  readonly categories: readonly ReportCategory[];
  /** What the learner shows, by outcome; empty: no question has one, or marks are not told yet. */
  readonly outcomes: readonly ReportOutcome[];
  readonly releases: readonly ReportRelease[];
}

/** The share of an outcome's marks, from 0 to 1, with its interval at 95 %. */
export interface ReportOutcome {
  readonly code: string;
  readonly words: string;
  /** 0 at the top. */
  readonly depth: number;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly answers: number;
}

/** A weight category with what was earned in it. */
export interface ReportCategory {
  readonly title: string;
  readonly weight: number;
  readonly points: number;
  readonly outOf: number;
}

/** The reports of a course, a page of them by name. */
export interface ClassReport {
  readonly reports: readonly LearnerReport[];
  readonly total: number;
  readonly from: number;
}

export interface RetraceView {
  readonly release: { readonly id: string; readonly title: string; readonly course: string; readonly courseId: string };
  readonly learner: string;
  readonly number: number;
  /** Written on paper and typed in: the variant of the sheet, from 1; null: on its page. */
  readonly paper: number | null;
  /** True if it has ended and can be reopened; with a time limit, minutes have to be given. */
  readonly finished: boolean;
  readonly minutes: number | null;
  readonly questions: readonly {
    /** The question as it is judged. */
    readonly document: Question;
    /** Where each item was at the start for this learner, by its index: scene units. */
    readonly homes: readonly { readonly x: number; readonly y: number }[];
    readonly points: number;
    readonly moves: readonly { readonly move: Move; readonly at: number }[];
  }[];
}

/** Attempts at one question, to be played back together, some at a time. */
export interface TogetherView {
  readonly release: { readonly id: string; readonly title: string; readonly course: string; readonly courseId: string };
  /** The questions of the edition that counts now; the index of this one. */
  readonly titles: readonly string[];
  readonly question: number;
  readonly document: Question;
  readonly attempts: readonly {
    readonly sittingId: string;
    readonly learner: string;
    readonly number: number;
    /** The question as this attempt was given it; null: as all others were. */
    readonly document: Question | null;
    readonly homes: readonly { readonly x: number; readonly y: number }[];
    readonly moves: readonly { readonly move: Move; readonly at: number }[];
  }[];
  /** How many attempts have come to the question, and which of them is the first here. */
  readonly total: number;
  readonly from: number;
}

/** Which question, from which attempt on, and an attempt that comes before all others. */
export const togetherAsked = object({
  question: numberText(MAX_QUESTION).default(0),
  from: from(),
  beside: anyUuid().optional(),
});

/** A group to be made of those who need a question: by its index in the edition that counts now. */
export interface NeedGroup {
  readonly id: string;
  readonly question: number;
  readonly title: string;
}

export const needGroup = object({ id: uuid(), question: wholeNumber(), title: name(200) });

/** Which reports: all of a course, or of one of its groups; from which learner on. */
export const reportsAsked = object({ group: anyUuid().optional(), from: from() });

export const resultOperations = {
  'GET /api/releases/{id}/results': {
    who: 'teacher',
    does: 'The marks of a release, learner by learner, a hundred at a time.',
    query: resultsAsked,
    answer: json<ResultsView>(),
  },
  'GET /api/releases/{id}/sittings/{sitting}': {
    who: 'teacher',
    does: 'A sitting with its moves, to be played again.',
    answer: json<RetraceView>(),
  },
  'GET /api/releases/{id}/together': {
    who: 'teacher',
    does: 'Attempts at one question with their moves, some at a time, to be played again together.',
    query: togetherAsked,
    answer: json<TogetherView>(),
  },
  'GET /api/courses/{id}/learners/{learner}/report': {
    who: 'teacher',
    does: 'A learner’s results in a course.',
    answer: json<LearnerReport>(),
  },
  'GET /api/courses/{id}/reports': {
    who: 'teacher',
    does: 'The reports of a course’s learners, or of a group’s, some at a time.',
    query: reportsAsked,
    answer: json<ClassReport>(),
  },
  'GET /releases/{id}/results.csv': {
    who: 'teacher',
    does: 'The marks of a release as CSV.',
    answer: file('text/csv'),
  },
  'POST /api/releases/{id}/groups': {
    who: 'teacher',
    does: 'Makes a group of those who were asked a question and have not had its full mark.',
    body: needGroup,
    answer: json<{ learners: number }>(),
  },
  'GET /releases/{id}/answers.csv': {
    who: 'teacher',
    does: 'What was answered in each attempt, as CSV: a line for each thing placed or typed.',
    answer: file('text/csv'),
  },
  'GET /releases/{id}/answers.jsonl': {
    who: 'teacher',
    does: 'What was answered in each attempt, as JSON lines: one for each question of an attempt.',
    answer: file('application/x-ndjson'),
  },
  'GET /api/releases/{id}/analysis': {
    who: 'teacher',
    does: 'How a release was answered: figures, who put what where, drops, trial and error.',
    answer: json<AnalysisView>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
