import type { Fixture, Item, Look, Medium, Question, Zone } from '../document/schema';

/** What stands in a question's lists and dictionaries, by the field it stands in. */
export interface Listed {
  readonly items: Item;
  readonly zones: Zone;
  readonly fixtures: Fixture;
}
export interface Named {
  readonly looks: Look;
  readonly media: Medium;
}
export type ListField = keyof Listed;
export type NamedField = keyof Named;

/** The fields of an entry that an edit may set; of a fixture, those of any of its types. */
export type EntryField<Entry> = Exclude<Entry extends unknown ? keyof Entry & string : never, 'id'>;
/** What such a field may hold. */
export type EntryValue<Entry, Field extends string> = Entry extends unknown
  ? Field extends keyof Entry
    ? Entry[Field]
    : never
  : never;

interface Change<Value> {
  readonly to: Value;
  readonly from: Value;
}
type QuestionEdit = {
  [Field in QuestionField]: Change<Question[Field]> & { readonly type: 'setQuestion'; readonly field: Field };
}[QuestionField];
type EntryEdit = {
  [List in ListField]: {
    [Field in EntryField<Listed[List]>]: Change<EntryValue<Listed[List], Field>> & {
      readonly type: 'set';
      readonly in: List;
      readonly id: string;
      readonly field: Field;
    };
  }[EntryField<Listed[List]>];
}[ListField];
type ListEdit = {
  [List in ListField]: {
    readonly type: 'add' | 'remove';
    readonly in: List;
    readonly index: number;
    readonly entry: Listed[List];
  };
}[ListField];
/** An entry of a dictionary; null: there is none of that name. */
type NamedEdit = {
  [Field in NamedField]: Change<Named[Field] | null> & {
    readonly type: 'name';
    readonly in: Field;
    readonly name: string;
  };
}[NamedField];
/** An entry takes another place in its list: later is on top. */
type MoveEdit = Change<number> & { readonly type: 'move'; readonly in: ListField };

/**
 * A change of a question, typed by what it changes, with what it needs to be undone. One operation of the author is a
 * list of edits (a {@link Step}), and is undone as one. Lists are addressed by index where order matters, entries by id
 * where it does not.
 */
export type Edit = QuestionEdit | EntryEdit | ListEdit | NamedEdit | MoveEdit;

/** An edit whose parts belong together, as taken from one entry of one list: the compiler sees unions in each part. */
export const editOf = (
  parts:
    | (Change<unknown> & { readonly type: 'setQuestion'; readonly field: QuestionField })
    | (Change<unknown> & { readonly type: 'set'; readonly in: ListField; readonly id: string; readonly field: string })
    | (Change<unknown> & { readonly type: 'name'; readonly in: NamedField; readonly name: string })
    | { readonly type: 'add' | 'remove'; readonly in: ListField; readonly index: number; readonly entry: Entry },
): Edit => parts as Edit;

export const LIST_FIELDS = ['items', 'zones', 'fixtures'] as const satisfies readonly ListField[];
export const NAMED_FIELDS = ['looks', 'media'] as const satisfies readonly NamedField[];
export const QUESTION_FIELDS = [
  'title',
  'lang',
  'titleLang',
  'kind',
  'scene',
  'dress',
  'prompt',
  'promptSound',
  'key',
  'either',
  'pools',
  'marks',
  'tries',
  'judging',
  'afterMiss',
  'tray',
  'start',
  'feedback',
  'hints',
  'show',
  'buttons',
  'bench',
] as const;
export type QuestionField = (typeof QUESTION_FIELDS)[number];

/** One operation of the author: what undo takes back in one go. */
export type Step = readonly Edit[];

/** An edit that does not fit the question it is applied to: it was made against another. */
export class EditMismatch extends Error {}

type Entry = Listed[ListField];

function setIn(entries: readonly Entry[], id: string, field: string, to: unknown): Entry[] {
  const index = entries.findIndex((entry) => entry.id === id);
  const entry = entries[index];
  if (!entry || !Object.hasOwn(entry, field)) throw new EditMismatch(`There is no "${field}" of "${id}"`);
  return entries.with(index, { ...entry, [field]: to } as Entry);
}

function insertAt(entries: readonly Entry[], index: number, entry: Entry): Entry[] {
  if (index < 0 || index > entries.length) throw new EditMismatch(`There is no place ${index}`);
  return entries.toSpliced(index, 0, entry);
}

function removeAt(entries: readonly Entry[], index: number, id: string): Entry[] {
  if (entries[index]?.id !== id) throw new EditMismatch(`"${id}" is not at place ${index}`);
  return entries.toSpliced(index, 1);
}

function moved(entries: readonly Entry[], from: number, to: number): Entry[] {
  const entry = entries[from];
  if (!entry || to < 0 || to >= entries.length) throw new EditMismatch(`There is no place ${entry ? to : from}`);
  return entries.toSpliced(from, 1).toSpliced(to, 0, entry);
}

function named<Value>(entries: Readonly<Record<string, Value>>, name: string, to: Value | null): Record<string, Value> {
  if (name === '__proto__') throw new EditMismatch('"__proto__" is no name');
  const { [name]: _, ...others } = entries;
  return to === null ? others : { ...others, [name]: to };
}

/** The question after the edit. The one before is left as it is. */
export function apply(question: Question, edit: Edit): Question {
  switch (edit.type) {
    case 'setQuestion':
      if (!QUESTION_FIELDS.includes(edit.field)) throw new EditMismatch(`There is no "${edit.field}" to set`);
      return { ...question, [edit.field]: edit.to };
    case 'set':
      return { ...question, [edit.in]: setIn(question[edit.in], edit.id, edit.field, edit.to) };
    case 'add':
      return { ...question, [edit.in]: insertAt(question[edit.in], edit.index, edit.entry) };
    case 'remove':
      return { ...question, [edit.in]: removeAt(question[edit.in], edit.index, edit.entry.id) };
    case 'move':
      return { ...question, [edit.in]: moved(question[edit.in], edit.from, edit.to) };
    case 'name':
      return { ...question, [edit.in]: named<Look | Medium>(question[edit.in], edit.name, edit.to) };
  }
}

export const applyAll = (question: Question, step: Step): Question => step.reduce(apply, question);

/** The edit that takes this one back. */
export function invert(edit: Edit): Edit {
  switch (edit.type) {
    case 'setQuestion':
    case 'set':
    case 'move':
    case 'name':
      // The two values change places, which the compiler cannot follow through a union of fields.
      return { ...edit, to: edit.from, from: edit.to } as Edit;
    case 'add':
      return { ...edit, type: 'remove' };
    case 'remove':
      return { ...edit, type: 'add' };
  }
}

/** The step that takes this one back: its edits inverted, last first. */
export const invertAll = (step: Step): Step => step.map(invert).reverse();
