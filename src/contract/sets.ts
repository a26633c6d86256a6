// Sets of questions.
import { array, boolean, number, object, string } from 'yup';
import { AIDS, type Aid, type Kind, type Question, type Section } from '../core';
import { MAX_CAPTIONS } from '../core/document';
import { titled } from './courses';
import { name, one, points, revision, sha256, uuid } from './fields';
import { MAX_QUESTIONS } from './limits';
import { SOURCE_KINDS, type SourceKind } from './media';
import { json, type Operation } from './operation';

/** Material that stands beside questions of a set. `captions`: WebVTT, of a film or a sound. */
export interface SourceContent {
  readonly title: string;
  readonly text: string;
  readonly medium: { readonly hash: string; readonly kind: SourceKind; readonly description: string } | null;
  readonly captions: string;
  /** For a film at another address. */
  readonly address?: string | undefined;
}

export type SetSource = SourceContent & { readonly id: string; readonly questions: readonly string[] };

/** A question of a set, with the points it counts there; null: as many as its marks. */
export interface SetEntry {
  readonly id: string;
  readonly points: number | null;
}

export type SetSection = Section<SetEntry>;

/** `seconds`: about how long a sitting takes. `releases`: how many were published from it. */
export interface SetRow {
  id: string;
  title: string;
  questions: number;
  points: number;
  seconds: number;
  releases: number;
  changedAt: Date;
  /** Null: it is not deleted. */
  deletedAt: Date | null;
}

/** A release that was published from a set. */
export interface SetUse {
  id: string;
  title: string;
  course: string;
  at: Date;
}

/** `max`: the most its own marks come to. `seconds`: about how long it takes. */
export interface SetQuestion extends SetEntry {
  title: string;
  kind: Kind;
  max: number;
  seconds: number;
}

export interface SetView {
  id: string;
  title: string;
  goBack: boolean;
  aids: Aid[];
  sections: Section<SetQuestion>[];
  sources: SetSource[];
  /** The releases that were published from it, the latest first. */
  uses: SetUse[];
  /** The number of questions that the teacher may not use any more: deleted, or not shared any more. */
  gone: number;
  /** The revision that a write has to name. */
  revision: number;
}

export interface SetContent {
  readonly title: string;
  readonly goBack: boolean;
  /** Learners' aids with every question of it. */
  readonly aids?: readonly Aid[] | undefined;
  readonly sections: readonly SetSection[];
  readonly sources?: readonly SetSource[] | undefined;
}

/** `count`: the number of its questions. */
export interface EditionSection extends Omit<Section<never>, 'questions'> {
  readonly count: number;
}

/** A set with its questions whole. */
export interface WholeSet {
  readonly title: string;
  readonly goBack: boolean;
  readonly aids: readonly Aid[];
  readonly questions: readonly Question[];
  readonly points: readonly number[];
  readonly sections: readonly EditionSection[];
  readonly sources: readonly (SourceContent & { readonly questions: readonly number[] })[];
}

const setFields = {
  title: name(200),
  goBack: boolean().required(),
  aids: array(one(AIDS).required()).max(AIDS.length).optional(),
  sections: array(
    object({
      title: string().max(200, 'At most 200 characters').defined(),
      draw: object({
        count: number().integer().min(1, 'At least one').max(MAX_QUESTIONS).required(),
        points: points().required(),
      })
        .nullable()
        .default(null),
      shuffled: boolean().optional(),
      questions: array(object({ id: uuid(), points: points().nullable().default(null) }))
        .max(MAX_QUESTIONS, `At most ${MAX_QUESTIONS} questions`)
        .required(),
    }),
  )
    .max(50, 'At most 50 sections')
    .test(
      'questions',
      `At most ${MAX_QUESTIONS} questions`,
      (sections) => (sections ?? []).reduce((sum, { questions }) => sum + (questions?.length ?? 0), 0) <= MAX_QUESTIONS,
    )
    .required(),
  sources: array(
    object({
      id: uuid(),
      title: string().max(200, 'At most 200 characters').defined(),
      text: string().max(100_000, 'At most 100,000 characters').defined(),
      medium: object({
        hash: sha256(),
        kind: string().oneOf(SOURCE_KINDS).required(),
        description: string().max(2000, 'At most 2000 characters').defined(),
      })
        .nullable()
        .default(null),
      captions: string().max(MAX_CAPTIONS, 'At most 200,000 characters').defined(),
      address: string().max(2000, 'At most 2000 characters').optional(),
      questions: array(uuid()).max(MAX_QUESTIONS).required(),
    }),
  )
    .max(20, 'At most 20 sources')
    .optional(),
};

export const setContent = object(setFields);

/** `id`: the copy's, made by the client, so that a repeated request makes one. */
export const copied = object({ id: uuid() });

export const setChange = object({ ...setFields, from: revision() });

export const setOperations = {
  'GET /api/sets': {
    who: 'teacher',
    does: 'The teacher’s sets, the latest change first, and those that were deleted and can be brought back.',
    answer: json<SetRow[]>(),
  },
  'GET /api/sets/{id}': { who: 'teacher', does: 'A set, with the titles of its questions.', answer: json<SetView>() },
  'GET /api/sets/{id}/whole': {
    who: 'teacher',
    does: 'A set with its questions whole, as it is printed and published.',
    answer: json<WholeSet>(),
  },
  'POST /api/sets': { who: 'teacher', does: 'Makes a set.', body: titled, answer: json<{ id: string }>() },
  'PUT /api/sets/{id}': {
    who: 'teacher',
    does: 'Saves a set.',
    body: setChange,
    maxBytes: 2 * 1024 * 1024,
    answer: json<{ id: string; revision: number }>(),
  },
  'DELETE /api/sets/{id}': {
    who: 'teacher',
    does: 'Deletes a set. Its questions and releases stay, and it can be brought back.',
    answer: json<{ id: string }>(),
  },
  'POST /api/sets/{id}/restore': {
    who: 'teacher',
    does: 'Brings a deleted set back.',
    answer: json<{ id: string }>(),
  },
  'POST /api/sets/{id}/copies': {
    who: 'teacher',
    does: 'Makes a copy of a set; its questions are the same.',
    body: copied,
    answer: json<{ id: string }>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
