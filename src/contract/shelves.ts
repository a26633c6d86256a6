// Shelves of the Vault.
import { mixed, object, string } from 'yup';
import { isOneOf, name, username, uuid } from './fields';
import { json, type Operation } from './operation';
import { type Access, RIGHTS, type Right } from './vocabulary';

export interface ShelfRow {
  id: string;
  title: string;
  /** Null: at the top, or the shelf it stands on is not shared. */
  parentId: string | null;
  access: Access;
  owner: string;
  questions: number;
  /** The colleagues it is shared with. */
  shares: { username: string; name: string; right: Right }[];
}

export const newShelf = object({ id: uuid(), title: name(100), parentId: string().uuid().nullable().defined() });

export const shelfChange = object({ title: name(100).optional(), parentId: string().uuid().nullable() });

const right = () =>
  mixed<Right>((value): value is Right => isOneOf(RIGHTS, value))
    .meta({ json: { enum: RIGHTS } })
    .nullable();

export const shelfShare = object({
  username: username(),
  right: right().defined(),
  /** The right they have, as far as the teacher knows. */
  from: right().defined(),
});

export const shelfOperations = {
  'GET /api/shelves': { who: 'teacher', does: 'The shelves the teacher may see.', answer: json<ShelfRow[]>() },
  'POST /api/shelves': { who: 'teacher', does: 'Makes a shelf.', body: newShelf, answer: json<{ id: string }>() },
  'PATCH /api/shelves/{id}': {
    who: 'teacher',
    does: 'Renames a shelf or puts it onto another.',
    body: shelfChange,
    answer: json<null>(),
  },
  'DELETE /api/shelves/{id}': {
    who: 'teacher',
    does: 'Removes a shelf. What stands on it is moved, not deleted.',
    answer: json<{ questions: string[]; shelves: string[] }>(),
  },
  'PUT /api/shelves/{id}/shares': {
    who: 'teacher',
    does: 'Shares a shelf with a colleague, or (`right` null) no longer.',
    body: shelfShare,
    answer: json<null>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
