import { difference, type Question } from '../../../core';
import { LAYOUTS, type Layout } from '../../../core/kinds';
import type { BenchStore } from '../store';

/** Changes the question to a kind, as one step. */
export function become(store: BenchStore, make: (question: Question) => Question, said: string): void {
  const { question, do: act } = store.getState();
  act(difference(question, make(question)), said);
}

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
