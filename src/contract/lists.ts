// Stock lists.
import { array, object, string } from 'yup';
import type { WordPicture } from '../core/kinds';
import { listOf, name, revision, sha256, uuid, wholeNumber } from './fields';
import { json, type Operation } from './operation';
import type { JsonSchema } from './shapes';

export interface ListRow {
  id: string;
  title: string;
  /** Of words, pairs or more: the cells of each line. */
  rows: readonly (readonly string[])[];
  pictures: readonly WordPicture[];
  changedAt: Date;
  /** The revision that a write has to name. */
  revision: number;
}

const MAX_ROWS = 2000;

const MAX_CELLS = 12;

const MAX_CELL = 2000;

const isRow = (value: unknown): value is string[] =>
  Array.isArray(value) &&
  value.length >= 1 &&
  value.length <= MAX_CELLS &&
  value.every((cell) => typeof cell === 'string' && cell.length <= MAX_CELL);

const ROW: JsonSchema = {
  type: 'array',
  items: { type: 'string', maxLength: MAX_CELL },
  minItems: 1,
  maxItems: MAX_CELLS,
};

const titleAndRows = {
  title: name(200),
  rows: listOf(
    isRow,
    MAX_ROWS,
    `has to be 1 to ${MAX_CELLS} columns of at most ${MAX_CELL} characters`,
    ROW,
    1,
  ).required(),
  pictures: array(
    object({
      word: string().min(1).max(2000, 'At most 2000 characters').required(),
      hash: sha256(),
      description: string().max(2000, 'At most 2000 characters').defined(),
      weight: wholeNumber(),
    }),
  )
    .max(MAX_ROWS, `At most ${MAX_ROWS} pictures`)
    .optional(),
};

export const newStockList = object({ id: uuid(), ...titleAndRows });

export const stockListContent = object({ ...titleAndRows, from: revision() });

export const listOperations = {
  'GET /api/lists': { who: 'teacher', does: 'The teacher’s stock lists.', answer: json<ListRow[]>() },
  'POST /api/lists': {
    who: 'teacher',
    does: 'Makes a stock list.',
    body: newStockList,
    maxBytes: 1024 * 1024,
    answer: json<{ id: string }>(),
  },
  'PUT /api/lists/{id}': {
    who: 'teacher',
    does: 'Saves a stock list.',
    body: stockListContent,
    maxBytes: 1024 * 1024,
    answer: json<{ id: string; revision: number }>(),
  },
  'DELETE /api/lists/{id}': { who: 'teacher', does: 'Removes a stock list.', answer: json<null>() },
} as const satisfies Readonly<Record<string, Operation>>;
