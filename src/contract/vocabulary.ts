// Vocabularies, each list once.

export const COUNTS = ['best', 'last', 'first', 'average'] as const;

export type Counts = (typeof COUNTS)[number];

/** The appearances of the learner's pages of a course. */
export const APPEARANCES = ['paper', 'slate', 'fieldNotes', 'highContrast', 'largePrint'] as const;

export type Appearance = (typeof APPEARANCES)[number];

/** The feedback times: at each check; once the attempt is finished; once the release has closed. */
export const FEEDBACK_TIMES = ['atOnce', 'finished', 'closed'] as const;

export type FeedbackTime = (typeof FEEDBACK_TIMES)[number];

/** A colleague's right on a shelf and the shelves on it: view, use in sets and copies, or change. */
export const RIGHTS = ['see', 'use', 'edit'] as const;

export type Right = (typeof RIGHTS)[number];

/** The access to a question or a shelf: one's own, or shared with a right. */
export type Access = 'own' | Right;

/** What is opened on the board. */
export const BOARD_SOURCES = ['question', 'set', 'release', 'unit'] as const;

export type BoardSource = (typeof BOARD_SOURCES)[number];

export const REMOVABLE = ['unit', 'category', 'group'] as const;

export type Removable = (typeof REMOVABLE)[number];

export const AUDITED = [
  'markSet',
  'markSetBack',
  'excused',
  'editionMade',
  'editionApplied',
  'allowed',
  'settings',
  'erased',
  'categories',
  'removed',
  'removalUndone',
  'reopened',
  'paperEntered',
] as const;

export type AuditWhat = (typeof AUDITED)[number];

/** The order of a gradebook: by name, by the first of their groups, or by the overall mark. */
export const GRADE_SORTS = ['name', 'group', 'overall'] as const;

/** What a gradebook can be filtered by: the state of a release's cell, or what is said of it. */
export const GRADE_FILTERS = [
  ...(['done', 'running', 'missing', 'none', 'excused', 'notFor'] as const),
  ...(['late', 'byHand', 'noted'] as const),
] as const;

export type GradeFilter = (typeof GRADE_FILTERS)[number];

export const FINDINGS = ['error', 'warning', 'none'] as const;

export const USES = ['used', 'unused', 'start'] as const;

export const SORTS = ['changed', 'title'] as const;

/** The pictures that small children sign in with: plain things, told apart at a glance. */
export const PICTURES = [
  ...(['leaf', 'sprout', 'flower', 'tree', 'apple', 'carrot', 'cherry', 'grape'] as const),
  ...(['wheat', 'sun', 'cloud', 'moon', 'bird', 'fish', 'snail', 'beetle'] as const),
] as const;

export type PictureName = (typeof PICTURES)[number];

/** How many of them are chosen, in their order. */
export const PICTURES_CHOSEN = 3;

/** The mornings on which Today is sent by e-mail. */
export const MAIL_DAYS = ['everyDay', 'schoolDays', 'mondays'] as const;

export type MailDays = (typeof MAIL_DAYS)[number];

export const JOB_STATES = ['waiting', 'running', 'done', 'failed'] as const;

export type JobState = (typeof JOB_STATES)[number];

/** What is in the outbox: to be sent, given up, or arrived. */
export const OUTBOX_STATES = ['waiting', 'failed', 'arrived'] as const;

export type OutboxState = (typeof OUTBOX_STATES)[number];

/**
 * What an access token may be used for: reading the Vault and courses; making questions and sets; publishing and
 * running courses; marks, answers and learners.
 */
export const TOKEN_SCOPES = ['read', 'author', 'publish', 'results'] as const;

export type TokenScope = (typeof TOKEN_SCOPES)[number];

export const SECURITY_EVENTS = [
  'signedIn',
  'signInRefused',
  'accountLocked',
  'signedOutEverywhere',
  'passwordChanged',
  'passwordReset',
  'accountMade',
  'adminGiven',
  'adminTaken',
  'secondFactorOn',
  'secondFactorOff',
  'rightRefused',
  'installationChanged',
  'platformAdded',
  'platformRemoved',
  'launchRefused',
  'accountsJoined',
  'keyTurned',
  'recordStoreNamed',
  'recordStoreRemoved',
  'oneRosterTaken',
  'tokenMade',
  'tokenTakenBack',
] as const;

export type SecurityWhat = (typeof SECURITY_EVENTS)[number];

/** The right on a course: one's own, or as a co-teacher. */
export type CourseRight = 'own' | 'teach';
