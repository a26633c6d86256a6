import { and, asc, eq, sql } from 'drizzle-orm';
import type { Context } from '../context';
import type { Database } from '../database/open';
import { edition, move, sitting } from '../database/tables';
import type { Worked } from '../work/pool';
import type { EditionText, MovesText, Replayed } from './replays';
import { moveCounts } from './standing';

/** Attempts with more moves than this are replayed in a worker thread. */
export const FEW_MOVES = 300;

/** How many moves a sitting has, its last number. */
export async function lastMoveOf(db: Database, sittingId: string): Promise<number> {
  const [row] = await db.select({ last: sitting.moves }).from(sitting).where(eq(sitting.id, sittingId));
  return row?.last ?? 0;
}

/** The moves of a sitting that count, in their order. */
export const movesOf = (db: Database, sittingId: string) =>
  db
    .select({ n: move.n, question: move.question, body: move.body, at: move.at })
    .from(move)
    .where(and(eq(move.sittingId, sittingId), moveCounts))
    .orderBy(asc(move.n));

/** The moves as one JSON text: reading a row for each takes many times as long. */
export async function movesText(db: Database, sittingId: string): Promise<MovesText> {
  const [row] = await db.all<{ moves: string }>(
    sql`select coalesce(json_group_array(json_array(n, question, json(body), at)), '[]') as moves from (${movesOf(db, sittingId)})`,
  );
  return row?.moves ?? '[]';
}

/**
 * Runs a worker task that needs an edition. Its content is sent only if the thread does not have it. Null: it ran out
 * of time.
 */
export async function withEdition<Value>(
  { db }: Pick<Context, 'db'>,
  releaseId: string,
  number: number,
  run: (edition: EditionText) => Promise<Worked<Replayed<Value>>>,
): Promise<Value | null> {
  const name = `${releaseId}/${number}`;
  const first = await run({ name, number, content: null });
  if (!first.ok) return null;
  if (first.value.ok) return first.value.value;
  const [row] = await db
    .select({ content: sql<string>`${edition.content}` })
    .from(edition)
    .where(and(eq(edition.releaseId, releaseId), eq(edition.number, number)));
  const second = await run({ name, number, content: row?.content ?? null });
  return second.ok && second.value.ok ? second.value.value : null;
}
