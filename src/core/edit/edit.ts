import type { Item, Question, Zone } from '../document/schema';

/**
 * A typed change of a question, with what it needs to be undone. One operation of the author is a list of edits (a {@link Step}), and is undone
 * as one. Lists are addressed by index where order matters, entries by id where it does not.
 */
export type Edit =
  | { readonly type: 'setQuestion'; readonly field: QuestionField; readonly to: unknown; readonly from: unknown }
  | { readonly type: 'setItem'; readonly id: string; readonly field: string; readonly to: unknown; readonly from: unknown }
  | { readonly type: 'setZone'; readonly id: string; readonly field: string; readonly to: unknown; readonly from: unknown }
  | { readonly type: 'addItem'; readonly index: number; readonly item: Item }
  | { readonly type: 'removeItem'; readonly index: number; readonly item: Item }
  | { readonly type: 'addZone'; readonly index: number; readonly zone: Zone }
  | { readonly type: 'removeZone'; readonly index: number; readonly zone: Zone };

export const QUESTION_FIELDS = [
  'title',
  'kind',
  'scene',
  'prompt',
  'promptSound',
  'fixtures',
  'looks',
  'media',
  'key',
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
] as const;
export type QuestionField = (typeof QUESTION_FIELDS)[number];

/** One operation of the author: what undo takes back in one go. */
export type Step = readonly Edit[];

/** An edit that does not fit the question it is applied to: it was made against another. */
export class EditMismatch extends Error {}

function setIn<Entry extends { readonly id: string }>(entries: readonly Entry[], id: string, field: string, to: unknown): Entry[] {
  const index = entries.findIndex((entry) => entry.id === id);
  const entry = entries[index];
  if (!entry || !Object.hasOwn(entry, field)) throw new EditMismatch(`There is no "${field}" of "${id}"`);
  return entries.with(index, { ...entry, [field]: to });
}

function insertAt<Entry>(entries: readonly Entry[], index: number, entry: Entry): Entry[] {
  if (index < 0 || index > entries.length) throw new EditMismatch(`There is no place ${index}`);
  return entries.toSpliced(index, 0, entry);
}

function removeAt<Entry extends { readonly id: string }>(entries: readonly Entry[], index: number, id: string): Entry[] {
  if (entries[index]?.id !== id) throw new EditMismatch(`"${id}" is not at place ${index}`);
  return entries.toSpliced(index, 1);
}

/** The question after the edit. The one before is left as it is. */
export function apply(question: Question, edit: Edit): Question {
  switch (edit.type) {
    case 'setQuestion':
      if (!QUESTION_FIELDS.includes(edit.field)) throw new EditMismatch(`There is no "${edit.field}" to set`);
      return { ...question, [edit.field]: edit.to };
    case 'setItem':
      return { ...question, items: setIn(question.items, edit.id, edit.field, edit.to) };
    case 'setZone':
      return { ...question, zones: setIn(question.zones, edit.id, edit.field, edit.to) };
    case 'addItem':
      return { ...question, items: insertAt(question.items, edit.index, edit.item) };
    case 'removeItem':
      return { ...question, items: removeAt(question.items, edit.index, edit.item.id) };
    case 'addZone':
      return { ...question, zones: insertAt(question.zones, edit.index, edit.zone) };
    case 'removeZone':
      return { ...question, zones: removeAt(question.zones, edit.index, edit.zone.id) };
  }
}

export const applyAll = (question: Question, step: Step): Question => step.reduce(apply, question);

/** The edit that takes this one back. */
export function invert(edit: Edit): Edit {
  switch (edit.type) {
    case 'setQuestion':
    case 'setItem':
    case 'setZone':
      return { ...edit, to: edit.from, from: edit.to };
    case 'addItem':
      return { ...edit, type: 'removeItem' };
    case 'removeItem':
      return { ...edit, type: 'addItem' };
    case 'addZone':
      return { ...edit, type: 'removeZone' };
    case 'removeZone':
      return { ...edit, type: 'addZone' };
  }
}

/** The step that takes this one back: its edits inverted, last first. */
export const invertAll = (step: Step): Step => step.map(invert).reverse();
