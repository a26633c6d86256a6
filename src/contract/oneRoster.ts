// OneRoster 1.2 (CSV): classes, people and enrolments of a school's system come in, marks go out.
import { object, string } from 'yup';
import { flag } from './fields';
import { MAX_FILE_BYTES } from './limits';
import { file, json, type Operation } from './operation';

/** A change that an import makes, with the line that asks for it; `line` null: nothing names it any more. */
export interface OneRosterChange {
  file: string;
  line: number | null;
  sourcedId: string;
  does: 'make' | 'change' | 'enrol' | 'takeOff';
  /** A sentence without a full stop. */
  words: string;
}

export interface OneRosterProblem {
  file: string;
  /** The header is line 1; null: the whole file. */
  line: number | null;
  column: string | null;
  message: string;
}

export interface OneRosterPlan {
  /** The system that the ids are of. */
  source: string;
  /** At most 2,000 of them. */
  changes: OneRosterChange[];
  total: number;
  problems: OneRosterProblem[];
}

export interface OneRosterTaken {
  source: string;
  /** Courses that were made. */
  courses: { id: string; title: string }[];
  /** Accounts that were made, with first passwords that are never shown again. An empty one: there is none yet. */
  made: { name: string; username: string; password: string; role: 'teacher' | 'learner' }[];
  enrolled: number;
  takenOff: number;
  /** Problems that were left out. */
  problems: OneRosterProblem[];
}

/** What does not go out of a course, or otherwise than the school’s system knows it. */
export interface OneRosterNotes {
  /** The course came from no such system: it goes out under an id of ours. */
  ownId: boolean;
  /** Learners that no such system knows: their results do not go out. */
  leftOut: string[];
}

export const oneRosterQuery = object({
  take: flag(),
  skipFaulty: flag(),
  source: string().max(255, 'At most 255 characters').optional(),
});

export const oneRosterOperations = {
  'POST /api/oneroster': {
    who: 'teacher',
    does: 'Says line by line what a package of OneRoster 1.2 would change (`take` false), or takes it; for an administrator. `source`: the system, where its manifest does not say. With faulty lines nothing is taken, unless `skipFaulty`.',
    query: oneRosterQuery,
    sends: 'application/zip',
    maxBytes: MAX_FILE_BYTES,
    answer: json<OneRosterPlan | OneRosterTaken>(),
  },
  'GET /api/courses/{id}/oneroster': {
    who: 'teacher',
    does: 'The marks of a course as a package of OneRoster 1.2.',
    answer: file('application/zip'),
  },
  'GET /api/courses/{id}/oneroster/notes': {
    who: 'teacher',
    does: 'What of a course does not go out by OneRoster, or under an id of ours.',
    answer: json<OneRosterNotes>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
