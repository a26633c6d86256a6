import { and, asc, eq } from 'drizzle-orm';
import { learnerEdition, type Move, rejudge, replay, type Sat, type Standing, type Tells } from '../../core';
import type { Context } from '../context';
import type { Database } from '../database/open';
import { allowance, move, release, sitting, type TellsWhen } from '../database/tables';
import { editionOf, type OpenEdition } from '../releases/editions';
import { drawer } from './draw';

export interface OpenSitting {
  readonly id: string;
  readonly releaseId: string;
  readonly learnerId: string;
  readonly seed: string;
  /** The number of its edition, and of the one it was begun in. */
  readonly edition: number;
  readonly began: number;
  /** The furthest place the learner has come to, from 0. */
  readonly reached: number;
  readonly finishedAt: Date | null;
  /** Which of the learner's sittings it is, from 1. */
  readonly number: number;
  readonly tells: Tells;
  readonly tellsWhen: TellsWhen;
  readonly closesAt: Date | null;
  /** When the release closes or the time given is up, whichever comes first; null: never. */
  readonly endsAt: Date | null;
}

/** One question of a sitting as its moves leave it. */
export interface At extends Sat {
  readonly sitting: OpenSitting;
  /** Its place among the questions the sitting is asked, and in the edition. */
  readonly place: number;
  readonly question: number;
  /** What it counts. */
  readonly points: number;
  readonly goBack: boolean;
  readonly quiet: boolean;
  readonly standing: Standing;
  /** The number of the sitting's last move, 0 before the first. */
  readonly last: number;
  /** The sitting's moves by the ids their browsers gave them. */
  readonly known: Map<string, number>;
}

const opened = {
  id: sitting.id,
  releaseId: sitting.releaseId,
  learnerId: sitting.learnerId,
  seed: sitting.seed,
  edition: sitting.edition,
  began: sitting.began,
  number: sitting.number,
  tells: release.tells,
  tellsWhen: release.tellsWhen,
  reached: sitting.reached,
  finishedAt: sitting.finishedAt,
  startedAt: sitting.startedAt,
  closesAt: release.closesAt,
  minutes: release.minutes,
  moreMinutes: allowance.moreMinutes,
  closesLater: allowance.closesAt,
};

/** How long a learner has: as for all, and what they are allowed beyond that. */
export interface Time {
  readonly closesAt: Date | null;
  readonly minutes: number | null;
}

/** A learner's own time. */
export const timeFor = (all: Time, allowed: { readonly moreMinutes: number | null; readonly closesAt: Date | null } | null): Time => ({
  closesAt: allowed?.closesAt ?? all.closesAt,
  minutes: all.minutes === null ? null : all.minutes + (allowed?.moreMinutes ?? 0),
});

/** When a sitting that began then has to end. */
export function endOf({ startedAt, closesAt, minutes }: { startedAt: Date } & Time): Date | null {
  const ends = [closesAt, minutes === null ? null : new Date(startedAt.getTime() + minutes * 60_000)].flatMap((end) => end?.getTime() ?? []);
  return ends.length === 0 ? null : new Date(Math.min(...ends));
}

/** The sittings that meet a condition. */
export async function sittingsWhere(db: Database, condition: ReturnType<typeof and>): Promise<OpenSitting[]> {
  const rows = await db
    .select(opened)
    .from(sitting)
    .innerJoin(release, eq(release.id, sitting.releaseId))
    .leftJoin(allowance, and(eq(allowance.releaseId, sitting.releaseId), eq(allowance.learnerId, sitting.learnerId)))
    .where(condition);
  return rows.map(({ startedAt, closesAt, minutes, moreMinutes, closesLater, ...row }) => {
    const time = timeFor({ closesAt, minutes }, { moreMinutes, closesAt: closesLater });
    return { ...row, closesAt: time.closesAt, endsAt: endOf({ startedAt, ...time }) };
  });
}

export async function sittingOf({ db }: Pick<Context, 'db'>, id: string, learnerId: string): Promise<OpenSitting | null> {
  const [found] = await sittingsWhere(db, and(eq(sitting.id, id), eq(sitting.learnerId, learnerId)));
  return found ?? null;
}

interface Recorded {
  readonly n: number;
  readonly id: string;
  readonly edition: number;
  readonly question: number;
  readonly body: Move;
}

/** A sitting's moves, its edition, and which of that's questions it is asked, by their places. */
export interface SittingRecord {
  readonly moves: readonly Recorded[];
  readonly edition: OpenEdition;
  readonly asked: readonly number[];
}

export async function recordOf(db: Database, open: OpenSitting): Promise<SittingRecord> {
  const moves = await db
    .select({ n: move.n, id: move.id, edition: move.edition, body: move.body, question: move.question })
    .from(move)
    .where(eq(move.sittingId, open.id))
    .orderBy(asc(move.n));
  return { moves, ...(await askedOf(db, open)) };
}

/** A sitting's edition, and which of its questions the sitting is asked. */
export async function askedOf(db: Database, open: OpenSitting): Promise<Pick<SittingRecord, 'edition' | 'asked'>> {
  const edition = await editionOf(db, open.releaseId, open.edition);
  const began = open.began === open.edition ? edition : await editionOf(db, open.releaseId, open.began);
  return { edition, asked: began.asked(drawer(open.seed, 'questions')) };
}

/** Works out where the question at a place of a sitting stands, from its moves. Null: there is no such place. */
export async function standingOf({ db }: Pick<Context, 'db'>, open: OpenSitting, place: number): Promise<At | null> {
  return atOf(open, await recordOf(db, open), place);
}

/** `tells`: how much is told of it, at most; as it is while the sitting runs unless another is given. */
export function atOf(open: OpenSitting, { edition, moves, asked }: SittingRecord, place: number, tells: Tells = edition.quiet ? 'nothing' : open.tells): At | null {
  const question = asked[place];
  const model = question === undefined ? undefined : edition.models[question];
  if (question === undefined || !model) return null;
  const saying = edition.telling(tells)[question] ?? model;
  return {
    sitting: open,
    place,
    question,
    points: edition.points[question] ?? 0,
    goBack: edition.goBack,
    quiet: edition.quiet,
    model: saying,
    edition: learnerEdition(model.question, drawer(open.seed, question)),
    modelAnswer: edition.modelAnswers[question] ?? null,
    standing: (moves.some((m) => m.edition !== open.edition) ? rejudge : replay)(
      model,
      moves.filter((m) => m.question === question).map((m) => m.body),
    ),
    last: moves.at(-1)?.n ?? 0,
    known: new Map(moves.map((m) => [m.id, m.n])),
  };
}
