import { asc, eq, inArray, sql } from 'drizzle-orm';
import { type Digest, digestOf } from '../../core';
import type { Database } from '../database/open';
import { digest, move, sitting } from '../database/tables';
import type { OpenEdition } from './editions';
import { editionOf } from './editions';

/** How many sittings are read at once: others get their turn in between. */
const AT_ONCE = 100;
const breathe = () => new Promise((resolve) => setImmediate(resolve));

interface Sat {
  readonly id: string;
  readonly edition: number;
}

/** What a sitting did, by question; null: it was not touched. */
type Digests = readonly (Digest | null)[];

/** What the sittings of a release did with each question: kept, and worked out where they went on since. By sitting. */
export async function digestsOf(db: Database, releaseId: string, sittings: readonly Sat[]): Promise<Map<string, Digests>> {
  const lasts = new Map<string, number>();
  // By the primary key, a look a sitting: the moves themselves are not gone through.
  const lastOf = sql<number | null>`(select max(made.n) from move made where made.sitting_id = sitting.id)`;
  for (const { id, last } of await db.select({ id: sitting.id, last: lastOf }).from(sitting).where(eq(sitting.releaseId, releaseId))) if (last !== null) lasts.set(id, last);
  const known = new Map<string, Digests>();
  for (let i = 0; i < sittings.length; i += AT_ONCE) {
    const some = sittings.slice(i, i + AT_ONCE);
    const rows = await db
      .select()
      .from(digest)
      .where(
        inArray(
          digest.sittingId,
          some.map(({ id }) => id),
        ),
      );
    const kept = new Map(rows.map((row) => [row.sittingId, row]));
    for (const one of some) {
      const row = kept.get(one.id);
      if (!lasts.has(one.id)) continue;
      if (row && row.edition === one.edition && row.upto === lasts.get(one.id)) known.set(one.id, row.body);
      else {
        known.set(one.id, await workOut(db, await editionOf(db, releaseId, one.edition), one.id));
        await breathe();
      }
    }
    await breathe();
  }
  return known;
}

/** Works out what one sitting did, and keeps it: once it is finished, or else when its release is looked at. */
export async function workOut(db: Database, { number, models }: OpenEdition, sittingId: string): Promise<Digests> {
  const moves = await db.select({ n: move.n, question: move.question, body: move.body, at: move.at }).from(move).where(eq(move.sittingId, sittingId)).orderBy(asc(move.n));
  const upto = moves.at(-1)?.n ?? 0;
  const body = models.map((model, q) => {
    const made = moves.filter(({ question }) => question === q).map((one) => ({ move: one.body, at: one.at.getTime() }));
    return made.length > 0 ? digestOf(model, made) : null;
  });
  const row = { sittingId, edition: number, upto, body };
  await db.insert(digest).values(row).onConflictDoUpdate({ target: digest.sittingId, set: row });
  return body;
}
