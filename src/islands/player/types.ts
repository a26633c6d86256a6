import type { BoardView, NamedCopy, QuestionView, TryView } from '../../core';

export type { BoardView, NamedCopy, TryView };

// What the server says of a sitting (src/server/sittings/view.ts): the islands know it by shape alone.
export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  last: number;
}
export interface Answer {
  last: number;
  lastTry: TryView | null;
  /** The arrangement as it is after the moves, where only whoever has the key could say. */
  board?: BoardView;
  best: { mark: number; max: number } | null;
  tries: number;
  ended: boolean;
}

export type LocalMove =
  | { kind: 'drop'; item: string; copy: number; x: number; y: number; px: number; py: number }
  | { kind: 'put'; item: string; copy: number; zone: string | null }
  | { kind: 'reset' }
  | { kind: 'check' };
export type SentMove = LocalMove & { id: string };
