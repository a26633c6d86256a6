import { type Column, type SQL, type SQLWrapper, sql } from 'drizzle-orm';
import type { Database } from './open';

/**
 * The rows of a query that has many, as one JSON text: reading row by row takes many times as long. `names`: those of
 * the columns, in the order of the query. A `Row` has them as SQLite does: times in milliseconds, flags as 0 and 1,
 * numbers to fifteen digits.
 */
export async function manyRows<Row extends object>(
  db: Database,
  query: SQLWrapper,
  names: readonly (keyof Row & string)[],
): Promise<Row[]> {
  const columns = sql.raw(names.map((_, i) => `c${i}`).join(', '));
  const fields = sql.raw(names.map((name, i) => `'${name}', c${i}`).join(', '));
  const [row] = await db.all<{ rows: string }>(
    sql`with many(${columns}) as (select * from ${query}) select coalesce(json_group_array(json_object(${fields})), '[]') as rows from many`,
  );
  return JSON.parse(row?.rows ?? '[]') as Row[];
}

/** The condition that a column is one of some values: one parameter, however many they are. */
export const isAmong = (column: Column, values: readonly string[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(values)}))`;
