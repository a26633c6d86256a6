import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { user } from './accountTables';
import { moment } from './columns';
import { course } from './courseTables';
import { release } from './releaseTables';

// Learning platforms (LTI 1.3). Texts of theirs (issuer, sub, ids) are compared byte for byte.

/** A platform that launches us, by its issuer and the client id it gave us. */
export const platform = sqliteTable(
  'platform',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    issuer: text('issuer').notNull(),
    clientId: text('client_id').notNull(),
    authUrl: text('auth_url').notNull(),
    tokenUrl: text('token_url').notNull(),
    jwksUrl: text('jwks_url').notNull(),
    createdAt: moment('created_at').notNull(),
  },
  (t) => [uniqueIndex('platform_client').on(t.issuer, t.clientId)],
);

const ofPlatform = () =>
  text('platform_id')
    .notNull()
    .references(() => platform.id, { onDelete: 'cascade' });

export const platformDeployment = sqliteTable(
  'platform_deployment',
  { platformId: ofPlatform(), deploymentId: text('deployment_id').notNull() },
  (t) => [primaryKey({ columns: [t.platformId, t.deploymentId] })],
);

/**
 * Who a platform's person is here. Somebody who teaches in one course of theirs and learns in another has an account of
 * each role.
 */
export const ltiPerson = sqliteTable(
  'lti_person',
  {
    issuer: text('issuer').notNull(),
    sub: text('sub').notNull(),
    role: text('role', { enum: ['teacher', 'learner'] }).notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.issuer, t.sub, t.role] }), index('lti_person_of').on(t.personId)],
);

/** A course of a platform, and the course it is here. */
export const ltiContext = sqliteTable(
  'lti_context',
  {
    id: text('id').primaryKey(),
    platformId: ofPlatform(),
    deploymentId: text('deployment_id').notNull(),
    contextId: text('context_id').notNull(),
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    /** Where its names and roles are read; null: the platform has not said. */
    membershipsUrl: text('memberships_url'),
  },
  (t) => [
    uniqueIndex('lti_context_of').on(t.platformId, t.deploymentId, t.contextId),
    index('lti_context_course').on(t.courseId),
  ],
);

/** Where marks of a release go: the line of a platform's gradebook for one link. */
export const ltiLine = sqliteTable(
  'lti_line',
  {
    id: text('id').primaryKey(),
    contextId: text('context_id')
      .notNull()
      .references(() => ltiContext.id, { onDelete: 'cascade' }),
    releaseId: text('release_id')
      .notNull()
      .references(() => release.id, { onDelete: 'cascade' }),
    linkId: text('link_id').notNull(),
    /** The line's address; null: it is found or made under `linesUrl`. */
    url: text('url'),
    linesUrl: text('lines_url'),
    /** The platform takes scores for it. */
    takesScores: integer('takes_scores', { mode: 'boolean' }).notNull(),
  },
  (t) => [uniqueIndex('lti_line_of').on(t.contextId, t.releaseId, t.linkId), index('lti_line_release').on(t.releaseId)],
);

/** Who was launched through a line: their marks go there. */
export const ltiLinePerson = sqliteTable(
  'lti_line_person',
  {
    lineId: text('line_id')
      .notNull()
      .references(() => ltiLine.id, { onDelete: 'cascade' }),
    learnerId: text('learner_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    /** What the platform calls them. */
    sub: text('sub').notNull(),
  },
  (t) => [primaryKey({ columns: [t.lineId, t.learnerId] }), index('lti_line_of_learner').on(t.learnerId)],
);

/** A login that a platform has begun. It is good for one launch. */
export const ltiLogin = sqliteTable(
  'lti_login',
  {
    /** The SHA-256 of its state. */
    id: text('id').primaryKey(),
    platformId: ofPlatform(),
    nonce: text('nonce').notNull(),
    /** The SHA-256 of the secret in the browser's cookie. */
    browser: text('browser').notNull(),
    /** The teacher who was signed in as it began; null: nobody, or it is not known. */
    signedInAs: text('signed_in_as').references(() => user.id, { onDelete: 'cascade' }),
    expiresAt: moment('expires_at').notNull(),
    /** A launch has used it; it is kept until its token has expired. */
    usedAt: moment('used_at'),
  },
  (t) => [
    index('lti_login_expires').on(t.expiresAt),
    index('lti_login_platform').on(t.platformId),
    index('lti_login_person').on(t.signedInAs),
  ],
);

/** What a launch leaves to be done: signing in by a press, saying who one is, or choosing what is linked. */
export const ltiLaunch = sqliteTable(
  'lti_launch',
  {
    id: text('id').primaryKey(),
    contextId: text('context_id')
      .notNull()
      .references(() => ltiContext.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    /** The page it opens. */
    path: text('path').notNull(),
    /** The SHA-256 of the secret that signs the person in; null: they are. It is taken away when it is used. */
    ticket: text('ticket'),
    /** A teacher who may be the same person. */
    maybe: text('maybe').references(() => user.id, { onDelete: 'cascade' }),
    deepLink: text('deep_link', { mode: 'json' }).$type<DeepLinkRequest>(),
    expiresAt: moment('expires_at').notNull(),
  },
  (t) => [
    index('lti_launch_expires').on(t.expiresAt),
    index('lti_launch_context').on(t.contextId),
    index('lti_launch_person').on(t.personId),
    index('lti_launch_maybe').on(t.maybe),
  ],
);

/** What a platform said as it asked for something to link. */
export interface DeepLinkRequest {
  readonly returnUrl: string;
  /** Sent back unchanged; null: nothing was given. */
  readonly data: string | null;
  readonly takesLinks: boolean;
  readonly takesLines: boolean;
  readonly deploymentId: string;
}
