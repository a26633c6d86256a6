import { sql } from 'drizzle-orm';
import type { Database } from '../database/open';
import { move, standing } from '../database/tables';

/** What one request adds to the record of a sitting: its moves, and what the question has come to when there was a check among them. */
export interface Addition {
  readonly moves: readonly (typeof move.$inferInsert)[];
  readonly standing: typeof standing.$inferInsert | null;
}

/** `taken`: somebody else went on from the same state, another edition is in force, or the sitting was erased. `finished`: the sitting takes no moves any more. */
export type Keeping = 'kept' | 'taken' | 'finished';

interface Waiting {
  readonly addition: Addition;
  readonly stored: (done: Keeping) => void;
  readonly failed: (error: unknown) => void;
}

/** A statement has room for 32,766 values; a request brings 500 moves of 7 at most. */
const MOST_MOVES = 1000;
const lines = new WeakMap<Database, Waiting[]>();

/**
 * Adds to the record, all or nothing. The numbers of the moves are their place in the primary key, so that of two who go on from one state only the first is
 * stored: `taken` for the other, who has to look again. What comes in together is stored in one transaction: when a class checks at once, one flush of the disk
 * serves several.
 */
export function keep(db: Database, addition: Addition): Promise<Keeping> {
  return new Promise((stored, failed) => {
    const line = lines.get(db);
    const waiting = { addition, stored, failed };
    if (line) {
      line.push(waiting);
      return;
    }
    const fresh = [waiting];
    lines.set(db, fresh);
    void keepAll(db, fresh);
  });
}

async function keepAll(db: Database, line: Waiting[]): Promise<void> {
  while (line.length > 0) {
    // Requests whose bytes are here already get to join.
    await new Promise((resolve) => setImmediate(resolve));
    await keepTogether(db, takeFrom(line));
  }
  lines.delete(db);
}

function takeFrom(line: Waiting[]): Waiting[] {
  let moves = 0;
  let end = 0;
  for (const { addition } of line) {
    moves += addition.moves.length;
    if (end > 0 && moves > MOST_MOVES) break;
    end++;
  }
  return line.splice(0, end);
}

async function keepTogether(db: Database, together: readonly Waiting[]): Promise<void> {
  try {
    await write(
      db,
      together.map(({ addition }) => addition),
    );
    for (const { stored } of together) stored('kept');
  } catch (error) {
    const [only] = together;
    if (together.length > 1) for (const one of together) await keepTogether(db, [one]);
    else if (only && says(error, /UNIQUE constraint failed: move\.|FOREIGN KEY constraint failed|the sitting is of another edition/)) only.stored('taken');
    else if (only && says(error, /the sitting is finished/)) only.stored('finished');
    else only?.failed(error);
  }
}

async function write(db: Database, additions: readonly Addition[]): Promise<void> {
  const insert = db.insert(move).values(additions.flatMap(({ moves }) => moves));
  const standings = additions.flatMap((addition) => addition.standing ?? []);
  if (standings.length === 0) {
    await insert;
    return;
  }
  const theNew = (column: { name: string }) => sql.raw(`excluded.${column.name}`);
  const { tries, mark, max, points, fullMarks, ended, checkedAt } = standing;
  const upsert = db
    .insert(standing)
    .values(standings)
    .onConflictDoUpdate({
      target: [standing.sittingId, standing.question],
      set: { tries: theNew(tries), mark: theNew(mark), max: theNew(max), points: theNew(points), fullMarks: theNew(fullMarks), ended: theNew(ended), checkedAt: theNew(checkedAt) },
    });
  await db.batch([insert, upsert]);
}

/** The driver's error stands beneath drizzle's. */
const says = (error: unknown, what: RegExp): boolean => error instanceof Error && (what.test(error.message) || says(error.cause, what));
