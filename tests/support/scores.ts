import { sql } from 'drizzle-orm';
import { expect } from 'vitest';
import type { Database } from '../../src/server/database/open';

/** What is kept of each attempt, beside what its moves and standings come to, worked out anew. */
const KEPT = sql`
  select sitting.id as id, sitting.moves, sitting.acted, sitting.first_move_at, sitting.last_move_at, sitting.points, sitting.tries, sitting.ended
  from sitting order by sitting.id`;
const WORKED_OUT = sql`
  select sitting.id as id,
    (select count(*) from move where move.sitting_id = sitting.id) as moves,
    (select count(*) > 0 from move where move.sitting_id = sitting.id and (body ->> '$.kind' in ('drop', 'put') or (body ->> '$.kind' = 'check' and not ending))) as acted,
    (select min(at) from move where move.sitting_id = sitting.id and not ending) as first_move_at,
    (select max(at) from move where move.sitting_id = sitting.id and not ending) as last_move_at,
    (select coalesce(sum(points), 0) from standing where standing.sitting_id = sitting.id) as points,
    (select coalesce(sum(tries), 0) from standing where standing.sitting_id = sitting.id) as tries,
    (select coalesce(sum(ended), 0) from standing where standing.sitting_id = sitting.id) as ended
  from sitting order by sitting.id`;

/** Every attempt's columns say what its moves and standings come to. Returns how many attempts there are. */
export async function expectScoresKept(db: Database): Promise<number> {
  const kept = await db.all<object>(KEPT);
  expect(kept).toEqual(await db.all(WORKED_OUT));
  return kept.length;
}
