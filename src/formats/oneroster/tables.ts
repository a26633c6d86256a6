// OneRoster 1.2, CSV binding: the columns of its files, in the order in which they are written.

/** How the values of a column have to be. */
export type Values = 'text' | 'id' | 'ids' | 'date' | 'boolean' | 'number' | readonly string[];
export interface Column {
  readonly name: string;
  readonly values: Values;
  /** It may not be empty. */
  readonly needed: boolean;
}

const column = (name: string, values: Values = 'text'): Column => ({ name, values, needed: false });
const needed = (name: string, values: Values = 'text'): Column => ({ name, values, needed: true });
const BASE = [
  needed('sourcedId', 'id'),
  column('status', ['active', 'tobedeleted', 'inactive']),
  column('dateLastModified'),
];

/** The roles of an enrolment. */
export const ROLES = [
  ...['administrator', 'aide', 'guardian', 'parent', 'proctor', 'relative', 'student', 'teacher'],
] as const;

/** The files that come in. */
export const IN = {
  orgs: [...BASE, ...[needed('name'), needed('type'), column('identifier'), column('parentSourcedId', 'id')]],
  academicSessions: [
    ...[...BASE, needed('title'), needed('type'), needed('startDate', 'date'), needed('endDate', 'date')],
    ...[column('parentSourcedId', 'id'), needed('schoolYear')],
  ],
  courses: [
    ...[...BASE, column('schoolYearSourcedId', 'id'), needed('title'), column('courseCode'), column('grades')],
    ...[needed('orgSourcedId', 'id'), column('subjects'), column('subjectCodes')],
  ],
  classes: [
    ...[...BASE, needed('title'), column('grades'), needed('courseSourcedId', 'id'), column('classCode')],
    ...[needed('classType', ['homeroom', 'scheduled']), column('location'), needed('schoolSourcedId', 'id')],
    ...[needed('termSourcedIds', 'ids'), column('subjects'), column('subjectCodes'), column('periods')],
  ],
  users: [
    ...[...BASE, needed('enabledUser', 'boolean'), needed('username'), column('userIds'), needed('givenName')],
    ...[needed('familyName'), column('middleName'), column('identifier'), column('email'), column('sms')],
    ...[column('phone'), column('agentSourcedIds', 'ids'), column('grades'), column('password')],
    ...[column('userMasterIdentifier'), column('preferredGivenName'), column('preferredMiddleName')],
    ...[column('preferredFamilyName'), column('primaryOrgSourcedId', 'id'), column('pronouns')],
  ],
  roles: [
    ...[...BASE, needed('userSourcedId', 'id'), needed('roleType', ['primary', 'secondary']), needed('role')],
    ...[column('beginDate', 'date'), column('endDate', 'date'), needed('orgSourcedId', 'id')],
    column('userProfileSourcedId', 'id'),
  ],
  enrollments: [
    ...[...BASE, needed('classSourcedId', 'id'), needed('schoolSourcedId', 'id'), needed('userSourcedId', 'id')],
    ...[needed('role', ROLES), column('primary', 'boolean'), column('beginDate', 'date'), column('endDate', 'date')],
  ],
} as const satisfies Readonly<Record<string, readonly Column[]>>;
export type FileIn = keyof typeof IN;

/** The files that go out. */
export const OUT = {
  categories: [...BASE, needed('title'), column('weight', 'number')],
  lineItems: [
    ...[...BASE, needed('title'), column('description'), needed('assignDate', 'date'), needed('dueDate', 'date')],
    ...[needed('classSourcedId', 'id'), needed('categorySourcedId', 'id'), column('gradingPeriodSourcedId', 'id')],
    ...[column('academicSessionSourcedId', 'id'), column('schoolSourcedId', 'id')],
    ...[column('resultValueMin', 'number'), column('resultValueMax', 'number')],
  ],
  results: [
    ...[...BASE, needed('lineItemSourcedId', 'id'), needed('studentSourcedId', 'id')],
    needed('scoreStatus', ['exempt', 'fully graded', 'not submitted', 'partially graded', 'submitted']),
    ...[column('score', 'number'), needed('scoreDate', 'date'), column('comment'), column('textScore')],
    ...[column('classSourcedId', 'id'), column('inProgress', 'boolean'), column('incomplete', 'boolean')],
    ...[column('late', 'boolean'), column('missing', 'boolean')],
  ],
  lineItemLearningObjectiveIds: [
    ...[...BASE, needed('lineItemSourcedId', 'id'), needed('source'), needed('learningObjectiveId')],
  ],
  resultLearningObjectiveIds: [
    ...[...BASE, needed('resultSourcedId', 'id'), column('score', 'number'), column('textScore')],
    ...[needed('source'), needed('learningObjectiveId')],
  ],
} as const satisfies Readonly<Record<string, readonly Column[]>>;
export type FileOut = keyof typeof OUT;

/** Every file that a manifest says something of. */
export const FILES = [
  ...['academicSessions', 'categories', 'classes', 'classResources', 'courses', 'courseResources', 'demographics'],
  ...['enrollments', 'lineItemLearningObjectiveIds', 'lineItems', 'lineItemScoreScales', 'orgs', 'resources'],
  ...['resultLearningObjectiveIds', 'results', 'resultScoreScales', 'roles', 'scoreScales', 'userProfiles'],
  ...['userResources', 'users'],
];

export const VERSION = '1.2';
