// A learner's attempt.
import { boolean, object, type Schema } from 'yup';
import type { MovesView, QuestionView, Reckoning, Rich, SentMove } from '../core';
import { isIndex, listOf, numberText, wholeNumber } from './fields';
import { MAX_MOVES_AT_ONCE, MAX_TYPED } from './limits';
import type { MediumKind } from './media';
import { file, json, type Operation } from './operation';
import { MOVE } from './shapes';
import type { Appearance, Counts } from './vocabulary';

/** The learner's place in a set. */
export interface Place {
  /** From 0. */
  at: number;
  count: number;
  goBack: boolean;
  reached: number;
  tried: number[];
  ended: number[];
  /** The title of its section; empty: none. */
  section: string;
  /** The question does not count any more. */
  struck: boolean;
  /** Deferred feedback: there is no Check button. */
  deferred: boolean;
  /** The attempt has ended and can only be viewed. */
  finished: boolean;
}

/** A source in a learner's terms; its medium and captions are asked for by its number. */
export interface SourceView {
  n: number;
  title: string;
  text: Rich | null;
  medium: { kind: MediumKind; description: string } | null;
  captioned: boolean;
  /** For a film at another address. */
  address: string | null;
}

export interface SittingView extends QuestionView {
  id: string;
  release: string;
  course: string;
  courseLang: string | null;
  appearance: Appearance;
  /** The number of the last move the server has. */
  last: number;
  place: Place;
  /** What stands beside the question. */
  sources: SourceView[];
  /** The end of the attempt, and the seconds until then by the server's clock; null: no limit. */
  ends: { at: string; seconds: number } | null;
}

export interface Sent {
  /** The question's place in the sitting. */
  readonly question: number;
  /** The number of the last move the browser knows the server to have. */
  readonly after: number;
  readonly moves: readonly SentMove[];
}

export interface MovesAnswer extends MovesView {
  last: number;
}

/** What corrections did to a mark, in points, and the reasons given. */
export interface Corrected {
  before: { points: number; outOf: number };
  after: { points: number; outOf: number };
  reasons: string[];
}

/** The summary of a finished attempt, as far as the author shows it. */
export interface Summary {
  id: string;
  finishedAt: Date;
  questions: {
    title: string;
    /** It does not count any more. */
    struck: boolean;
    tries: number;
    fullMarks: boolean | null;
    /** True if the learner reached it. */
    seen: boolean;
    /** Its points, and the points earned; null: not shown. */
    points: number;
    earned: number | null;
    reckoning: Reckoning | null;
  }[];
  /** Null if not all marks are shown. */
  total: { mark: number; max: number } | null;
  /** Null: nothing was corrected, or the marks are not shown. */
  corrected: Corrected | null;
  /** True if the answers can be viewed again, with their feedback. */
  review: boolean;
}

export interface Titles {
  readonly release: string;
  readonly course: string;
  /** The course's language; null: none is said. */
  readonly courseLang: string | null;
  /** How the course's pages look. */
  readonly appearance: Appearance;
}

/** What a learner sees before an attempt starts: when the release opens, or how long they will have. */
export interface Before extends Titles {
  id: string;
  questions: number;
  minutes: number | null;
  closesAt: Date | null;
  opensAt: Date | null;
}

export interface Finished extends Summary, Titles {
  releaseId: string;
  /** True if another attempt may be started. */
  another: boolean;
  /** Which of several counts. */
  counts: Counts;
}

/**
 * An opened release: a question to answer (or, in a finished attempt, to view), the summary, or what comes before the
 * start.
 */
export type Opened =
  | { open: SittingView; finished: null; before: null }
  | { open: null; finished: Finished; before: null }
  | { open: null; finished: null; before: Before };

const isName = (value: unknown) => typeof value === 'string' && value.length <= 64;

/** `question`: the number of the question, from 1; left out: where the learner is. */
export const opening = object({ question: numberText(999).min(1, 'has to be a whole number from 1') });

export const goingTo = object({ question: wholeNumber() });

/**
 * A medium for a learner: `w` the width of a picture in pixels; `captions`: the captions instead, as WebVTT; `q`: the
 * index of the question in the edition.
 */
const width = () => numberText(99_999).default(null).nullable();

const captions = () => boolean().default(false);

export const sittingMedium = object({ q: numberText(99_999).default(0), w: width(), captions: captions() });

export const sittingSource = object({ w: width(), captions: captions() });

export function isMove(value: unknown): value is SentMove {
  if (value === null || typeof value !== 'object') return false;
  const { id, kind, item, copy, zone, at, text, ...rest } = value as Record<string, unknown>;
  if (typeof id !== 'string' || !/^[0-9a-f-]{36}$/.test(id)) return false;
  if (kind === 'reset' || kind === 'check' || kind === 'hint') return Object.keys(value).length === 2;
  if (text !== undefined)
    return (
      kind === 'put' &&
      isName(zone) &&
      typeof text === 'string' &&
      text.length <= MAX_TYPED &&
      Object.keys(value).length === 4
    );
  if (!isName(item) || !isIndex(copy) || !(at === undefined || isIndex(at))) return false;
  if (kind === 'put') return (zone === null || isName(zone)) && Object.keys(rest).length === 0;
  return (
    kind === 'drop' &&
    zone === undefined &&
    Object.keys(rest).sort().join() === 'px,py,x,y' &&
    Object.values(rest).every(Number.isFinite)
  );
}
/** Moves, each with an id: the server stores each id of an attempt once. */
const moves = listOf(isMove, MAX_MOVES_AT_ONCE, 'is not a move', MOVE, 1)
  .required()
  .test('ids', 'has the id of another move', (value, { path, createError }) => {
    if (!Array.isArray(value) || value.length > MAX_MOVES_AT_ONCE || !value.every(isMove)) return true;
    const ids = new Set<string>();
    const again = value.findIndex(({ id }) => ids.size === ids.add(id).size);
    return again === -1 || createError({ path: `${path}[${again}].id` });
  });
export const sentMoves: Schema<{ question: number; after: number; moves: SentMove[] }> = object({
  question: wholeNumber(),
  after: wholeNumber(),
  moves,
});

const SHOWN = ['image/*', 'audio/*', 'video/*', 'text/vtt'] as const;

export const sittingOperations = {
  'GET /api/releases/{id}/sittings': {
    who: 'learner',
    does: 'A release as the learner’s page opens it: a question, what a finished sitting came to, or what there is before it is begun.',
    query: opening,
    answer: json<Opened>(),
  },
  'POST /api/releases/{id}/sittings': {
    who: 'learner',
    does: 'Begins a sitting: the first, or another after a finished one. While one runs it is that one.',
    answer: json<Opened>(),
  },
  'POST /api/sittings/{id}/at': {
    who: 'learner',
    does: 'Goes to a question of a sitting.',
    body: goingTo,
    answer: json<SittingView>(),
  },
  'POST /api/sittings/{id}/moves': {
    who: 'learner',
    does: 'Stores a learner’s moves, in order and each once, and judges them where that is due.',
    body: sentMoves,
    // The bytes of the most moves of one request, with room to spare.
    maxBytes: 256 * 1024,
    answer: json<MovesAnswer>(),
  },
  'POST /api/sittings/{id}/finish': { who: 'learner', does: 'Finishes a sitting.', answer: json<Summary>() },
  'GET /api/sittings/{id}/media/{name}': {
    who: 'learner',
    does: 'A medium, by the name it has in the learner’s sitting.',
    query: sittingMedium,
    answer: file(...SHOWN),
  },
  'GET /api/sittings/{id}/sources/{n}': {
    who: 'learner',
    does: 'What a source shows, by its number in the sitting’s edition.',
    query: sittingSource,
    answer: file(...SHOWN),
  },
} as const satisfies Readonly<Record<string, Operation>>;
