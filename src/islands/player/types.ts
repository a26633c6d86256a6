import type { LearnerQuestion, Verdict } from '../../core';

// What the server says of a sitting (src/server/sittings/view.ts): the islands know it by shape alone.
export interface NamedCopy {
  item: string;
  copy: number;
}
export interface BoardView {
  zones: { zone: string; held: (NamedCopy & { x?: number; y?: number; settled: number })[] }[];
  loose: (NamedCopy & { x: number; y: number })[];
}
export interface TryView {
  number: number;
  mark: number;
  max: number;
  fullMarks: boolean;
  verdicts: (NamedCopy & { verdict: Verdict })[];
  goingHome: NamedCopy[];
}
export interface SittingView {
  id: string;
  release: string;
  course: string;
  last: number;
  question: LearnerQuestion;
  board: BoardView;
  lastTry: TryView | null;
  tries: number;
  best: { mark: number; max: number } | null;
  ended: boolean;
}
export interface Answer {
  last: number;
  lastTry: TryView | null;
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
