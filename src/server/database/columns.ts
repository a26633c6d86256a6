import { integer, text } from 'drizzle-orm/sqlite-core';
import { user } from './accountTables';

/** A time, in milliseconds since 1970. */
export const moment = (name: string) => integer(name, { mode: 'timestamp_ms' });
/** The owner. */
export const owner = (name: string) =>
  text(name)
    .notNull()
    .references(() => user.id);
