// Enrolment in a course.
import { array, boolean, object, string } from 'yup';
import type { Erased, LeftRow } from './account';
import { newLearner } from './account';
import { from, words } from './fields';
import { MAX_ROSTER } from './limits';
import { file, json, type Operation } from './operation';

export interface LearnerRow {
  id: string;
  name: string;
  username: string | null;
  /** True if the teacher who asks made the account, and so may reset its password. */
  mine: boolean;
  groups: string[];
  /** They have pictures to sign in with. */
  pictures: boolean;
}

export interface RosterPage {
  rows: LearnerRow[];
  total: number;
  from: number;
}

/** The effect of a line: make an account, enrol an existing one, invite, or nothing. */
export interface PlannedLine {
  /** From 1, as an editor counts lines. */
  line: number;
  name: string;
  /** Empty: they have none, and come by a platform. */
  username: string;
  groups: readonly string[];
  /** `invite`: the teacher shares no course with the person, who is invited. */
  will: 'make' | 'join' | 'invite' | 'stay';
  /** The account's name, if the list has another and the teacher knows the person. */
  knownAs: string | null;
}

export interface RosterPlan {
  lines: PlannedLine[];
  problems: { line: number; message: string }[];
  /** New groups. */
  newGroups: string[];
  /** Enrolled learners who are not in the list. */
  others: { id: string; name: string; username: string | null }[];
}

export interface RosterTaken {
  /** With first passwords; who comes by a platform has neither user name nor password. */
  made: { name: string; username: string; password: string }[];
  joined: number;
  /** The people who are invited. */
  invited: number;
  removed: number;
}

export const roster = object({
  text: string().min(1, 'Paste a list').max(MAX_ROSTER, 'At most two million characters').required('Paste a list'),
  take: boolean().required(),
  removeOthers: boolean().default(false),
});

export const takenOff = object({ learners: array(string().min(1).max(100).required()).min(1).max(500).required() });

/** A page of people: `words` in their names, `from` the row it begins with. */
export const page = object({ words: words(200).default(''), from: from() });

export const rosterOperations = {
  'GET /api/courses/{id}/learners': {
    who: 'teacher',
    does: 'A page of the roster.',
    query: page,
    answer: json<RosterPage>(),
  },
  'POST /api/courses/{id}/learners': {
    who: 'teacher',
    does: 'Makes a learner’s account and puts them on the roster.',
    body: newLearner,
    answer: json<{ id: string }>(),
  },
  'DELETE /api/courses/{id}/learners': {
    who: 'teacher',
    does: 'Removes learners from the course. Their answers and marks stay.',
    body: takenOff,
    answer: json<{ removed: number }>(),
  },
  'GET /api/courses/{id}/learners/{learner}': {
    who: 'teacher',
    does: 'What a course holds of a learner, as a file.',
    answer: file('application/json'),
  },
  'DELETE /api/courses/{id}/learners/{learner}': {
    who: 'teacher',
    does: 'Erases all that a course holds of a learner.',
    answer: json<Erased>(),
  },
  'GET /api/courses/{id}/left': {
    who: 'teacher',
    does: 'Former learners: not enrolled any more, and the course still has data of them.',
    answer: json<LeftRow[]>(),
  },
  'POST /api/courses/{id}/roster': {
    who: 'teacher',
    does: 'Says what taking a pasted list would change (`take` false), or takes it.',
    body: roster,
    maxBytes: 1024 * 1024,
    answer: json<RosterPlan | RosterTaken>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
