// Learning outcomes (CASE 1.0), questions that have them, and marks by outcome.
import { array, object, string } from 'yup';
import { anyUuid, flag, ids, name, uuid } from './fields';
import { MAX_AT_ONCE, MAX_OUTCOMES_BYTES } from './limits';
import { json, type Operation } from './operation';

export interface OutcomeRow {
  id: string;
  code: string;
  words: string;
  /** Null: it stands at the top. */
  parentId: string | null;
  /** What it came in with does not have it any more. */
  withdrawn: boolean;
  /** How many questions that the teacher sees have it. */
  questions: number;
}

export interface FrameworkView {
  id: string;
  title: string;
  /** The identifier of its document of CASE; null: a list. */
  identifier: string | null;
  /** It can be changed by whoever asks. */
  mine: boolean;
  by: string;
  /** Parents before children, in their order. */
  outcomes: OutcomeRow[];
}

/** What taking outcomes would change, or has changed. */
export interface OutcomesPlan {
  /** Null: it is new, and not taken. */
  frameworkId: string | null;
  title: string;
  added: number;
  changed: number;
  /** Gone from what comes in: kept as withdrawn because questions have them, or removed. */
  withdrawn: number;
  removed: number;
  /** What is kept otherwise than it was said. */
  notes: string[];
  /** With problems nothing is taken. */
  problems: { where: string; message: string }[];
  taken: boolean;
}

/** The marks of an outcome: what was earned of what could be, over questions that have it or one below it. */
export interface OutcomeMarks {
  id: string;
  code: string;
  words: string;
  parentId: string | null;
  withdrawn: boolean;
  /** The share of the marks, from 0 to 1, with its interval at 95 %; null: nothing was answered. */
  share: { value: number; low: number; high: number } | null;
  /** How many answers it rests on. */
  answers: number;
  /** Different questions. */
  questions: number;
}

/** A learner's share of the marks of an outcome, from 0 to 1, with its interval at 95 %. */
export interface OutcomeShare {
  value: number;
  low: number;
  high: number;
  answers: number;
}

export interface LearnerOutcome extends OutcomeShare {
  learnerId: string;
  name: string;
}

/** The most learners of a table of learners by outcomes. */
export const MAX_MATRIX = 1000;

/** Marks by outcome, of a release or of a whole course. */
export interface MasteryView {
  title: string;
  courseId: string;
  outcomes: OutcomeMarks[];
  /** By outcome: those who earned less than half of its marks, the lowest first. */
  needs: Record<string, LearnerOutcome[]>;
  /** Who answered anything of it, by name, up to `MAX_MATRIX`. */
  learners: { learnerId: string; name: string; shares: Record<string, OutcomeShare> }[];
  /** How many answered anything of it. */
  answered: number;
  /** Questions that have no outcome. */
  without: number;
}

export const outcomesQuery = object({
  take: flag(),
  /** Of a list: the framework it is, or a new one. */
  id: anyUuid().optional(),
  title: string().trim().max(200, 'At most 200 characters').optional(),
});

export const questionOutcomes = object({ outcomes: ids(200) });

export const outcomesOfMany = object({
  questions: array(string().min(1).max(100).required()).min(1, 'At least one').max(MAX_AT_ONCE).required(),
  add: ids(200),
  remove: ids(200),
});

/** `id`: the group's, made by the client, so that a repeated request makes one. */
export const outcomeGroup = object({
  id: uuid(),
  outcome: uuid(),
  release: anyUuid().nullable().default(null),
  title: name(200),
});

export const outcomeOperations = {
  'GET /api/outcomes': {
    who: 'teacher',
    does: 'The learning outcomes of the installation, each framework as a tree.',
    answer: json<FrameworkView[]>(),
  },
  'POST /api/outcomes': {
    who: 'teacher',
    does: 'Says what taking learning outcomes would change (`take` false), or takes them: a `CFPackage` of CASE 1.0 as JSON, or a list of code, words and the code of the parent. A second import changes what changed.',
    query: outcomesQuery,
    sends: '*/*',
    maxBytes: MAX_OUTCOMES_BYTES,
    answer: json<OutcomesPlan>(),
  },
  'DELETE /api/outcomes/{id}': {
    who: 'teacher',
    does: 'Removes a framework; outcomes that questions have stay, as withdrawn.',
    answer: json<FrameworkView[]>(),
  },
  'GET /api/questions/{id}/outcomes': {
    who: 'teacher',
    does: 'The ids of the outcomes of a question.',
    answer: json<string[]>(),
  },
  'PUT /api/questions/{id}/outcomes': {
    who: 'teacher',
    does: 'Sets the outcomes of a question.',
    body: questionOutcomes,
    answer: json<string[]>(),
  },
  'POST /api/outcomes/questions': {
    who: 'teacher',
    does: 'Adds outcomes to many questions, or takes them off.',
    body: outcomesOfMany,
    answer: json<{ questions: number }>(),
  },
  'GET /api/releases/{id}/mastery': {
    who: 'teacher',
    does: 'Marks by outcome of a release, and which learners need it.',
    answer: json<MasteryView>(),
  },
  'POST /api/courses/{id}/mastery/groups': {
    who: 'teacher',
    does: 'Makes a group of those who need an outcome: less than half of its marks, from two answers or more. `release`: of it alone.',
    body: outcomeGroup,
    answer: json<{ learners: number }>(),
  },
  'GET /api/courses/{id}/mastery': {
    who: 'teacher',
    does: 'Marks by outcome of a course, over the attempts that count.',
    answer: json<MasteryView>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
