import { eq, inArray, sql } from 'drizzle-orm';
import type { Digest } from '../../core';
import type { Context } from '../context';
import { digest, sitting } from '../database/tables';
import { editionOf } from './editions';
import { FEW_MOVES, lastMoveOf, movesOf, movesText, withEdition } from './manyMoves';
import { digestsIn } from './replays';

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
export async function digestsOf(
  context: Pick<Context, 'db' | 'work'>,
  releaseId: string,
  sittings: readonly Sat[],
): Promise<Map<string, Digests>> {
  const { db } = context;
  const lasts = new Map<string, number>();
  // By the primary key, a look a sitting: the moves themselves are not gone through.
  const lastOf = sql<number | null>`(select max(made.n) from move made where made.sitting_id = sitting.id)`;
  for (const { id, last } of await db
    .select({ id: sitting.id, last: lastOf })
    .from(sitting)
    .where(eq(sitting.releaseId, releaseId)))
    if (last !== null) lasts.set(id, last);
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
        const digests = await workOut(context, releaseId, one);
        if (digests) known.set(one.id, digests);
        await breathe();
      }
    }
    await breathe();
  }
  return known;
}

/**
 * Works out what one sitting did, and keeps it: once it is finished, or else when its release is looked at. Null: it
 * takes too long for now.
 */
export async function workOut(
  context: Pick<Context, 'db' | 'work'>,
  releaseId: string,
  { id, edition: number }: Sat,
): Promise<Digests | null> {
  const { db, work } = context;
  const upto = await lastMoveOf(db, id);
  const body =
    upto > FEW_MOVES
      ? await (async () => {
          const moves = await movesText(db, id);
          return withEdition(context, releaseId, number, (edition) => work.run('digestMoves', { edition, moves }));
        })()
      : digestsIn(await editionOf(db, releaseId, number), await movesOf(db, id));
  if (!body) return null;
  const row = { sittingId: id, edition: number, upto, body: [...body] };
  await db.insert(digest).values(row).onConflictDoUpdate({ target: digest.sittingId, set: row });
  return body;
}
