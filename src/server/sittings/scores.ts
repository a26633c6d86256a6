import { type SQL, sql } from 'drizzle-orm';
import type { Queries } from '../database/open';

/** What an attempt's standings come to, for its columns `points`, `tries` and `ended`. */
export const summedStandings = sql`(points, tries, ended) = (
  select coalesce(sum(standing.points), 0), coalesce(sum(standing.tries), 0), coalesce(sum(standing.ended), 0)
  from standing where standing.sitting_id = sitting.id)`;

/** Writes the sums anew after standings were replaced. `which`: a condition on `sitting`. */
export async function sumStandings(db: Queries, which: SQL): Promise<void> {
  await db.run(sql`update sitting set ${summedStandings} where ${which}`);
}
