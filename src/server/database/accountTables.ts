import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { SecurityWhat, TokenScope } from '../../contract';

// The tables of better-auth (it sets their names and columns), and the counters of sign-in tries.
const moment = (name: string) => integer(name, { mode: 'timestamp_ms' });

export const user = sqliteTable(
  'user',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    emailVerified: integer('email_verified', { mode: 'boolean' }).notNull().default(false),
    image: text('image'),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
    username: text('username').unique(),
    displayUsername: text('display_username'),
    role: text('role', { enum: ['teacher', 'learner'] })
      .notNull()
      .default('learner'),
    /** The teacher who made a learner's account: only they may reset its password. */
    madeBy: text('made_by'),
    /** True if the teacher may change the settings of the installation. */
    isAdmin: integer('is_admin', { mode: 'boolean' }).notNull().default(false),
    twoFactorEnabled: integer('two_factor_enabled', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('user_made_by').on(t.madeBy)],
);

/** The second factor of an account; secret and codes are encrypted by better-auth. */
export const twoFactor = sqliteTable(
  'two_factor',
  {
    id: text('id').primaryKey(),
    secret: text('secret').notNull(),
    backupCodes: text('backup_codes').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    verified: integer('verified', { mode: 'boolean' }).default(true),
    failedVerificationCount: integer('failed_verification_count').default(0),
    lockedUntil: moment('locked_until'),
  },
  (t) => [index('two_factor_user').on(t.userId)],
);

export const session = sqliteTable(
  'session',
  {
    id: text('id').primaryKey(),
    expiresAt: moment('expires_at').notNull(),
    token: text('token').notNull().unique(),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
  },
  (t) => [index('session_user').on(t.userId)],
);

export const account = sqliteTable(
  'account',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: moment('access_token_expires_at'),
    refreshTokenExpiresAt: moment('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
  },
  (t) => [index('account_user').on(t.userId)],
);

export const verification = sqliteTable(
  'verification',
  {
    id: text('id').primaryKey(),
    identifier: text('identifier').notNull(),
    value: text('value').notNull(),
    expiresAt: moment('expires_at').notNull(),
    createdAt: moment('created_at').notNull(),
    updatedAt: moment('updated_at').notNull(),
  },
  (t) => [index('verification_identifier').on(t.identifier)],
);

export const rateLimit = sqliteTable('rate_limit', {
  id: text('id').primaryKey(),
  key: text('key').notNull().unique(),
  count: integer('count').notNull(),
  lastRequest: integer('last_request').notNull(),
});

/** Request counters, by limit and subject: `joining 203.0.113.5`. */
export const requestCount = sqliteTable('request_count', {
  key: text('key').primaryKey(),
  count: integer('count').notNull(),
  since: integer('since').notNull(),
});

/** Security events, deleted after their retention. */
export const securityEvent = sqliteTable(
  'security_event',
  {
    n: integer('n').primaryKey({ autoIncrement: true }),
    at: moment('at').notNull(),
    what: text('what').$type<SecurityWhat>().notNull(),
    /** The account it is about, and who did it; null: unknown. */
    userId: text('user_id'),
    by: text('by'),
    address: text('address'),
    detail: text('detail').notNull().default(''),
  },
  (t) => [index('security_event_at').on(t.at), index('security_event_user').on(t.userId, t.n)],
);

/** Tokens by which programs act as a teacher: the SHA-256 of each. */
export const accessToken = sqliteTable(
  'access_token',
  {
    id: text('id').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => user.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    hash: text('hash').notNull().unique(),
    scopes: text('scopes', { mode: 'json' }).$type<TokenScope[]>().notNull(),
    madeAt: moment('made_at').notNull(),
    expiresAt: moment('expires_at').notNull(),
    usedAt: moment('used_at'),
  },
  (t) => [index('access_token_of').on(t.personId)],
);

/** The settings of the installation. */
export const installation = sqliteTable('installation', {
  name: text('name').primaryKey(),
  value: text('value', { mode: 'json' }).$type<unknown>().notNull(),
});
