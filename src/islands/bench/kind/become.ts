import { difference, type Question } from '../../../core';
import { LAYOUTS, type Layout } from '../../../core/kinds';
import { KIND_NAMES } from '../../shared/kindNames';
import type { BenchStore } from '../store';

/** Changes the question to a kind, as one step. */
export function become(store: BenchStore, make: (question: Question) => Question, said: string): void {
  const { question, do: act } = store.getState();
  act(difference(question, make(question)), said);
}

/** The question that was made of a pasted list, as one step. */
export function becomePasted(store: BenchStore, made: Question): void {
  const { items, zones, kind } = made;
  become(store, () => made, `${KIND_NAMES[kind]} with ${items.length} items and ${zones.length} zones`);
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
