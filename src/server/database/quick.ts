import type { InValue } from '@libsql/client';
import { type Column, fillPlaceholders, is, Column as Stored } from 'drizzle-orm';
import type { Database } from './open';

/** What Drizzle has built of a select: the text, and its parameters with placeholders among them. */
interface Built {
  readonly sql: string;
  readonly params: readonly unknown[];
}

/**
 * A select that is asked with every move: its text and how its columns are read are found out once. `columns` are those
 * of the select, in their order. Drizzle does the same for each row anew, which takes longer than the select.
 */
export function quickSelect<Row>(
  columns: Readonly<Record<string, unknown>>,
  { sql, params }: Built,
): (db: Database, values: Record<string, unknown>) => Promise<Row[]> {
  const read = Object.entries(columns).map(([name, column]) => ({
    name,
    decode: is(column, Stored) ? (value: unknown) => (column as Column).mapFromDriverValue(value) : null,
  }));
  return async (db, values) => {
    const { rows } = await db.$client.execute({ sql, args: fillPlaceholders([...params], values) as InValue[] });
    return rows.map((row) => {
      const made: Record<string, unknown> = {};
      for (const [i, { name, decode }] of read.entries()) {
        const value = row[i] ?? null;
        made[name] = decode === null || value === null ? value : decode(value);
      }
      return made as Row;
    });
  };
}
