// Accounts: sessions, the installation, a person's data.
import { array, boolean, object, string } from 'yup';
import { isUsername, type Move, USERNAME_RULE } from '../core';
import { one } from './fields';
import { MAX_PASSWORD, MIN_PASSWORD } from './limits';
import { file, json, type Operation } from './operation';
import { PICTURES, PICTURES_CHOSEN, type PictureName, type SecurityWhat } from './vocabulary';

/** The settings of the installation. */
export interface InstallationSettings {
  /** Teachers may enrol any account at once, without an invitation. */
  readonly directEnrolment: boolean;
}

export interface InstallationView extends InstallationSettings {
  /** The person who asks may change it. */
  mayChange: boolean;
}

export interface SecurityRow {
  at: Date;
  what: SecurityWhat;
  address: string | null;
}

export interface SessionRow {
  id: string;
  since: Date;
  seen: Date;
  address: string | null;
  browser: string | null;
  /** It is the session of the request. */
  here: boolean;
}

/** A learner's data as a file, for the learner or their teacher (`docs/format/README.md`). Times are ISO 8601. */
export interface PersonalData {
  format: 'vault-drop/personal-data';
  version: 1;
  exportedAt: string;
  account: { name: string; username: string | null; createdAt: string };
  /** The sessions of the account; only in the learner's own file. */
  signedIn?: { since: string; until: string; address: string | null; browser: string | null }[];
  courses: PersonalCourse[];
}

export interface PersonalCourse {
  title: string;
  /** Null: not enrolled any more. */
  onRosterSince: string | null;
  groups: string[];
  releases: PersonalRelease[];
}

export interface PersonalRelease {
  title: string;
  allowed: { moreMinutes: number; moreSittings: number; dueAt: string | null; closesAt: string | null } | null;
  excused: boolean;
  /** What a teacher has noted; empty: nothing. */
  note: string;
  markByHand: { points: number | null; reason: string; at: string } | null;
  sittings: PersonalSitting[];
}

export interface PersonalSitting {
  number: number;
  startedAt: string;
  finishedAt: string | null;
  /** Null if the learner may not see the marks. */
  points: number | null;
  outOf: number;
  moves: {
    n: number;
    at: string;
    question: string;
    kind: Move['kind'];
    item?: string;
    zone?: string | null;
    x?: number;
    y?: number;
    text?: string;
  }[];
}

export interface Erased {
  /** The account was deleted too: it is in no other course. */
  account: boolean;
  sittings: number;
  /** The platforms that have marks of them. */
  elsewhere: string[];
}

export interface LeftRow {
  id: string;
  name: string;
  username: string | null;
}

const password = () =>
  string()
    .required('Type a password')
    .min(MIN_PASSWORD, `At least ${MIN_PASSWORD} characters`)
    .max(MAX_PASSWORD, `At most ${MAX_PASSWORD} characters`);

export const newLearner = object({
  name: string()
    .required('Type a name')
    .max(100, 'At most 100 characters')
    .matches(/^[^\p{Cc}]*$/u, 'A name has no line breaks or tabs in it'),
  username: string().required('Type a user name').max(200).test('username', USERNAME_RULE, isUsername),
  password: password(),
});

export const newPassword = object({ password: password() });

export const installation = object({ directEnrolment: boolean().required() });

/** A small child signs in: the code of the course, their name as they type it, and their pictures in order. */
export const pictureSignIn = object({
  code: string().max(40).required(),
  name: string().max(100).required(),
  pictures: array(one(PICTURES).required()).length(PICTURES_CHOSEN).required(),
});

const joinCode = () => string().trim().min(1, 'Type the code').max(40, 'A code is shorter').required('Type the code');

export const joining = object({ code: joinCode() });

export const registering = newLearner.concat(object({ code: joinCode() }));

export const accountOperations = {
  'GET /api/account/events': {
    who: 'signedIn',
    does: 'What happened to the person’s account, the newest first.',
    answer: json<SecurityRow[]>(),
  },
  'GET /api/account/sessions': {
    who: 'signedIn',
    does: 'Where the person is signed in.',
    answer: json<SessionRow[]>(),
  },
  'DELETE /api/account/sessions': {
    who: 'signedIn',
    does: 'Signs the person out everywhere but here.',
    answer: json<{ ended: number }>(),
  },
  'DELETE /api/account/sessions/{id}': {
    who: 'signedIn',
    does: 'Signs out one of the person’s browsers.',
    answer: json<null>(),
  },
  'GET /api/account/calendar': {
    who: 'signedIn',
    does: 'Whether the person’s dates can be read at a secret address, and since when.',
    answer: json<{ madeAt: Date | null }>(),
  },
  'PUT /api/account/calendar': {
    who: 'signedIn',
    does: 'Makes a secret address at which a calendar program reads the person’s dates. The one before is taken back.',
    answer: json<{ path: string; madeAt: Date }>(),
  },
  'DELETE /api/account/calendar': {
    who: 'signedIn',
    does: 'Takes the secret address back.',
    answer: json<{ madeAt: Date | null }>(),
  },
  'GET /api/calendar/{secret}.ics': {
    who: 'anyone',
    does: 'The dates of whoever made the secret address, as iCalendar (RFC 5545).',
    answer: file('text/calendar'),
  },
  'GET /api/me': {
    who: 'learner',
    does: 'All data of the learner who asks, as a file.',
    answer: file('application/json'),
  },
  'GET /api/installation': {
    who: 'teacher',
    does: 'The settings of the installation.',
    answer: json<InstallationView>(),
  },
  'PUT /api/installation': {
    who: 'teacher',
    does: 'Changes the settings of the installation. Administrators only.',
    body: installation,
    answer: json<InstallationView>(),
  },
  'PUT /api/learners/{id}/password': {
    who: 'teacher',
    does: 'Sets a new password for a learner whose account the teacher made.',
    body: newPassword,
    answer: json<null>(),
  },
  'PUT /api/learners/{id}/pictures': {
    who: 'teacher',
    does: 'Draws new pictures for a learner whose account the teacher made, and tells them this once.',
    answer: json<{ pictures: PictureName[] }>(),
  },
  'POST /api/joining': {
    who: 'learner',
    does: 'A learner joins a course by its code.',
    body: joining,
    answer: json<{ course: string }>(),
  },
  'PUT /api/joining': {
    who: 'anyone',
    does: 'Somebody without an account makes one with a course’s code.',
    body: registering,
    answer: json<{ course: string }>(),
  },
  'GET /api/health': {
    who: 'anyone',
    does: 'Whether the application can store what it is sent.',
    answer: file('application/json'),
  },
  'GET /api/ping': {
    who: 'anyone',
    does: 'Neither session nor database: what a request costs by itself.',
    answer: file('application/json'),
  },
} as const satisfies Readonly<Record<string, Operation>>;
