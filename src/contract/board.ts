// The board view: questions for a whole class, judged on the page.
import { array, mixed, object } from 'yup';
import type { Move, Question } from '../core';
import { aWord, listOf, name, uuid } from './fields';
import { json, type Operation } from './operation';
import type { WholeSet } from './sets';
import { QUESTION } from './shapes';
import { isMove } from './sittings';
import { BOARD_SOURCES } from './vocabulary';

/** What is opened on the board, with its key: for its teacher alone. */
export interface ClassBoard {
  title: string;
  /** The course it was published in; null: it comes from the Vault. */
  course: { id: string; title: string } | null;
  questions: readonly Question[];
  /** What stands beside the questions, by their places. */
  sources: WholeSet['sources'];
}

/** Somebody who may be called up. */
export interface RosterName {
  id: string;
  name: string;
  /** The title of the first of their groups; null: they are in none. */
  group: string | null;
}

/** Who was up: a learner of a roster by the account's id, so that their name goes with the account; or a name. */
export type WasUp = { readonly learner: string } | { readonly name: string };

/** What a class did with one question, from one putting back of everything to the next. */
export interface ClassRound<Up = WasUp> {
  /** The index of its question in the record. */
  readonly question: number;
  readonly up: readonly Up[];
  /** Where each item was at the start, by its index: scene units. */
  readonly homes: readonly { readonly x: number; readonly y: number }[];
  /** `at`: milliseconds since 1970. */
  readonly moves: readonly { readonly move: Move; readonly at: number }[];
}

export interface ClassRecordRow {
  id: string;
  title: string;
  at: Date;
  /** How often somebody had a go. */
  rounds: number;
}

/** A record of a class, to be played back. `up`: the names, as far as they are known still. */
export interface ClassRecord extends Omit<ClassRecordRow, 'rounds'> {
  questions: readonly Question[];
  rounds: readonly ClassRound<string>[];
}

export const boardAsked = object({ from: aWord(BOARD_SOURCES), id: uuid() });

const MAX_BOARD_QUESTIONS = 200;
const MAX_ROUNDS = 1000;
const MAX_ROUND_MOVES = 5000;
const MAX_UP = 200;
const MAX_RECORD_BYTES = 2 * 1024 * 1024;

const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
const isText = (value: unknown, most: number) => typeof value === 'string' && value.length > 0 && value.length <= most;
const isList = (value: unknown, most: number): value is unknown[] => Array.isArray(value) && value.length <= most;

const isUp = (value: unknown): value is WasUp =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length === 1 &&
  (('learner' in value && isText(value.learner, 100)) || ('name' in value && isText(value.name, 2000)));

/** An id such as a browser gives to a move: moves of a record have none. */
const ANY_ID = '00000000-0000-0000-0000-000000000000';
const isMade = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  'move' in value &&
  'at' in value &&
  isNumber(value.at) &&
  typeof value.move === 'object' &&
  isMove({ ...value.move, id: ANY_ID });

function isRound(value: unknown): value is ClassRound {
  if (typeof value !== 'object' || value === null) return false;
  const { question, up, homes, moves } = value as Partial<Record<keyof ClassRound, unknown>>;
  return (
    Number.isInteger(question) &&
    isList(up, MAX_UP) &&
    up.every(isUp) &&
    isList(homes, MAX_ROUND_MOVES) &&
    homes.every(
      (home) =>
        typeof home === 'object' && home !== null && 'x' in home && 'y' in home && isNumber(home.x) && isNumber(home.y),
    ) &&
    isList(moves, MAX_ROUND_MOVES) &&
    moves.every(isMade)
  );
}

export const newClassRecord = object({
  id: uuid(),
  title: name(200),
  questions: array(mixed().meta({ json: QUESTION }).required())
    .min(1, 'is empty')
    .max(MAX_BOARD_QUESTIONS)
    .required(),
  rounds: listOf(
    isRound,
    MAX_ROUNDS,
    'is not a round: the index of its question, who was up, where its items began, and its moves',
    {
      type: 'object',
      required: ['question', 'up', 'homes', 'moves'],
      properties: {
        question: { type: 'integer', minimum: 0 },
        up: { type: 'array', maxItems: MAX_UP, items: { type: 'object' } },
        homes: { type: 'array', maxItems: MAX_ROUND_MOVES, items: { type: 'object' } },
        moves: { type: 'array', maxItems: MAX_ROUND_MOVES, items: { type: 'object' } },
      },
    },
    1,
  ).required(),
});

export const boardOperations = {
  'GET /api/board': {
    who: 'teacher',
    does: 'A question, a set, a release or a unit with its questions whole, as it is opened on the board.',
    query: boardAsked,
    answer: json<ClassBoard>(),
  },
  'GET /api/board/records': {
    who: 'teacher',
    does: 'The teacher’s records of classes at the board, latest first.',
    answer: json<ClassRecordRow[]>(),
  },
  'POST /api/board/records': {
    who: 'teacher',
    does: 'Keeps what a class did at the board.',
    body: newClassRecord,
    maxBytes: MAX_RECORD_BYTES,
    answer: json<{ id: string }>(),
  },
  'GET /api/board/records/{id}': {
    who: 'teacher',
    does: 'A record of a class with its moves, to be played again.',
    answer: json<ClassRecord>(),
  },
  'DELETE /api/board/records/{id}': {
    who: 'teacher',
    does: 'Deletes a record of a class.',
    answer: json<null>(),
  },
  'GET /api/courses/{id}/names': {
    who: 'teacher',
    does: 'The names of a course’s learners, each with a group, for calling up.',
    answer: json<RosterName[]>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
