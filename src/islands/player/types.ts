import type { MovesView, QuestionView, Reckoning, Rich } from '../../core';

export type { BoardView, NamedCopy, Told, TryView } from '../../core';

// What the server says of a sitting (src/server/sittings/view.ts, finish.ts): the islands know it by shape alone.
export interface Place {
  /** From 0. */
  at: number;
  count: number;
  goBack: boolean;
  reached: number;
  tried: number[];
  ended: number[];
  section: string;
  quiet: boolean;
  finished: boolean;
}
export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  last: number;
  place: Place;
  ends: { at: string; seconds: number } | null;
  sources: {
    n: number;
    title: string;
    text: Rich | null;
    medium: { kind: 'picture' | 'sound' | 'film'; description: string } | null;
    captioned: boolean;
    address: string | null;
  }[];
}
export interface Answer extends MovesView {
  last: number;
}
export interface Summary {
  id: string;
  /** `fullMarks` null: the marks of that question are not shown. */
  /** Each answer can be looked at again. */
  review: boolean;
  questions: { title: string; seen: boolean; tries: number; fullMarks: boolean | null; points: number; earned: number | null; reckoning: Reckoning | null }[];
  total: { mark: number; max: number } | null;
}

export type LocalMove =
  | { kind: 'drop'; item: string; copy: number; x: number; y: number; px: number; py: number; at?: number }
  | { kind: 'put'; item: string; copy: number; zone: string | null; at?: number }
  | { kind: 'put'; zone: string; text: string }
  | { kind: 'reset' }
  | { kind: 'check' }
  | { kind: 'hint' };
export type SentMove = LocalMove & { id: string };
