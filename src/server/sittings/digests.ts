import { eq, inArray, sql } from 'drizzle-orm';
import { DIGEST_VERSION, type Digest } from '../../core';
import type { Context } from '../context';
import { digest, sitting } from '../database/tables';
import { editionOf } from '../releases/editions';
import { FEW_MOVES, lastMoveOf, movesOf, movesText, withEdition } from './manyMoves';
import { digestsIn } from './replays';

/** Attempts read at once; other requests run in between. */
const AT_ONCE = 100;
const breathe = () => new Promise((resolve) => setImmediate(resolve));

interface Sat {
  readonly id: string;
  readonly edition: number;
  readonly seed: string;
}

const isPresent = (row: typeof digest.$inferSelect, edition: number, last: number | undefined): boolean =>
  row.version === DIGEST_VERSION && row.edition === edition && row.upto === last;

/** The digest of each question; null: not answered. */
type Digests = readonly (Digest | null)[];

/**
 * The digests of a release's attempts by question, from the cache, or worked out again for attempts with newer moves.
 */
export async function digestsOf(
  context: Pick<Context, 'db' | 'work'>,
  releaseId: string,
  sittings: readonly Sat[],
): Promise<Map<string, Digests>> {
  const { db } = context;
  const lasts = new Map<string, number>();
  // One look-up by primary key per attempt; the moves are not scanned.
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
      if (row && isPresent(row, one.edition, lasts.get(one.id))) known.set(one.id, row.body);
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
 * Works out the digest of one attempt and caches it, when the attempt ends or when its release is analysed. Null: it
 * takes too long for now.
 */
export async function workOut(
  context: Pick<Context, 'db' | 'work'>,
  releaseId: string,
  { id, edition: number, seed }: Sat,
): Promise<Digests | null> {
  const { db, work } = context;
  const upto = await lastMoveOf(db, id);
  const body =
    upto > FEW_MOVES
      ? await (async () => {
          const moves = await movesText(db, id);
          return withEdition(context, releaseId, number, (edition) =>
            work.run('digestMoves', { edition, seed, moves }),
          );
        })()
      : digestsIn(await editionOf(db, releaseId, number), seed, await movesOf(db, id));
  if (!body) return null;
  const row = { sittingId: id, edition: number, upto, version: DIGEST_VERSION, body: [...body] };
  await db.insert(digest).values(row).onConflictDoUpdate({ target: digest.sittingId, set: row });
  return body;
}
