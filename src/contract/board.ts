// The board view: questions for a whole class, judged on the page.
import { object } from 'yup';
import type { Question } from '../core';
import { aWord, uuid } from './fields';
import { json, type Operation } from './operation';
import { BOARD_SOURCES } from './vocabulary';

/** What is opened on the board, with its key: for its teacher alone. */
export interface ClassBoard {
  title: string;
  /** The course it was published in; null: it comes from the Vault. */
  course: { id: string; title: string } | null;
  questions: readonly Question[];
}

/** Somebody who may be called up. */
export interface RosterName {
  id: string;
  name: string;
  /** The title of the first of their groups; null: they are in none. */
  group: string | null;
}

export const boardAsked = object({ from: aWord(BOARD_SOURCES), id: uuid() });

export const boardOperations = {
  'GET /api/board': {
    who: 'teacher',
    does: 'A question, a set, a release or a unit with its questions whole, as it is opened on the board.',
    query: boardAsked,
    answer: json<ClassBoard>(),
  },
  'GET /api/courses/{id}/names': {
    who: 'teacher',
    does: 'The names of a course’s learners, each with a group, for calling up.',
    answer: json<RosterName[]>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
