// Stock lists.
import { array, object, string } from 'yup';
import type { WordPicture } from '../core/kinds';
import { listOf, revision, sha256, uuid, wholeNumber } from './fields';
import { json, type Operation } from './operation';
import type { JsonSchema } from './shapes';

export interface ListRow {
  id: string;
  title: string;
  /** Of words, pairs or more: the cells of each line. */
  rows: readonly (readonly string[])[];
  pictures: readonly WordPicture[];
  changedAt: Date;
  /** What a write of it has to name. */
  revision: number;
}

const MOST_ROWS = 2000;

const MOST_CELLS = 12;

const MAX_CELL = 2000;

const isRow = (value: unknown): value is string[] =>
  Array.isArray(value) && value.length >= 1 && value.length <= MOST_CELLS && value.every((cell) => typeof cell === 'string' && cell.length <= MAX_CELL);

const ROW: JsonSchema = { type: 'array', items: { type: 'string', maxLength: MAX_CELL }, minItems: 1, maxItems: MOST_CELLS };

const titleAndRows = {
  title: string().trim().min(1, 'Give it a name').max(200, 'At most 200 characters').required('Give it a name'),
  rows: listOf(isRow, MOST_ROWS, `has to be 1 to ${MOST_CELLS} columns of at most ${MAX_CELL} characters`, ROW, 1).required(),
  pictures: array(
    object({
      word: string().min(1).max(2000, 'At most 2000 characters').required(),
      hash: sha256(),
      description: string().max(2000, 'At most 2000 characters').defined(),
      weight: wholeNumber(),
    }),
  )
    .max(MOST_ROWS, `At most ${MOST_ROWS} pictures`)
    .optional(),
};

export const newStockList = object({ id: uuid(), ...titleAndRows });

export const stockListContent = object({ ...titleAndRows, from: revision() });

export const listOperations = {
  'GET /api/lists': { who: 'teacher', does: 'The teacher’s stock lists.', answer: json<ListRow[]>() },
  'POST /api/lists': { who: 'teacher', does: 'Makes a stock list.', body: newStockList, maxBytes: 1024 * 1024, answer: json<{ id: string }>() },
  'PUT /api/lists/{id}': {
    who: 'teacher',
    does: 'Saves a stock list.',
    body: stockListContent,
    maxBytes: 1024 * 1024,
    answer: json<{ id: string; revision: number }>(),
  },
  'DELETE /api/lists/{id}': { who: 'teacher', does: 'Removes a stock list.', answer: json<null>() },
} as const satisfies Readonly<Record<string, Operation>>;
