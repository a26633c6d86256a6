import type { Question } from '../document/schema';
import { difference } from './difference';
import type { Edit, Step } from './edit';

/** What can be corrected in a question after it was answered: nothing that moves depend on. */
const QUESTION_FIELDS = new Set([
  'title',
  'lang',
  'titleLang',
  'dress',
  'prompt',
  'promptSound',
  'key',
  'either',
  'marks',
  'feedback',
  'hints',
  'show',
  'buttons',
  'bench',
  'kind',
]);
const LIST_FIELDS: Readonly<Record<string, ReadonlySet<string>>> = {
  items: new Set(['label', 'lang', 'content', 'value', 'look']),
  zones: new Set(['label', 'lang', 'title', 'typed', 'look', 'chars']),
};

const isCorrection = (edit: Edit): boolean => {
  switch (edit.type) {
    case 'setQuestion':
      return QUESTION_FIELDS.has(edit.field);
    case 'set':
      return edit.in === 'fixtures' || (LIST_FIELDS[edit.in]?.has(edit.field) ?? false);
    case 'add':
    case 'remove':
    case 'move':
      return edit.in === 'fixtures';
    case 'name':
      return true;
  }
};

/**
 * What makes one version of a question into another, where moves that were made in the one can be judged by the other:
 * the same items and zones, where they were and as they take. Else the edits that are in the way.
 */
export function correction(
  from: Question,
  to: Question,
): { readonly ok: true; readonly step: Step } | { readonly ok: false; readonly inTheWay: Step } {
  const step = difference(from, to);
  const inTheWay = step.filter((edit) => !isCorrection(edit));
  // Whether a zone is typed into decides how it takes items, so it cannot change.
  const typedNow = new Map(from.zones.map(({ id, typed }) => [id, typed !== null]));
  const turned = to.zones.filter(({ id, typed }) => typedNow.get(id) !== (typed !== null));
  const all =
    turned.length > 0
      ? [...inTheWay, ...step.filter((edit) => edit.type === 'set' && edit.in === 'zones' && edit.field === 'typed')]
      : inTheWay;
  return all.length > 0 ? { ok: false, inTheWay: all } : { ok: true, step };
}
