import { difference, type Question } from '../../../core';
import { LAYOUTS, type Layout } from '../../../core/kinds';
import type { BenchStore } from '../store';

/** Changes the question to a kind, as one step. */
export function become(store: BenchStore, make: (question: Question) => Question, said: string): void {
  const { question, do: act } = store.getState();
  act(difference(question, make(question)), said);
}

export const KIND_NAMES: Readonly<Record<Question['kind'], string>> = {
  sort: 'Sort',
  label: 'Label',
  mark: 'Mark',
  gaps: 'Gaps',
  order: 'Order',
  count: 'Count',
  build: 'Build',
  pick: 'Pick',
  free: 'Free',
};
export const KIND_WORDS: Readonly<Record<Question['kind'], string>> = {
  sort: 'items into groups',
  label: 'names or pictures to places',
  mark: 'every spot of a kind found',
  gaps: 'words into a text',
  order: 'a sequence',
  count: 'an amount into containers',
  build: 'pieces fitted together',
  pick: 'the right ones chosen in place',
  free: 'anything, arranged by hand',
};

export const LAYOUT_NAMES: Readonly<Record<Layout, string>> = {
  trayBelow: 'tray below',
  trayLeft: 'tray left',
  twoColumns: 'two columns',
  threeColumns: 'three columns',
  rows: 'rows',
  ring: 'ring',
  stair: 'stair',
};
export const LAYOUT_OPTIONS = LAYOUTS.map((layout) => [layout, LAYOUT_NAMES[layout]] as const);
