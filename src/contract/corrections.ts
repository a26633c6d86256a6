// What was wrong with a release, and what mending it does to marks.
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

/** What is to become of one question of an edition. `accept`: items that are right in a zone too. */
export interface QuestionChange {
  readonly question: number;
  readonly strike: boolean;
  /** As it stands in the Vault now. */
  readonly fromVault: boolean;
  readonly accept: readonly { readonly item: string; readonly zone: string }[];
}

export interface Correction {
  readonly reason: string;
  readonly changes: readonly QuestionChange[];
}

export interface CorrectionView {
  release: { id: string; title: string; course: string; courseId: string };
  /** The edition corrections are made to: the newest. */
  number: number;
  questions: {
    title: string;
    struck: boolean;
    points: number;
    document: Question;
    /** The Vault has another version of it, which can (or cannot) take its place. */
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
  /** Every sitting whose mark would change. */
  changes: NamedChange[];
  /** How many sittings there are. */
  sittings: number;
  /** Marks that were set by hand, and what they are out of: a correction leaves them as they are. */
  byHand: { learnerId: string; name: string; points: number; outOf: number }[];
}

export interface Applied {
  /** How many marks changed, and how many were left since they would have fallen. */
  changes: number;
  spared: number;
}

const changes = () =>
  array(
    object({
      question: wholeNumber(),
      strike: boolean().required(),
      fromVault: boolean().required(),
      accept: array(object({ item: string().min(1).max(100).required(), zone: string().min(1).max(100).required() }))
        .max(200)
        .required(),
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
