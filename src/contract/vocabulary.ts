// The words that a value may be, each list once.

export const COUNTS = ['best', 'last', 'first', 'average'] as const;

export type Counts = (typeof COUNTS)[number];

/** When: with each check; once a sitting is finished; once the release has closed. */
export const FEEDBACK_TIMES = ['atOnce', 'finished', 'closed'] as const;

export type FeedbackTime = (typeof FEEDBACK_TIMES)[number];

/**
 * What a colleague may do with what stands on a shelf and on those in it: look at it, use it in sets and copies, or
 * change it.
 */
export const RIGHTS = ['see', 'use', 'edit'] as const;

export type Right = (typeof RIGHTS)[number];

/** What one may do with a question or a shelf: it is one's own, or it is shared with so much of a right. */
export type Access = 'own' | Right;

export const REMOVABLE = ['unit', 'category', 'group'] as const;

export type Removable = (typeof REMOVABLE)[number];

export type AuditWhat =
  | 'markSet'
  | 'markSetBack'
  | 'editionMade'
  | 'editionApplied'
  | 'allowed'
  | 'settings'
  | 'erased'
  | 'categories'
  | 'removed'
  | 'removalUndone'
  | 'reopened';

/** How a gradebook is sorted: by name, or by the whole mark. Who has none yet comes last. */
export const GRADE_SORTS = ['name', 'lowest', 'highest'] as const;

export type GradeSort = (typeof GRADE_SORTS)[number];

export const FINDINGS = ['error', 'warning', 'none'] as const;

export const USES = ['used', 'unused', 'start'] as const;

export const SORTS = ['changed', 'title'] as const;

export type JobState = 'waiting' | 'running' | 'done' | 'failed';

export type SecurityWhat =
  | 'signedIn'
  | 'signInRefused'
  | 'accountLocked'
  | 'signedOutEverywhere'
  | 'passwordChanged'
  | 'passwordReset'
  | 'accountMade'
  | 'adminGiven'
  | 'adminTaken'
  | 'secondFactorOn'
  | 'secondFactorOff'
  | 'rightRefused'
  | 'installationChanged';

/** A course is one's own, or one teaches it with its owner. */
export type CourseRight = 'own' | 'teach';
