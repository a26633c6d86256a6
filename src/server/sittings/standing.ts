import { asc, eq } from 'drizzle-orm';
import { learnerEdition, type Names, replay, type Standing } from '../../core';
import type { Context } from '../context';
import { move } from '../database/tables';
import { editionOf, newestEdition, type OpenEdition } from '../releases/editions';

export interface OpenSitting {
  readonly id: string;
  readonly releaseId: string;
  readonly seed: string;
}

/** One question of a sitting as its moves leave it. `last` is the number of the sitting's last move, 0 before the first. */
export interface At {
  readonly edition: OpenEdition;
  readonly standing: Standing;
  readonly names: Names;
  readonly last: number;
  readonly known: ReadonlyMap<string, number>;
}

/** Works out where a question of a sitting stands, from its moves. */
export async function standingOf({ db }: Pick<Context, 'db'>, { id, releaseId, seed }: OpenSitting, question: number): Promise<At> {
  const moves = await db
    .select({ n: move.n, id: move.id, edition: move.edition, body: move.body, question: move.question })
    .from(move)
    .where(eq(move.sittingId, id))
    .orderBy(asc(move.n));
  const edition = await editionOf(db, releaseId, moves.at(-1)?.edition ?? (await newestEdition(db, releaseId)));
  const model = edition.models[question];
  if (!model) throw new Error(`Edition ${edition.number} of ${releaseId} has no question ${question}`);
  const standing = replay(
    model,
    moves.filter((m) => m.question === question).map((m) => m.body),
  );
  return { edition, standing, names: namesOf(model.question, seed, question), last: moves.at(-1)?.n ?? 0, known: new Map(moves.map((m) => [m.id, m.n])) };
}

export const seedFor = (seed: string, question: number) => `${seed}/${question}`;

const namesOf = (question: Parameters<typeof learnerEdition>[0], seed: string, index: number) => learnerEdition(question, seedFor(seed, index)).names;
