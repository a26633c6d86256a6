// Courses, their parts, and who changed marks in them.
import { array, boolean, number, object, string } from 'yup';
import { isLanguageTag, type LetterGrade } from '../core';
import { aWord, moment, name, one, revision, username, uuid, words, zone } from './fields';
import { MAX_PARTS } from './limits';
import { json, type Operation } from './operation';
import { type ReleaseDefaults, releaseDefaults } from './releases';
import { APPEARANCES, type Appearance, type AuditWhat, type CourseRight, REMOVABLE } from './vocabulary';

export interface CourseRow {
  id: string;
  title: string;
  learners: number;
  owner: string;
  right: CourseRight;
  archived: boolean;
}

export interface ReleaseRow {
  id: string;
  title: string;
  unitId: string | null;
  opensAt: Date | null;
  dueAt: Date | null;
  closesAt: Date | null;
  practice: boolean;
  createdAt: Date;
  /** Null: it is not withdrawn. */
  withdrawnAt: Date | null;
  edition: number;
  /** For how many learners it is, how many of them have started it, and how many have finished it. */
  learners: number;
  sat: number;
  finished: number;
}

export interface CourseView extends CourseRow {
  join: { code: string; until: Date | null } | null;
  /** With this code its small children sign in by pictures; null: they may not. */
  pictureCode: string | null;
  units: { id: string; title: string }[];
  releases: ReleaseRow[];
  /** The zone its times are meant in; null: none is said. */
  zone: string | null;
  /** The language that its learners' pages speak; null: each question's, else the reader's. */
  lang: string | null;
  appearance: Appearance;
  releaseDefaults: ReleaseDefaults;
  /** Its letter grades; none: marks are numbers alone. */
  letters: LetterGrade[];
  /** The platform that launches it; null: none. `roster`: its roster can be taken. */
  platform: { name: string; roster: boolean } | null;
  /** The revision that a write of its name, zone and join code has to name. */
  revision: number;
}

export interface CourseChange {
  readonly title?: string | undefined;
  /** Only for the owner. */
  readonly archived?: boolean | undefined;
  /** A new join code that is valid until then (null: until it is removed); `null` removes the code. */
  readonly join?: { readonly until: Date | null } | null | undefined;
  /** The zone its times are meant in; null: none is said. */
  readonly zone?: string | null | undefined;
  /** The language that its learners' pages speak; null: each question's, else the reader's. */
  readonly lang?: string | null | undefined;
  readonly appearance?: Appearance | undefined;
  readonly releaseDefaults?: ReleaseDefaults | undefined;
  readonly letters?: readonly LetterGrade[] | undefined;
  /** The revision it was made on, where it matters. */
  readonly from?: number | undefined;
}

export interface CourseSaved {
  title: string;
  join: { code: string; until: Date | null } | null;
  zone: string | null;
  lang: string | null;
  appearance: Appearance;
  releaseDefaults: ReleaseDefaults;
  letters: LetterGrade[];
  revision: number;
}

export interface TeacherRow {
  id: string;
  name: string;
  username: string | null;
}

export interface AuditRow {
  n: number;
  at: Date;
  by: string;
  what: AuditWhat;
  release: string | null;
  /** Null: about nobody in particular, or about a learner whose account is deleted. */
  learner: string | null;
  detail: Record<string, unknown>;
}

export interface UnitRow {
  readonly id: string;
  readonly title: string;
}

export interface CategoryRow extends UnitRow {
  readonly weight: number;
}

export interface GroupRow extends UnitRow {
  readonly learners: number;
  readonly revision: number;
}

export interface CourseParts {
  units: UnitRow[];
  categories: CategoryRow[];
  groups: GroupRow[];
  /** The revision that a write of the units, or of the categories, has to name. */
  unitsRevision: number;
  categoriesRevision: number;
  /** The zone the course's times are meant in; null: none is said. */
  zone: string | null;
  releaseDefaults: ReleaseDefaults;
}

/** The effects of removing a unit, a weight category or a group. */
export interface RemovalEffects {
  /** The releases that refer to it. */
  releases: { id: string; title: string }[];
  /** For a group: the number of its learners, and the releases that are for it alone and would be for nobody. */
  learners: number;
  forNobody: string[];
  /** The overall marks that would change, from 0 to 1; null: none. */
  marks: { learnerId: string; name: string; before: number | null; after: number | null }[];
}

export interface InvitationRow {
  courseId: string;
  course: string;
  teacher: string;
}

export const titled = object({ id: uuid(), title: name(200) });

export const picturesAllowed = object({ allowed: boolean().required() });

const MAX_LETTERS = 20;

/** Letter grades: each begins at a share of its own. */
export const letterGrades = array(
  object({
    letter: string().trim().min(1, 'Type a letter').max(10, 'At most 10 characters').required('Type a letter'),
    from: number().min(0, 'From 0 to 100 %').max(1, 'From 0 to 100 %').required('Type where it begins'),
  }),
)
  .max(MAX_LETTERS, `At most ${MAX_LETTERS}`)
  .test('own', 'Two letters begin at the same mark, or have the same name', (letters) => {
    const all = letters ?? [];
    return (
      new Set(all.map(({ from }) => from)).size === all.length &&
      new Set(all.map(({ letter }) => letter)).size === all.length
    );
  });

export const courseChange = object({
  title: name(200).optional(),
  archived: boolean(),
  join: object({ until: moment() }).nullable().default(undefined).optional(),
  zone: zone().nullable().default(undefined),
  lang: string()
    .test('language', 'has to be a language tag, as en or pt-BR', (tag) => tag == null || isLanguageTag(tag))
    .nullable()
    .default(undefined),
  appearance: aWord(APPEARANCES).optional(),
  releaseDefaults: releaseDefaults.default(undefined).optional(),
  letters: letterGrades.default(undefined).optional(),
  from: revision(),
});

export const units = object({
  from: revision(),
  units: array(object({ id: uuid(), title: name(200) }))
    .max(MAX_PARTS)
    .required(),
});

export const categories = object({
  from: revision(),
  categories: array(
    object({
      id: uuid(),
      title: name(100),
      weight: number().min(0, 'No less than 0').max(1000, 'At most 1000').required('Give it a weight'),
    }),
  )
    .max(MAX_PARTS)
    .required(),
});

/** `from`: null where there was none. */
export const group = object({ id: uuid(), title: name(100), from: number().integer().min(1).nullable().defined() });

export const removal = object({ id: uuid(), kind: aWord(REMOVABLE), of: uuid() });

export const member = object({ learnerId: string().min(1).max(100).required(), isIn: boolean().required() });

export const coTeacher = object({ username: username(), teaches: boolean().required() });

/** The part to be removed from a course. */
export const removing = object({ kind: one(REMOVABLE).required('is missing'), of: words(60).required('is missing') });

export const courseOperations = {
  'GET /api/courses': { who: 'teacher', does: 'The courses the teacher owns or teaches.', answer: json<CourseRow[]>() },
  'POST /api/courses': { who: 'teacher', does: 'Makes a course.', body: titled, answer: json<{ id: string }>() },
  'GET /api/courses/{id}': { who: 'teacher', does: 'A course and its releases.', answer: json<CourseView>() },
  'PATCH /api/courses/{id}': {
    who: 'teacher',
    does: 'Renames a course, archives it or brings it back, or sets its join code.',
    body: courseChange,
    answer: json<CourseSaved>(),
  },
  'GET /api/courses/{id}/audit': {
    who: 'teacher',
    does: 'Who changed marks in a course, or what they rest on, the newest first.',
    answer: json<AuditRow[]>(),
  },
  'GET /api/courses/{id}/parts': {
    who: 'teacher',
    does: 'The units, weight categories and groups of a course.',
    answer: json<CourseParts>(),
  },
  'PUT /api/courses/{id}/units': {
    who: 'teacher',
    does: 'Saves the units of a course, all of them at once, in their order.',
    body: units,
    maxBytes: 256 * 1024,
    answer: json<CourseParts>(),
  },
  'PUT /api/courses/{id}/categories': {
    who: 'teacher',
    does: 'Saves the weight categories of a course, all of them at once.',
    body: categories,
    maxBytes: 256 * 1024,
    answer: json<CourseParts>(),
  },
  'PUT /api/courses/{id}/groups': {
    who: 'teacher',
    does: 'Makes a group, or gives it another name.',
    body: group,
    answer: json<CourseParts>(),
  },
  'PUT /api/courses/{id}/groups/{group}': {
    who: 'teacher',
    does: 'Puts a learner into a group, or takes them out of it.',
    body: member,
    answer: json<null>(),
  },
  'GET /api/courses/{id}/removals': {
    who: 'teacher',
    does: 'What removing a unit, a weight category or a group would do, and to which marks.',
    query: removing,
    answer: json<RemovalEffects>(),
  },
  'POST /api/courses/{id}/removals': {
    who: 'teacher',
    does: 'Removes a unit, a weight category or a group. What named it goes on without.',
    body: removal,
    answer: json<CourseParts>(),
  },
  'DELETE /api/courses/{id}/removals/{removal}': {
    who: 'teacher',
    does: 'Undoes a removal: what was removed is there again, with everything that referred to it.',
    answer: json<CourseParts>(),
  },
  'PUT /api/courses/{id}/pictures': {
    who: 'teacher',
    does: 'Lets learners of a course sign in with a code, their name and pictures, or not any more.',
    body: picturesAllowed,
    answer: json<{ code: string | null }>(),
  },
  'GET /api/courses/{id}/teachers': { who: 'teacher', does: 'Who teaches a course.', answer: json<TeacherRow[]>() },
  'PUT /api/courses/{id}/teachers': {
    who: 'teacher',
    does: 'Makes a teacher a co-teacher of a course, or no longer.',
    body: coTeacher,
    answer: json<TeacherRow[]>(),
  },
  'GET /api/invitations': {
    who: 'learner',
    does: 'The courses the learner is asked into.',
    answer: json<InvitationRow[]>(),
  },
  'PUT /api/invitations/{course}': {
    who: 'learner',
    does: 'The learner says yes, and is in the course from then on.',
    answer: json<null>(),
  },
  'DELETE /api/invitations/{course}': {
    who: 'learner',
    does: 'The learner says no to an invitation.',
    answer: json<null>(),
  },
} as const satisfies Readonly<Record<string, Operation>>;
