import {
  applyAll,
  type Item,
  type Look,
  type Question,
  type Step,
  setItem,
  setLook,
  setZone,
  type Zone,
} from '../../../core';
import { freshId } from '../../../core/document';

export const looksOf = (question: Question, of: Look['of']): [string, Look][] =>
  Object.entries(question.looks).filter(([, look]) => look.of === of);

/** A new look, plain in every state, and its name. */
export function makeLook(question: Question, of: Look['of'], like?: Look): { name: string; step: Step } {
  const name = freshId('look', new Set(Object.keys(question.looks)));
  const count = looksOf(question, of).length + 1;
  const words = `${of === 'item' ? 'Items' : 'Zones'} ${count}`;
  const look = like
    ? { ...like, name: `${like.name} again` }
    : of === 'item'
      ? { of, name: words, putAway: false, states: {} }
      : { of, name: words, states: {} };
  return { name, step: setLook(question, name, look as Look) };
}

/** Gives items and zones a look to wear, or (null) the page's own. */
export const wear = (question: Question, items: readonly Item[], zones: readonly Zone[], look: string | null): Step => [
  ...items.flatMap(({ id }) => setItem(question, id, 'look', look)),
  ...zones.flatMap(({ id }) => setZone(question, id, 'look', look)),
];

export const wearersOf = (question: Question, name: string): number =>
  [...question.items, ...question.zones].filter(({ look }) => look === name).length;

/** Takes a look away; who wore it wears the page's own. */
export function dropLook(question: Question, name: string): Step {
  const off = wear(
    question,
    question.items.filter(({ look }) => look === name),
    question.zones.filter(({ look }) => look === name),
    null,
  );
  return [...off, ...setLook(applyAll(question, off), name, null)];
}
