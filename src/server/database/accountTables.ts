import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

// The tables better-auth keeps (names and columns are its own), and what limits sign-in tries for one account.
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
    /** The teacher who made a learner's account, and alone may reset its password. */
    madeBy: text('made_by'),
  },
  (t) => [index('user_made_by').on(t.madeBy)],
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

export const signInFailure = sqliteTable('sign_in_failure', {
  account: text('account').primaryKey(),
  count: integer('count').notNull(),
  first: integer('first').notNull(),
});
