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

/** What the sittings of a release did with each question: kept, and worked out where they went on since. By sitting, and by question in it. */
export async function digestsOf(db: Database, releaseId: string, sittings: readonly Sat[]): Promise<Map<string, Map<number, Digest>>> {
  const lasts = new Map<string, number>();
  for (const row of await db
    .select({ id: move.sittingId, last: sql<number>`max(${move.n})` })
    .from(move)
    .innerJoin(sitting, eq(sitting.id, move.sittingId))
    .where(eq(sitting.releaseId, releaseId))
    .groupBy(move.sittingId))
    lasts.set(row.id, row.last);
  const known = new Map<string, Map<number, Digest>>();
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
    const stale = new Map(some.filter(({ id }) => lasts.has(id)).map((one) => [one.id, one]));
    for (const row of rows) {
      const of = known.get(row.sittingId) ?? new Map<number, Digest>();
      known.set(row.sittingId, of.set(row.question, row.body));
      const one = stale.get(row.sittingId);
      if (one && row.edition === one.edition && row.upto === lasts.get(row.sittingId)) stale.delete(row.sittingId);
    }
    for (const one of stale.values()) {
      known.set(one.id, await workOut(db, await editionOf(db, releaseId, one.edition), one.id));
      await breathe();
    }
    await breathe();
  }
  return known;
}

/** Works out what one sitting did, and keeps it. */
async function workOut(db: Database, { number, models }: OpenEdition, sittingId: string): Promise<Map<number, Digest>> {
  const moves = await db.select({ n: move.n, question: move.question, body: move.body, at: move.at }).from(move).where(eq(move.sittingId, sittingId)).orderBy(asc(move.n));
  const upto = moves.at(-1)?.n ?? 0;
  const byQuestion = new Map<number, { move: (typeof moves)[number]['body']; at: number }[]>();
  for (const { question, body, at } of moves) byQuestion.set(question, [...(byQuestion.get(question) ?? []), { move: body, at: at.getTime() }]);
  const found = new Map<number, Digest>();
  for (const [question, made] of byQuestion) {
    const model = models[question];
    if (model) found.set(question, digestOf(model, made));
  }
  const rows = [...found].map(([question, body]) => ({ sittingId, question, edition: number, upto, body }));
  if (rows.length > 0)
    await db
      .insert(digest)
      .values(rows)
      .onConflictDoUpdate({ target: [digest.sittingId, digest.question], set: { edition: number, upto, body: sql.raw('excluded.body') } });
  return found;
}
