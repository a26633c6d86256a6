import { customType, integer, text } from 'drizzle-orm/sqlite-core';
import { type Question, upToDate } from '../../core';
import { user } from './accountTables';

/** A time, in milliseconds since 1970. */
export const moment = (name: string) => integer(name, { mode: 'timestamp_ms' });
/** The owner. */
export const owner = (name: string) =>
  text(name)
    .notNull()
    .references(() => user.id);

/** A question document as JSON: one of an older version is brought up to date as it is read. */
export const questionDocument = customType<{ data: Question; driverData: string }>({
  dataType: () => 'text',
  toDriver: (question) => JSON.stringify(question),
  fromDriver: (text) => upToDate(JSON.parse(text) as Question),
});
