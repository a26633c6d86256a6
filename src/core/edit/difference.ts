import type { Question } from '../document/schema';
import {
  applyAll,
  type Edit,
  editOf,
  LIST_FIELDS,
  type ListField,
  NAMED_FIELDS,
  QUESTION_FIELDS,
  type Step,
} from './edit';
import { moves } from './steps';

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * The step that makes one version of a question another: what "bring back" does, and what is compared. Entries are
 * known by id; an entry whose id stands in both is changed field by field.
 */
export function difference(from: Question, to: Question): Step {
  const lists = LIST_FIELDS.flatMap((list) => listDifference(from, to, list));
  const names = NAMED_FIELDS.flatMap((field): Edit[] => {
    const [before, after] = [from[field], to[field]];
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((name): Edit[] => {
      const [was, is] = [
        Object.hasOwn(before, name) ? before[name] : null,
        Object.hasOwn(after, name) ? after[name] : null,
      ];
      return same(was, is) ? [] : [editOf({ type: 'name', in: field, name, to: is ?? null, from: was ?? null })];
    });
  });
  const fields = QUESTION_FIELDS.flatMap((field): Edit[] =>
    same(from[field], to[field]) ? [] : [editOf({ type: 'setQuestion', field, to: to[field], from: from[field] })],
  );
  return [...names, ...lists, ...fields];
}

function listDifference(from: Question, to: Question, list: ListField): Step {
  const after = new Map<string, Record<string, unknown>>(
    to[list].map((entry) => [entry.id, entry as unknown as Record<string, unknown>]),
  );
  const sameForm = (entry: object) => {
    const other = after.get((entry as { id: string }).id);
    // A fixture of another type under the same id is another fixture.
    return (
      other !== undefined &&
      same(Object.keys(entry).sort(), Object.keys(other).sort()) &&
      (entry as { type?: unknown }).type === other.type
    );
  };
  const gone = from[list]
    .flatMap((entry, index): Edit[] => (sameForm(entry) ? [] : [editOf({ type: 'remove', in: list, index, entry })]))
    .reverse();
  const left = applyAll(from, gone);
  const changed = left[list].flatMap((entry): Edit[] => {
    const next = after.get(entry.id) as Record<string, unknown>;
    return Object.entries(entry).flatMap(([field, value]): Edit[] =>
      same(value, next[field])
        ? []
        : [editOf({ type: 'set', in: list, id: entry.id, field, to: next[field], from: value })],
    );
  });
  const kept = left[list].map(({ id }) => id as string);
  const fresh = to[list].filter(({ id }) => !kept.includes(id));
  const added = fresh.map((entry, i) => editOf({ type: 'add', in: list, index: kept.length + i, entry }));
  return [
    ...gone,
    ...changed,
    ...added,
    ...moves(
      list,
      [...kept, ...fresh.map(({ id }) => id as string)],
      to[list].map(({ id }) => id as string),
    ),
  ];
}
