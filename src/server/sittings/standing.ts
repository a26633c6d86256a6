import { and, asc, eq } from 'drizzle-orm';
import { learnerEdition, type Names, type QuestionModel, replay, type Standing } from '../../core';
import type { Context } from '../context';
import { move, sitting } from '../database/tables';
import { editionOf, newestEdition } from '../releases/editions';

export interface OpenSitting {
  readonly id: string;
  readonly releaseId: string;
  readonly learnerId: string;
  readonly seed: string;
}

/** One question of a sitting as its moves leave it. */
export interface At {
  readonly sitting: OpenSitting;
  readonly question: number;
  readonly edition: number;
  readonly model: QuestionModel;
  readonly names: Names;
  readonly standing: Standing;
  /** The number of the sitting's last move, 0 before the first. */
  readonly last: number;
  /** The sitting's moves by the ids their browsers gave them. */
  readonly known: Map<string, number>;
}

export async function sittingOf({ db }: Pick<Context, 'db'>, id: string, learnerId: string): Promise<OpenSitting | null> {
  const found = await db.query.sitting.findFirst({ where: and(eq(sitting.id, id), eq(sitting.learnerId, learnerId)) });
  return found ?? null;
}

export const seedFor = (seed: string, question: number) => `${seed}/${question}`;

/** Works out where a question of a sitting stands, from its moves. Null: the edition has no such question. */
export async function standingOf({ db }: Pick<Context, 'db'>, open: OpenSitting, question: number): Promise<At | null> {
  const moves = await db
    .select({ n: move.n, id: move.id, edition: move.edition, body: move.body, question: move.question })
    .from(move)
    .where(eq(move.sittingId, open.id))
    .orderBy(asc(move.n));
  const edition = await editionOf(db, open.releaseId, moves.at(-1)?.edition ?? (await newestEdition(db, open.releaseId)));
  const model = edition.models[question];
  if (!model) return null;
  const standing = replay(
    model,
    moves.filter((m) => m.question === question).map((m) => m.body),
  );
  return {
    sitting: open,
    question,
    edition: edition.number,
    model,
    names: learnerEdition(model.question, seedFor(open.seed, question)).names,
    standing,
    last: moves.at(-1)?.n ?? 0,
    known: new Map(moves.map((m) => [m.id, m.n])),
  };
}
