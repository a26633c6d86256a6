// Questions in the Vault.
import { array, boolean, mixed, number, object, type Schema, string } from 'yup';
import {
  type Edit,
  type FindingCounts,
  type Formula,
  KINDS,
  type Kind,
  LIST_FIELDS,
  MAX_TEX,
  NAMED_FIELDS,
  type Question,
  type Replaced,
  type Replacing,
} from '../core';
import { flag, from, isIndex, isOneOf, listOf, one, uuid, wholeNumber, words } from './fields';
import { MAX_AT_ONCE, MAX_EDITS_AT_ONCE, MAX_FILE_BYTES } from './limits';
import { file, json, type Operation } from './operation';
import { PLACES } from './places';
import { EDIT, QUESTION } from './shapes';
import { type Access, FINDINGS, SORTS, USES } from './vocabulary';

/** A search in the Vault. Left out: everything. */
export interface Sought {
  /** A shelf's id; `none`: on no shelf; `bin`: what was deleted. */
  readonly shelf?: string | undefined;
  readonly words?: string | undefined;
  readonly kind?: Kind | undefined;
  readonly findings?: (typeof FINDINGS)[number] | undefined;
  /** Used in a set or release of any teacher, used nowhere, or a starting point. */
  readonly use?: (typeof USES)[number] | undefined;
  readonly tag?: string | undefined;
  readonly sort?: (typeof SORTS)[number] | undefined;
  readonly from?: number | undefined;
}

export interface VaultRow {
  id: string;
  title: string;
  kind: Kind;
  /** Its maximum mark. */
  max: number;
  /** About how long it takes. */
  seconds: number;
  changedAt: Date;
  findings: FindingCounts;
  startingPoint: boolean;
  shelfId: string | null;
  tags: string[];
  access: Access;
  owner: string;
}

export interface VaultPage {
  rows: VaultRow[];
  /** Of all pages. */
  total: number;
  from: number;
}

export interface Uses {
  sets: { id: string; title: string; by: string; mine: boolean }[];
  releases: { id: string; title: string; course: string; by: string; mine: boolean }[];
}

export interface StoredQuestion {
  question: Question;
  access: Access;
  revision: number;
  changedAt: Date;
}

/**
 * A change of many questions at once: put onto a shelf (null: off any), deleted or brought back, tags added and
 * removed.
 */
export interface ManyChange {
  readonly ids: readonly string[];
  readonly shelfId?: string | null | undefined;
  readonly deleted?: boolean | undefined;
  readonly addTags?: readonly string[] | undefined;
  readonly removeTags?: readonly string[] | undefined;
}

/** The changed questions, and the former shelves of those that were moved, for undoing. */
export interface ManyChanged {
  changed: string[];
  stood: { shelfId: string | null; ids: string[] }[];
}

export interface Batch {
  /** Made by the client: the same batch sent again is answered, not applied again. */
  readonly id: string;
  /** The revision the edits were made on. */
  readonly from: number;
  readonly edits: readonly Edit[];
}

/** A version: the question as it was when its author paused. */
export interface VersionRow {
  readonly revision: number;
  readonly at: Date;
  readonly by: string;
  /** The number of changes since the version before. */
  readonly changes: number;
  readonly name: string | null;
}

export interface Imported {
  shelves: number;
  questions: { id: string; title: string }[];
  sets: { id: string; title: string }[];
  media: number;
  /** What was not imported, and why. */
  left: { file: string; message: string }[];
  /** What of a question came in otherwise than it was, from another program. */
  approximated: { title: string; message: string }[];
}

/** What a question of a package will become, before anything is taken. */
export interface ArrivingQuestion {
  /** What it is called in the package. */
  name: string;
  title: string;
  /** Null: it cannot be taken. */
  kind: Kind | null;
  /** Why it cannot be taken; null: it can. */
  refused: string | null;
  /** What of it comes in otherwise than it was. */
  approximations: string[];
  /** For its picture; null: it is none, or there are too many to draw them all. */
  question: Question | null;
}

/** What is in a package, before anything of it is taken. Questions and sets are ticked by their places in these lists. */
export interface LookedAtPackage {
  form: (typeof PACKAGE_FORMATS)[number];
  questions: ArrivingQuestion[];
  sets: { title: string; questions: number; approximations: string[] }[];
  shelves: number;
  /** What cannot be read, and why. */
  left: { file: string; message: string }[];
  /** Small pictures as data URLs, by the hash that questions name. */
  pictures: Record<string, string>;
}

/** As what questions leave: our own documents, or items of QTI 3.0. */
export const PACKAGE_FORMATS = ['own', 'qti'] as const;
/** What becomes of a question as an item of QTI. */
export interface CarriedQuestion {
  id: string;
  title: string;
  /** False: it cannot go out with the same marks. */
  carried: boolean;
  /** Why not, or what of it stays behind: the place in its document, and a sentence. */
  said: { path: string; message: string }[];
}

export const copyBody = object({ id: uuid(), document: mixed().meta({ json: QUESTION }) });

/** Either deleted or brought back, or made a starting point or not any more. */
export const questionChange = object({ deleted: boolean().notRequired(), startingPoint: boolean().notRequired() }).test(
  'one',
  'has to say deleted or startingPoint',
  (value) => (typeof value.deleted === 'boolean') !== (typeof value.startingPoint === 'boolean'),
);

/** What a version is called; null: nothing. */
export const versionName = object({ name: string().trim().min(1).max(100).nullable().defined() });

const batchId = uuid();
const batchEdits = listOf(isEdit, MAX_EDITS_AT_ONCE, 'is not an edit', EDIT).required();
/** Edits that are made on a question as it is stored first. */
const firstBatch: Schema<{ id: string; edits: Edit[] } | undefined> = object({ id: batchId, edits: batchEdits });

export const newQuestion = object({
  id: uuid(),
  shelfId: string().uuid().nullable(),
  example: mixed<Kind>((value): value is Kind => isOneOf(KINDS, value))
    .typeError('has to be a kind of question')
    .meta({ json: { enum: KINDS } })
    .notRequired(),
  /** What is changed at once, so that one request stores a question and what is in it. */
  first: firstBatch.notRequired().default(undefined),
});

const tag = () =>
  string().trim().min(1, 'A tag has at least one character').max(60, 'At most 60 characters').required();

export const questionsChange = object({
  ids: array(uuid()).min(1).max(MAX_AT_ONCE, `At most ${MAX_AT_ONCE} at once`).required(),
  shelfId: string().uuid().nullable(),
  deleted: boolean(),
  addTags: array(tag()).max(20, 'At most 20 tags at once'),
  removeTags: array(tag()).max(20, 'At most 20 tags at once'),
});

/** Words to be replaced in many questions; without `apply` it is said what would be done. */
export const wordsToReplace = object({
  ids: array(uuid()).min(1).max(MAX_AT_ONCE, `At most ${MAX_AT_ONCE} at once`).required(),
  find: string().min(1).max(200).required(),
  to: string().max(200).defined(),
  wholeWords: boolean().required(),
  matchCase: boolean().required(),
  apply: boolean().required(),
});
export interface WordsToReplace extends Replacing {
  readonly ids: readonly string[];
  readonly apply: boolean;
}
/** One of many questions that are changed in one go. */
export interface ChangedQuestion {
  readonly id: string;
  readonly title: string;
  /** The revision it came to; null: it was not changed. */
  readonly revision: number | null;
  readonly refused: string | null;
}
export interface Replacement extends ChangedQuestion {
  readonly count: number;
  /** Some of the places. */
  readonly places: readonly Replaced[];
}
export interface WordsReplaced {
  readonly questions: readonly Replacement[];
}
/** Questions to be dressed like another. */
export const dressing = object({
  ids: array(uuid()).min(1).max(MAX_AT_ONCE, `At most ${MAX_AT_ONCE} at once`).required(),
  like: uuid(),
});
export interface Dressing {
  readonly ids: readonly string[];
  readonly like: string;
}
export interface QuestionsDressed {
  readonly questions: readonly ChangedQuestion[];
}

export const manyUndone = object({
  done: array(object({ id: uuid().required(), revision: number().integer().required() }).required())
    .max(MAX_AT_ONCE)
    .required(),
});

const isEntry = (value: unknown) =>
  value !== null && typeof value === 'object' && typeof (value as { id?: unknown }).id === 'string';

/** The outer shape of an edit; its effect on the document is validated by the document's own schema. */
function isEdit(value: unknown): value is Edit {
  if (value === null || typeof value !== 'object') return false;
  const edit = value as Record<string, unknown>;
  switch (edit.type) {
    case 'setQuestion':
      return typeof edit.field === 'string';
    case 'set':
      return (
        isOneOf(LIST_FIELDS, edit.in) &&
        typeof edit.id === 'string' &&
        typeof edit.field === 'string' &&
        edit.field !== 'id'
      );
    case 'add':
    case 'remove':
      return isOneOf(LIST_FIELDS, edit.in) && isIndex(edit.index) && isEntry(edit.entry);
    case 'move':
      return isOneOf(LIST_FIELDS, edit.in) && isIndex(edit.from) && isIndex(edit.to);
    case 'name':
      return (
        isOneOf(NAMED_FIELDS, edit.in) &&
        typeof edit.name === 'string' &&
        (edit.to === null || typeof edit.to === 'object')
      );
    default:
      return false;
  }
}

export const batch: Schema<{ id: string; from: number; edits: Edit[] }> = object({
  id: batchId,
  from: wholeNumber(),
  edits: batchEdits,
});

/** A page of the Vault. `shelf`: a shelf's id; `none`: on no shelf; `bin`: what was deleted. */
export const sought = object({
  shelf: words(60),
  words: words(200),
  tag: words(60),
  kind: one(KINDS),
  findings: one(FINDINGS),
  use: one(USES),
  sort: one(SORTS),
  from: from(),
});

/** What to pack: a shelf, a set, or questions by their ids, separated by commas. */
export const packing = object({
  shelf: words(60),
  set: words(60),
  questions: string().matches(/^[0-9a-f-]{36}(,[0-9a-f-]{36})*$/, 'has to be ids with commas between'),
  format: one(PACKAGE_FORMATS).default('own'),
})
  .test(
    'one',
    'has to name a shelf, a set or questions',
    ({ shelf, set, questions }) => [shelf, set, questions].filter(Boolean).length === 1,
  )
  .test(
    'few',
    `At most ${MAX_AT_ONCE} questions at once`,
    ({ questions }) => (questions?.split(',').length ?? 0) <= MAX_AT_ONCE,
  );

/** Characters of a list of places: every other one of 2,000 is ticked. */
const MAX_PLACES = 12_000;
/** Places that are ticked in a list, from 0, as ranges: `0-5,8`; `none`: no place. Left out: all. */
const places = () => string().max(MAX_PLACES).matches(PLACES, 'has to be places such as 0-5,8, or none');

/**
 * The id of an import, made by the client: a package sent again under it is imported once. `look`: nothing is taken, it
 * is only said what is there.
 */
export const importing = object({ id: uuid(), look: flag(), questions: places(), sets: places() });

/** TeX to be drawn. */
export const texToDraw = object({ tex: string().trim().min(1).max(MAX_TEX).required() });

export const questionOperations = {
  'GET /api/questions': { who: 'teacher', does: 'A page of the Vault.', query: sought, answer: json<VaultPage>() },
  'POST /api/questions': {
    who: 'teacher',
    does: 'Makes a question: empty, or an example of a kind; with its first edits, if wanted.',
    body: newQuestion,
    maxBytes: 2 * 1024 * 1024,
    answer: json<{ id: string }>(),
  },
  'PATCH /api/questions': {
    who: 'teacher',
    does: 'Moves, tags, deletes or brings back many questions at once.',
    body: questionsChange,
    answer: json<ManyChanged>(),
  },
  'POST /api/questions/words': {
    who: 'teacher',
    does: 'Replaces words in many questions, or says what would be done.',
    body: wordsToReplace,
    answer: json<WordsReplaced>(),
  },
  'DELETE /api/questions/words': {
    who: 'teacher',
    does: 'Takes replaced words back, in the questions that nobody has changed since.',
    body: manyUndone,
    answer: json<{ questions: number }>(),
  },
  'POST /api/questions/dress': {
    who: 'teacher',
    does: 'Dresses many questions like one: its ground, letters and looks.',
    body: dressing,
    answer: json<QuestionsDressed>(),
  },
  'DELETE /api/questions/dress': {
    who: 'teacher',
    does: 'Takes a dress back, in the questions that nobody has changed since.',
    body: manyUndone,
    answer: json<{ questions: number }>(),
  },
  'POST /api/formulas': {
    who: 'teacher',
    does: 'Draws a formula typed as TeX: as MathML, and as it is spoken.',
    body: texToDraw,
    answer: json<Formula>(),
  },
  'GET /api/questions/{id}': { who: 'teacher', does: 'A question with its revision.', answer: json<StoredQuestion>() },
  'PATCH /api/questions/{id}': {
    who: 'teacher',
    does: 'Deletes a question or brings it back, or makes it a starting point.',
    body: questionChange,
    answer: json<null>(),
  },
  'POST /api/questions/{id}/copies': {
    who: 'teacher',
    does: 'Copies a question as it is stored, or (with a document) stores what the author has on the screen as a copy.',
    body: copyBody,
    maxBytes: 2 * 1024 * 1024,
    answer: json<{ id: string }>(),
  },
  'POST /api/questions/{id}/edits': {
    who: 'teacher',
    does: 'A batch of edits to a question, made on a revision of it. A batch sent twice counts once.',
    body: batch,
    maxBytes: 2 * 1024 * 1024,
    answer: json<{ revision: number; changedAt: Date }>(),
  },
  'GET /api/questions/{id}/uses': { who: 'teacher', does: 'Who uses a question, and where.', answer: json<Uses>() },
  'GET /api/questions/{id}/versions': {
    who: 'teacher',
    does: 'The versions of a question.',
    answer: json<VersionRow[]>(),
  },
  'GET /api/questions/{id}/versions/{revision}': {
    who: 'teacher',
    does: 'A question as it stood at a revision.',
    answer: json<{ question: Question }>(),
  },
  'PUT /api/questions/{id}/versions/{revision}': {
    who: 'teacher',
    does: 'Names a question as it stood at a revision.',
    body: versionName,
    answer: json<null>(),
  },
  'GET /api/tags': {
    who: 'teacher',
    does: 'The tags of the questions the teacher may see.',
    answer: json<{ tag: string; questions: number }[]>(),
  },
  'DELETE /api/bin': {
    who: 'teacher',
    does: 'Empties the bin: its questions are deleted for good.',
    answer: json<{ questions: number }>(),
  },
  'GET /api/packages': {
    who: 'teacher',
    does: 'Questions, a shelf or a set as one zip of documents and media, or of items of QTI 3.0.',
    query: packing,
    answer: file('application/zip'),
  },
  'GET /api/packages/carried': {
    who: 'teacher',
    does: 'What becomes of questions as items of QTI 3.0: which cannot be carried, and what stays behind.',
    query: packing,
    answer: json<CarriedQuestion[]>(),
  },
  'POST /api/packages': {
    who: 'teacher',
    does: 'Takes a package in: one of ours, or one of QTI 3.0, 2.2 or 2.1, as its parts say. `look`: only says what is in it. `questions` and `sets`: the places of what is ticked, such as `0-5,8`. Sent again under the same id, it comes in once.',
    query: importing,
    sends: 'application/zip',
    maxBytes: MAX_FILE_BYTES,
    answer: json<Imported | LookedAtPackage>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
