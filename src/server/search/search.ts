import { sql } from 'drizzle-orm';
import type { Found, FoundKind } from '../../contract';
import type { As, Teacher } from '../context';
import { isTaughtBy } from '../courses/access';
import { course } from '../database/tables';
import { shelvesSeen } from '../vault/shelves';
import { asMatch } from '../vault/words';

const MOST_FOUND = 30;
/** A word in a title counts so many times one elsewhere. */
const TITLE_WEIGHT = 8;

/**
 * Finds words in everything the teacher may see, best first (bm25). The index holds everybody's; what is somebody
 * else's is left out before the first are taken. The index gives its rows in order of their rank, and rights are looked
 * at from the best on, until there are enough: so it is the outer loop.
 */
export async function findAnything(as: As<Teacher>, typed: string): Promise<Found[]> {
  const match = asMatch(typed);
  if (!match) return [];
  const { db, person } = as;
  const shelves = [...(await shelvesSeen(as)).keys()];
  const taught = await db.select({ id: course.id, title: course.title }).from(course).where(isTaughtBy(as));
  const titles = new Map(taught.map(({ id, title }) => [id, title]));
  const courses = JSON.stringify(taught.map(({ id }) => id));
  const rows = await db.all<{ kind: FoundKind; id: string; place: string; title: string }>(sql`
    select known.kind as kind, known.item as id, known.place as place, known.title as title
    from everything cross join findable known on known.n = everything.rowid
    where everything match ${match} and everything.rank match ${`bm25(${TITLE_WEIGHT}.0, 1.0)`} and case known.kind
      when 'question' then exists (select 1 from question own where own.id = known.item and own.deleted_at is null
        and (own.owner_id = ${person.id} or own.shelf_id in (select value from json_each(${JSON.stringify(shelves)}))))
      when 'set' then exists (select 1 from question_set own where own.id = known.item and own.owner_id = ${person.id})
      else known.place in (select value from json_each(${courses})) end
    order by everything.rank limit ${MOST_FOUND}`);
  // Somebody on two rosters is one person.
  const seen = new Set<string>();
  return rows.flatMap(({ kind, id, place, title }) => {
    if (seen.has(`${kind} ${id}`)) return [];
    seen.add(`${kind} ${id}`);
    return [{ kind, id, title, course: place === '' ? null : { id: place, title: titles.get(place) ?? '' } }];
  });
}
