// A release on paper, and sheets of it that are typed in.
import { array, number, object, string } from 'yup';
import type { Question } from '../core';
import { moment, numberText, uuid } from './fields';
import { json, type Operation } from './operation';
import type { SourceContent } from './sets';

/** Sheets that differ in what was drawn and in their order. */
export const MAX_VARIANT = 99;

export interface SheetQuestion {
  /** As it was drawn for the variant. */
  readonly document: Question;
  /** Where its items lie at the start, by index: scene units. */
  readonly homes: readonly { readonly x: number; readonly y: number }[];
  /** By item index: its letter; by zone index: its number. Null: it is not on the sheet. */
  readonly letters: readonly (string | null)[];
  readonly numbers: readonly (number | null)[];
  readonly points: number;
  /** It counts for nobody, and need not be typed in. */
  readonly struck: boolean;
  /** The title of the section that it begins; null: it stands in the one before it. */
  readonly begins: string | null;
}

export interface SheetView {
  readonly release: { readonly id: string; readonly title: string; readonly course: string; readonly courseId: string };
  readonly variant: number;
  readonly questions: readonly SheetQuestion[];
  readonly sources: readonly (Pick<SourceContent, 'title' | 'text' | 'medium'> & { readonly before: number })[];
}

/** A learner to whom a sheet may belong, and what was typed in for them last. */
export interface SheetLearner {
  readonly learnerId: string;
  readonly name: string;
  readonly entered: { readonly sittingId: string; readonly variant: number; readonly points: number } | null;
}

export interface SheetEntered {
  readonly points: number;
  readonly outOf: number;
  /** Which of the learner's attempts it is, from 1. */
  readonly number: number;
}

const answer = object({
  places: array(object({ number: number().integer().min(1).max(500).required(), text: string().max(500).defined() }))
    .max(500)
    .required(),
  marks: array(
    object({ x: number().min(-100_000).max(100_000).required(), y: number().min(-100_000).max(100_000).required() }),
  )
    .max(200)
    .required(),
});

/** A sheet as it was written. `id`: of the attempt; one that is known already is written anew. */
export const sheetEntry = object({
  id: uuid(),
  learnerId: uuid(),
  variant: number().integer().min(1).max(MAX_VARIANT).required(),
  /** When it was written; null: now. */
  writtenAt: moment(),
  /** By the place of the question on the sheet. */
  answers: array(answer.required()).max(500).required(),
});

export const variantAsked = object({ variant: numberText(MAX_VARIANT).min(1).default(1) });

export const paperOperations = {
  'GET /api/releases/{id}/paper': {
    who: 'teacher',
    does: 'A variant of a release on paper, with its letters and numbers.',
    query: variantAsked,
    answer: json<SheetView>(),
  },
  'GET /api/releases/{id}/paper/learners': {
    who: 'teacher',
    does: 'The learners to whom a sheet may belong, with what was typed in for them.',
    answer: json<readonly SheetLearner[]>(),
  },
  'POST /api/releases/{id}/paper': {
    who: 'teacher',
    does: 'Types in a sheet: an attempt on paper, judged as any other.',
    body: sheetEntry,
    answer: json<SheetEntered>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
