// Corrections of a release, and their effect on marks.
import { array, boolean, number, object, string } from 'yup';
import type { Edit, Question } from '../core';
import { wholeNumber } from './fields';
import { MAX_QUESTIONS } from './limits';
import { json, type Operation } from './operation';

export interface MarkChange {
  readonly sittingId: string;
  readonly learnerId: string;
  readonly before: { readonly points: number; readonly outOf: number };
  readonly after: { readonly points: number; readonly outOf: number };
}

/**
 * The correction of one question. `accept`: items that are right in a zone too; `spellings`: what, typed into a zone, is
 * read as an item too.
 */
export interface QuestionChange {
  readonly question: number;
  readonly strike: boolean;
  /** Take the question from the Vault as it is now. */
  readonly fromVault: boolean;
  readonly accept: readonly { readonly item: string; readonly zone: string }[];
  readonly spellings?: readonly { readonly item: string; readonly zone: string; readonly text: string }[] | undefined;
}

export interface Correction {
  readonly reason: string;
  readonly changes: readonly QuestionChange[];
}

export interface CorrectionView {
  release: { id: string; title: string; course: string; courseId: string };
  /** The newest edition, which corrections start from. */
  number: number;
  questions: {
    title: string;
    struck: boolean;
    points: number;
    document: Question;
    /** The Vault has another version, which fits (or does not fit) the moves. */
    vault: { document: Question; step: readonly Edit[]; fits: boolean } | null;
  }[];
  editions: {
    number: number;
    createdAt: Date;
    by: string;
    reason: string;
    applied: { at: Date; by: string; changes: NamedChange[]; spared: number } | null;
  }[];
}

export interface NamedChange extends MarkChange {
  name: string;
}

export interface CorrectionPreview {
  number: number;
  questions: { title: string; struck: boolean; before: Question; after: Question; step: readonly Edit[] }[];
  /** Every attempt whose mark would change. */
  changes: NamedChange[];
  /** The number of attempts. */
  sittings: number;
  /** Marks set by hand, with their maximum: a correction does not change them. */
  byHand: { learnerId: string; name: string; points: number; outOf: number }[];
}

export interface Applied {
  /** The number of changed marks, and of those spared because they would have fallen. */
  changes: number;
  spared: number;
}

/** An id within a question. */
const anyId = () => string().min(1).max(100).required();

const changes = () =>
  array(
    object({
      question: wholeNumber(),
      strike: boolean().required(),
      fromVault: boolean().required(),
      accept: array(object({ item: anyId(), zone: anyId() }))
        .max(200)
        .required(),
      spellings: array(object({ item: anyId(), zone: anyId(), text: string().min(1).max(200).required() }))
        .max(200)
        .default(undefined)
        .optional(),
    }),
  )
    .max(MAX_QUESTIONS)
    .required();

/** What a correction would change; with `number`: make it. */
export const correction = object({
  reason: string().trim().max(1000, 'At most 1000 characters').defined(),
  changes: changes(),
  number: number().integer().min(2).nullable().default(null),
});

/** `spare`: marks that would fall stay as they are. */
export const applying = object({ spare: boolean().default(false) });

export const correctionOperations = {
  'GET /api/releases/{id}/editions': {
    who: 'teacher',
    does: 'The editions of a release, and what can be corrected in the newest.',
    answer: json<CorrectionView>(),
  },
  'POST /api/releases/{id}/editions': {
    who: 'teacher',
    does: 'What a correction would change (without a number); with one, makes that edition.',
    body: correction,
    maxBytes: 256 * 1024,
    answer: json<CorrectionPreview | { number: number }>(),
  },
  'GET /api/releases/{id}/editions/{number}': {
    who: 'teacher',
    does: 'What applying an edition would do to marks already given.',
    answer: json<CorrectionPreview>(),
  },
  'PUT /api/releases/{id}/editions/{number}': {
    who: 'teacher',
    does: 'Applies the newest edition to marks already given.',
    body: applying,
    answer: json<Applied>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
