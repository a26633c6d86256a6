import { and, asc, eq, gt, isNull, ne, or } from 'drizzle-orm';
import { DIGEST_VERSION, type Digest } from '../../core';
import type { Context } from '../context';
import type { Database } from '../database/open';
import { digest, release, sitting } from '../database/tables';
import { addJob } from '../jobs/jobs';
import { editionOf } from '../releases/editions';
import { FEW_MOVES, movesOf, movesText, withEdition } from './manyMoves';
import { digestsIn } from './replays';

/** The kind of job that works out the digests of a release. */
export const DIGESTS = 'digests';
/** Attempts that one job works out; if more are waiting, whoever asks for them adds another. */
const MAX_ATTEMPTS = 1000;
const breathe = () => new Promise((resolve) => setImmediate(resolve));

/** The digest of each question; null: not answered. */
type Digests = readonly (Digest | null)[];

/** Rows read at once; other requests run in between. */
const AT_ONCE = 500;

/** The digests of a release's first attempts by question, as they were worked out last. */
export async function digestsOf(db: Database, releaseId: string): Promise<ReadonlyMap<string, Digests>> {
  const digests = new Map<string, Digests>();
  for (let after: string | null = ''; after !== null; ) {
    const rows: { id: string; body: (Digest | null)[] }[] = await db
      .select({ id: sitting.id, body: digest.body })
      .from(sitting)
      .innerJoin(digest, eq(digest.sittingId, sitting.id))
      .where(
        and(
          ...[eq(sitting.releaseId, releaseId), eq(sitting.number, 1), gt(sitting.id, after)],
          ...[eq(digest.version, DIGEST_VERSION), eq(digest.edition, sitting.edition)],
        ),
      )
      .orderBy(asc(sitting.id))
      .limit(AT_ONCE);
    for (const { id, body } of rows) digests.set(id, body);
    after = rows.length < AT_ONCE ? null : (rows.at(-1)?.id ?? null);
    await breathe();
  }
  return digests;
}

/**
 * Adds the job that works out a release's digests, and what they come to. One that is waiting or running already is
 * enough.
 */
export const addDigests = (context: Context, ownerId: string, releaseId: string): Promise<void> =>
  addJob(context, {
    id: `${DIGESTS}/${releaseId}`,
    kind: DIGESTS,
    ownerId,
    input: { releaseId },
    total: 0,
    again: true,
  });

/** Adds the job in the name of whoever published the release. */
export async function addDigestsOf(context: Context, releaseId: string): Promise<void> {
  const found = await context.db.query.release.findFirst({
    columns: { releasedBy: true },
    where: eq(release.id, releaseId),
  });
  if (found) await addDigests(context, found.releasedBy, releaseId);
}

/**
 * Works out what digests of a release are waiting, the oldest attempts first, up to a number. Returns whether that is
 * all of them.
 */
export async function workOutDigests(context: Pick<Context, 'db' | 'work'>, releaseId: string): Promise<boolean> {
  const stale = await context.db
    .select({ id: sitting.id, edition: sitting.edition, seed: sitting.seed, moves: sitting.moves })
    .from(sitting)
    .leftJoin(digest, eq(digest.sittingId, sitting.id))
    .where(
      and(
        eq(sitting.releaseId, releaseId),
        gt(sitting.moves, 0),
        or(
          isNull(digest.sittingId),
          ne(digest.version, DIGEST_VERSION),
          ne(digest.edition, sitting.edition),
          ne(digest.upto, sitting.moves),
        ),
      ),
    )
    .orderBy(asc(sitting.startedAt))
    .limit(MAX_ATTEMPTS);
  for (const attempt of stale) {
    await workOut(context, releaseId, attempt);
    await breathe();
  }
  return stale.length < MAX_ATTEMPTS;
}

interface Attempt {
  readonly id: string;
  readonly edition: number;
  readonly seed: string;
  /** The number of its last move. A move that comes while it is worked out makes the digest one of before. */
  readonly moves: number;
}

/** Works out the digest of one attempt, unless it takes too long for now. */
async function workOut(
  context: Pick<Context, 'db' | 'work'>,
  releaseId: string,
  { id, edition: number, seed, moves: upto }: Attempt,
): Promise<void> {
  const { db, work } = context;
  const body =
    upto > FEW_MOVES
      ? await (async () => {
          const moves = await movesText(db, id);
          return withEdition(context, releaseId, number, (edition) =>
            work.run('digestMoves', { edition, seed, moves }),
          );
        })()
      : digestsIn(await editionOf(db, releaseId, number), seed, await movesOf(db, id));
  if (!body) return;
  const row = { sittingId: id, edition: number, upto, version: DIGEST_VERSION, body: [...body] };
  await db.insert(digest).values(row).onConflictDoUpdate({ target: digest.sittingId, set: row });
}
