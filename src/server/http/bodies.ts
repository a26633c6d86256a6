import { array, boolean, mixed, number, object, type Schema, string } from 'yup';
import { type Edit, isZone, type Kind, LIST_FIELDS, NAMED_FIELDS, type SentMove, TELLS } from '../../core';
import { KINDS, MOST_CAPTIONS } from '../../core/document';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '../accounts/password';
import { COUNTS, REMOVABLE, RIGHTS, type Right, TELLS_WHEN } from '../database/tables';
import type { JsonSchema } from './jsonSchema';
import { EDIT, MOVE, QUESTION } from './shapes';
import { uuid as anyUuid } from './uuid';

/** What may be sent to the endpoints, one schema each. Yup is used strictly: nothing is turned into another type. */
const uuid = () => anyUuid().required('is missing');
const wholeNumber = () => number().integer().min(0).required();
/** The revision something was changed on, which a write of the whole of it names. */
const revision = () => number().integer().min(1).required('is missing: the revision it was changed on');
const MAX_EDITS = 5000;
const MAX_MOVES = 500;

/** A list whose entries a function tests one by one: quick however long it is, and the first that is wrong is named by its place. */
const listOf = <T>(is: (value: unknown) => value is T, max: number, message: string, json: JsonSchema, min = 0) =>
  mixed<T[]>((value): value is T[] => Array.isArray(value))
    .typeError('has to be a list')
    .test('entries', message, (value, { path, createError }) => {
      if (value === undefined || value === null) return true;
      if (value.length < min) return createError({ message: min === 1 ? 'is empty' : `At least ${min} entries` });
      if (value.length > max) return createError({ message: `At most ${max} entries` });
      const wrong = value.findIndex((one) => !is(one));
      return wrong === -1 || createError({ path: `${path}[${wrong}]`, message });
    })
    .meta({ json: { type: 'array', items: json, maxItems: max, ...(min > 0 ? { minItems: min } : {}) } });

export const newThing = object({ id: uuid() });
export const titled = object({ id: uuid(), title: string().trim().min(1, 'Give it a name').max(200, 'At most 200 characters').required('Give it a name') });
export const copyBody = object({ id: uuid(), document: mixed().meta({ json: QUESTION }) });
const shelfTitle = () => string().trim().min(1, 'Give it a name').max(100, 'At most 100 characters').required('Give it a name');
const isOneOf = (values: readonly string[], value: unknown) => typeof value === 'string' && values.includes(value);
/** Deleted or brought back; kept as a starting point or no longer: one of the two. */
export const questionChange = object({ deleted: boolean().notRequired(), startingPoint: boolean().notRequired() }).test(
  'one',
  'has to say deleted or startingPoint',
  (value) => (typeof value.deleted === 'boolean') !== (typeof value.startingPoint === 'boolean'),
);
export const newQuestion = object({
  id: uuid(),
  shelfId: string().uuid().nullable(),
  example: mixed<Kind>((value): value is Kind => isOneOf(KINDS, value))
    .typeError('has to be a kind of question')
    .meta({ json: { enum: KINDS } })
    .notRequired(),
});

const tag = () => string().trim().min(1, 'A tag has at least one character').max(60, 'At most 60 characters').required();
const MOST_AT_ONCE = 500;
export const questionsChange = object({
  ids: array(uuid()).min(1).max(MOST_AT_ONCE, `At most ${MOST_AT_ONCE} at once`).required(),
  shelfId: string().uuid().nullable(),
  deleted: boolean(),
  addTags: array(tag()).max(20, 'At most 20 tags at once'),
  removeTags: array(tag()).max(20, 'At most 20 tags at once'),
});
export const newShelf = object({ id: uuid(), title: shelfTitle(), parentId: string().uuid().nullable().defined() });
export const shelfChange = object({ title: shelfTitle().optional(), parentId: string().uuid().nullable() });
const right = () =>
  mixed<Right>((value): value is Right => isOneOf(RIGHTS, value))
    .meta({ json: { enum: RIGHTS } })
    .nullable();
export const shelfShare = object({
  username: string().trim().min(1, 'Type a user name').max(200).required('Type a user name'),
  right: right().defined(),
  /** What they may do as far as the teacher knows. */
  from: right().defined(),
});

const password = () =>
  string().min(SHORTEST_PASSWORD, `At least ${SHORTEST_PASSWORD} characters`).max(LONGEST_PASSWORD, `At most ${LONGEST_PASSWORD} characters`).required('Type a password');
export const newLearner = object({
  name: string()
    .min(1, 'Type a name')
    .max(100, 'At most 100 characters')
    .matches(/^[^\p{Cc}]*$/u, 'A name has no line breaks or tabs in it')
    .required('Type a name'),
  username: string()
    .matches(/^[A-Za-z0-9_.]{2,60}$/, '2 to 60 letters, digits, dots or underscores')
    .required('Type a user name'),
  password: password(),
});
export const newPassword = object({ password: password() });

const MOST_MINUTES = 10_080;
const MOST_QUESTIONS = 200;
const moment = () =>
  mixed<string>((value): value is string => typeof value === 'string')
    .test('moment', 'has to be a time such as 2026-11-25T10:00:00Z', (value) => value == null || (/^\d{4}-\d\d-\d\dT[\d:.]+Z$/.test(value) && !Number.isNaN(Date.parse(value))))
    .meta({ json: { type: 'string', format: 'date-time', description: 'In UTC, as 2026-11-25T10:00:00Z' } })
    .nullable()
    .default(null);

const ids = (most: number) => array(uuid()).max(most).required();
const aWord = <const T extends string>(words: readonly T[]) =>
  mixed<T>((value): value is T => isOneOf(words, value))
    .typeError(`has to be one of ${words.join(', ')}`)
    .meta({ json: { enum: words } })
    .required();
const releaseSettings = {
  title: string().trim().min(1, 'Give it a name').max(200, 'At most 200 characters').optional(),
  unitId: string().uuid().nullable().default(null),
  opensAt: moment(),
  dueAt: moment(),
  closesAt: moment(),
  minutes: number().integer().min(1, 'At least one minute').max(MOST_MINUTES, 'At most a week').nullable().default(null),
  sittings: number().integer().min(1, 'At least one').max(100, 'At most 100').nullable().defined(),
  counts: aWord(COUNTS),
  practice: boolean().required(),
  categoryId: string().uuid().nullable().default(null),
  tells: aWord(TELLS),
  tellsWhen: aWord(TELLS_WHEN),
  audience: object({ groups: ids(200), learners: ids(2000) })
    .nullable()
    .default(null),
};
export const releaseChange = object({ ...releaseSettings, from: revision() });
export const allowed = object({
  learnerId: string().min(1).max(100).required(),
  allowed: object({
    moreMinutes: number().integer().min(0, 'No less than 0').max(MOST_MINUTES, 'At most a week').required(),
    moreSittings: number().integer().min(0, 'No less than 0').max(100, 'At most 100').required(),
    dueAt: moment(),
    closesAt: moment(),
  })
    .nullable()
    .default(null),
});

export const handMark = object({
  learnerId: string().min(1).max(100).required(),
  mark: object({
    points: number().min(0, 'No less than 0').max(100_000, 'Too many').required('Type the points'),
    reason: string().trim().min(1, 'Say why').max(500, 'At most 500 characters').required('Say why'),
    above: boolean().default(false),
  })
    .nullable()
    .default(null),
});
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
    .max(MOST_QUESTIONS)
    .required();
/** What a correction would change; with `number`: make it. */
export const correction = object({
  reason: string().trim().max(1000, 'At most 1000 characters').defined(),
  changes: changes(),
  number: number().integer().min(2).nullable().default(null),
});

/** `spare`: marks that would fall stay as they are. */
export const applying = object({ spare: boolean().default(false) });

const name = (most: number) => string().trim().min(1, 'Give it a name').max(most, `At most ${most} characters`).required('Give it a name');
const MOST_PARTS = 200;
export const courseChange = object({
  title: name(200).optional(),
  archived: boolean(),
  join: object({ until: moment() }).nullable().default(undefined),
  zone: string()
    .max(60)
    .test('zone', 'This is no time zone', (name) => name === undefined || name === null || isZone(name))
    .nullable()
    .default(undefined),
  from: revision(),
});
export const units = object({
  from: revision(),
  units: array(object({ id: uuid(), title: name(200) }))
    .max(MOST_PARTS)
    .required(),
});
export const categories = object({
  from: revision(),
  categories: array(object({ id: uuid(), title: name(100), weight: number().min(0, 'No less than 0').max(1000, 'At most 1000').required('Give it a weight') }))
    .max(MOST_PARTS)
    .required(),
});
/** `from`: null where there was none. */
export const group = object({ id: uuid(), title: name(100), from: number().integer().min(1).nullable().defined() });
export const removal = object({ id: uuid(), kind: aWord(REMOVABLE), of: uuid() });
export const member = object({ learnerId: string().min(1).max(100).required(), isIn: boolean().required() });
export const coTeacher = object({ username: string().trim().min(1, 'Type a user name').max(200).required('Type a user name'), teaches: boolean().required() });
export const roster = object({
  text: string().min(1, 'Paste a list').max(2_000_000, 'At most two million characters').required('Paste a list'),
  take: boolean().required(),
  removeOthers: boolean().default(false),
});
export const takenOff = object({ learners: array(string().min(1).max(100).required()).min(1).max(500).required() });
const joinCode = () => string().trim().min(1, 'Type the code').max(40, 'A code is shorter').required('Type the code');
export const joining = object({ code: joinCode() });
export const registering = newLearner.concat(object({ code: joinCode() }));
/** The settings of a release with their times as times. */
export const timed = <T extends { opensAt: string | null; dueAt: string | null; closesAt: string | null }>(settings: T) => ({
  ...settings,
  opensAt: at(settings.opensAt),
  dueAt: at(settings.dueAt),
  closesAt: at(settings.closesAt),
});
export const at = (moment: string | null): Date | null => (moment === null ? null : new Date(moment));

/** A question as it stood at a revision, or a set: one of the two. */
export const publication = object({
  id: uuid(),
  courseId: uuid(),
  questionId: uuid().notRequired(),
  revision: number().integer().min(0),
  setId: uuid().notRequired(),
  settings: object(releaseSettings).default(undefined),
}).test(
  'content',
  'has to name a question with its revision, or a set',
  (value) => (value.setId === undefined) === (value.questionId !== undefined && value.revision !== undefined),
);

const sha256 = () =>
  string()
    .matches(/^[0-9a-f]{64}$/, 'has to be a SHA-256')
    .required();

const points = () => number().min(0, 'No less than 0 points').max(1000, 'At most 1000 points');

const setFields = {
  title: string().trim().min(1, 'Give it a name').max(200, 'At most 200 characters').required('Give it a name'),
  goBack: boolean().required(),
  sections: array(
    object({
      title: string().max(200, 'At most 200 characters').defined(),
      draw: object({ count: number().integer().min(1, 'At least one').max(MOST_QUESTIONS).required(), points: points().required() })
        .nullable()
        .default(null),
      questions: array(object({ id: uuid(), points: points().nullable().default(null) }))
        .max(MOST_QUESTIONS, `At most ${MOST_QUESTIONS} questions`)
        .required(),
    }),
  )
    .max(50, 'At most 50 sections')
    .test('questions', `At most ${MOST_QUESTIONS} questions`, (sections) => (sections ?? []).reduce((sum, { questions }) => sum + (questions?.length ?? 0), 0) <= MOST_QUESTIONS)
    .required(),
  sources: array(
    object({
      id: uuid(),
      title: string().max(200, 'At most 200 characters').defined(),
      text: string().max(100_000, 'At most 100,000 characters').defined(),
      medium: object({
        hash: sha256(),
        kind: string()
          .oneOf(['picture', 'sound', 'film'] as const)
          .required(),
        description: string().max(2000, 'At most 2000 characters').defined(),
      })
        .nullable()
        .default(null),
      captions: string().max(MOST_CAPTIONS, 'At most 200,000 characters').defined(),
      address: string().max(2000, 'At most 2000 characters').optional(),
      questions: array(uuid()).max(MOST_QUESTIONS).required(),
    }),
  )
    .max(20, 'At most 20 sources')
    .optional(),
};
export const setContent = object(setFields);
export const setChange = object({ ...setFields, from: revision() });
const MOST_ROWS = 2000;
const MOST_CELLS = 12;
const MAX_CELL = 2000;
const isRow = (value: unknown): value is string[] =>
  Array.isArray(value) && value.length >= 1 && value.length <= MOST_CELLS && value.every((cell) => typeof cell === 'string' && cell.length <= MAX_CELL);
const ROW: JsonSchema = { type: 'array', items: { type: 'string', maxLength: MAX_CELL }, minItems: 1, maxItems: MOST_CELLS };
const titleAndRows = {
  title: string().trim().min(1, 'Give it a name').max(200, 'At most 200 characters').required('Give it a name'),
  rows: listOf(isRow, MOST_ROWS, `has to be 1 to ${MOST_CELLS} columns of at most ${MAX_CELL} characters`, ROW, 1).required(),
  pictures: array(
    object({
      word: string().min(1).max(2000, 'At most 2000 characters').required(),
      hash: sha256(),
      description: string().max(2000, 'At most 2000 characters').defined(),
      weight: wholeNumber(),
    }),
  )
    .max(MOST_ROWS, `At most ${MOST_ROWS} pictures`)
    .optional(),
};
export const newStockList = object({ id: uuid(), ...titleAndRows });
export const stockListContent = object({ ...titleAndRows, from: revision() });

export const installation = object({ directEnrolment: boolean().required() });
/** How many of its minutes are left; null where it has no end. */
export const reopening = object({ minutes: number().integer().min(1, 'At least one minute').max(MOST_MINUTES, 'At most a week').nullable().default(null) });

export const goingTo = object({ question: wholeNumber() });

const isPlace = (value: unknown) => Number.isInteger(value) && (value as number) >= 0;
const isEntry = (value: unknown) => value !== null && typeof value === 'object' && typeof (value as { id?: unknown }).id === 'string';

/** The outer shape of an edit; what it does to the document is judged by the document's own schema. */
function isEdit(value: unknown): value is Edit {
  if (value === null || typeof value !== 'object') return false;
  const edit = value as Record<string, unknown>;
  switch (edit.type) {
    case 'setQuestion':
      return typeof edit.field === 'string';
    case 'set':
      return isOneOf(LIST_FIELDS, edit.in) && typeof edit.id === 'string' && typeof edit.field === 'string' && edit.field !== 'id';
    case 'add':
    case 'remove':
      return isOneOf(LIST_FIELDS, edit.in) && isPlace(edit.index) && isEntry(edit.entry);
    case 'move':
      return isOneOf(LIST_FIELDS, edit.in) && isPlace(edit.from) && isPlace(edit.to);
    case 'name':
      return isOneOf(NAMED_FIELDS, edit.in) && typeof edit.name === 'string' && (edit.to === null || typeof edit.to === 'object');
    default:
      return false;
  }
}
export const batch: Schema<{ id: string; from: number; edits: Edit[] }> = object({
  id: uuid(),
  from: wholeNumber(),
  edits: listOf(isEdit, MAX_EDITS, 'is not an edit', EDIT).required(),
});

const isName = (value: unknown) => typeof value === 'string' && value.length <= 64;
const isIndex = (value: unknown) => Number.isInteger(value) && (value as number) >= 0;
/** A text typed into a zone, in characters. */
const MOST_TYPED = 400;
function isMove(value: unknown): value is SentMove {
  if (value === null || typeof value !== 'object') return false;
  const { id, kind, item, copy, zone, at, text, ...rest } = value as Record<string, unknown>;
  if (typeof id !== 'string' || !/^[0-9a-f-]{36}$/.test(id)) return false;
  if (kind === 'reset' || kind === 'check' || kind === 'hint') return Object.keys(value).length === 2;
  if (text !== undefined) return kind === 'put' && isName(zone) && typeof text === 'string' && text.length <= MOST_TYPED && Object.keys(value).length === 4;
  if (!isName(item) || !isIndex(copy) || !(at === undefined || isIndex(at))) return false;
  if (kind === 'put') return (zone === null || isName(zone)) && Object.keys(rest).length === 0;
  return kind === 'drop' && zone === undefined && Object.keys(rest).sort().join() === 'px,py,x,y' && Object.values(rest).every(Number.isFinite);
}
/** Moves, each with an id of its own: the server stores each id of a sitting once. */
const moves = listOf(isMove, MAX_MOVES, 'is not a move', MOVE, 1)
  .required()
  .test('ids', 'has the id of another move', (value, { path, createError }) => {
    if (!Array.isArray(value) || value.length > MAX_MOVES || !value.every(isMove)) return true;
    const ids = new Set<string>();
    const again = value.findIndex(({ id }) => ids.size === ids.add(id).size);
    return again === -1 || createError({ path: `${path}[${again}].id` });
  });
export const sentMoves: Schema<{ question: number; after: number; moves: SentMove[] }> = object({ question: wholeNumber(), after: wholeNumber(), moves });
