import { and, asc, eq, gt, inArray, isNotNull, or, sql } from 'drizzle-orm';
import jStat from 'jstat';
import type { QuestionAnalysis } from '../../contract';
import {
  alphaWithout,
  answersOf,
  correlation,
  cronbach,
  discrimination,
  distribution,
  earned,
  facility,
  feldt,
  fifthsOf,
  fisher,
  type QuestionModel,
  roundMark,
  usedTrialAndError,
  wilson,
} from '../../core';
import type { Context } from '../context';
import type { Database } from '../database/open';
import { type AttemptMarks, type KeptFigures, type LearnerMarks, sitting, standing } from '../database/tables';
import { editionOf, type OpenEdition } from '../releases/editions';
import { digestsOf } from '../sittings/digests';
import { drawer } from '../sittings/draw';

const MAX_DROPS = 4000;
const AT_ONCE = 500;
/** A share this near to 1 is the full mark: it is a quotient of two rounded numbers. */
const DUST = 1e-9;
const TENTHS = 10;
const inSeconds = (tenths: number | null): number | null => (tenths === null ? null : tenths / TENTHS);

const breathe = () => new Promise((resolve) => setImmediate(resolve));

/**
 * How a release was answered, from each learner's first attempt: later attempts are by people who have seen the
 * questions. `number`: its edition. Beside it, what each learner came to at first and at last.
 */
export async function figuresOf(
  { db }: Pick<Context, 'db'>,
  releaseId: string,
  number: number,
): Promise<{ body: KeptFigures; marks: LearnerMarks[] }> {
  const edition = await editionOf(db, releaseId, number);
  const { models, points, struck, outOf } = edition;
  const { first: sat, last } = await attemptsOf(db, releaseId);
  const standings = await standingsOf(
    db,
    [...sat, ...last.values()].map(({ id }) => id),
  );
  const digests = await digestsOf(db, releaseId);
  const marksOf = async (attempt: Attempt): Promise<AttemptMarks> => ({
    total: totalOf(attempt, standings.get(attempt.id)),
    shares: await sharesOf(db, releaseId, attempt, edition, standings.get(attempt.id)),
  });
  const marks = await Promise.all(
    sat.map(async (attempt): Promise<LearnerMarks> => {
      const again = last.get(attempt.learnerId);
      return {
        learnerId: attempt.learnerId,
        first: await marksOf(attempt),
        last: again ? await marksOf(again) : null,
      };
    }),
  );
  const shares = marks.map(({ first }) => first.shares);
  const totals = marks.map(({ first }) => first.total);
  const kept = models.flatMap((_, q) => (struck[q] ? [] : [q]));
  const ofKept = shares.map((row) => kept.map((q) => row[q] ?? null));
  const worth = kept.map((q) => points[q] ?? 0);
  const sweepers: KeptFigures['sweepers'][number][] = [];
  const figuresAt = (model: QuestionModel, q: number): QuestionAnalysis => {
    const own = sat.flatMap(({ id, paperVariant }, i) => {
      const digest = digests.get(id)?.[q];
      if (!digest) return [];
      const swept = usedTrialAndError(model, digest);
      if (swept) sweepers.push({ sittingId: id, question: q, swept });
      return [{ digest, share: shares[i]?.[q] ?? null, total: totals[i] ?? 0, isTimed: paperVariant === null }];
    });
    const did = own.map(({ digest }) => digest);
    const at = kept.indexOf(q);
    const judged = shares.flatMap((row) => row[q] ?? []);
    const full = judged.filter((share) => share >= 1 - DUST).length;
    const mean = at === -1 ? null : facility(ofKept, at);
    const told = at === -1 ? null : discrimination(ofKept, worth, at);
    // Of what was written on paper the time is not known.
    const onPage = own.filter(({ isTimed }) => isTimed);
    const timed = onPage.flatMap(({ digest, share }) => (share === null ? [] : [{ seconds: digest.seconds, share }]));
    const pace = correlation(
      timed.map(({ seconds }) => seconds),
      timed.map(({ share }) => share),
    );
    return {
      title: model.question.title,
      struck: struck[q] ?? false,
      document: model.question,
      points: points[q] ?? 0,
      asked: judged.length,
      answered: own.length,
      full,
      facility: mean === null ? null : wilson(mean, judged.length),
      fullShare: judged.length === 0 ? null : wilson(full / judged.length, judged.length),
      discrimination: told === null ? null : fisher(told, judged.length),
      alphaWithout: at === -1 ? null : alphaWithout(ofKept, worth, at),
      timeAndMark: pace === null ? null : fisher(pace, timed.length),
      tries: meanOf(did.map(({ tries }) => tries)),
      turnedAway: did.reduce((sum, { turnedAway }) => sum + turnedAway, 0),
      seconds: medianOf(onPage.map(({ digest }) => digest.seconds)),
      pace: inSeconds(medianOf(onPage.flatMap(({ digest }) => digest.paces.slice(1)))),
      answers: answersOf(model, did),
      // By the question's own mark alone it would say nothing.
      fifths: kept.length < 2 || at === -1 ? null : fifthsOf(own),
      drops: did.flatMap(({ drops }) => drops).slice(0, MAX_DROPS),
    };
  };
  const questions: QuestionAnalysis[] = [];
  for (const [q, model] of models.entries()) {
    questions.push(figuresAt(model, q));
    await breathe();
  }
  const alpha = cronbach(ofKept, worth);
  const body: KeptFigures = {
    learners: sat.length,
    outOf: roundMark(outOf),
    mean: meanOf(totals),
    distribution: distribution(totals),
    alpha: alpha === null ? null : feldt(alpha, ofKept.length, worth.length, jStat.centralF.inv),
    questions,
    sweepers,
  };
  return { body, marks };
}

type Attempt = Pick<
  typeof sitting.$inferSelect,
  'id' | 'learnerId' | 'number' | 'began' | 'seed' | 'paperVariant' | 'outOf' | 'finishedAt'
>;

/** The first attempt of each learner, and by learner the last of those who have had more; only what was answered. */
async function attemptsOf(
  db: Database,
  releaseId: string,
): Promise<{ first: Attempt[]; last: ReadonlyMap<string, Attempt> }> {
  const all = await db
    .select({
      id: sitting.id,
      learnerId: sitting.learnerId,
      number: sitting.number,
      began: sitting.began,
      seed: sitting.seed,
      paperVariant: sitting.paperVariant,
      outOf: sitting.outOf,
      finishedAt: sitting.finishedAt,
    })
    .from(sitting)
    .where(and(eq(sitting.releaseId, releaseId), or(isNotNull(sitting.finishedAt), gt(sitting.tries, 0))))
    .orderBy(asc(sitting.number));
  const first = all.filter((attempt) => attempt.number === 1);
  const last = new Map(all.flatMap((attempt) => (attempt.number > 1 ? [[attempt.learnerId, attempt] as const] : [])));
  return { first, last };
}

type Stoods = ReadonlyMap<number, Stood> | undefined;

function totalOf({ outOf }: Attempt, stood: Stoods): number {
  const sum = [...(stood?.values() ?? [])].reduce((all, one) => all + one.points, 0);
  return outOf > 0 ? sum / outOf : 0;
}

/**
 * The share of each question. One that was asked and not answered earned 0, once the attempt has ended: whoever is under
 * way may not have come to it. One that was not drawn counts as missing.
 */
async function sharesOf(
  db: Database,
  releaseId: string,
  { seed, began, finishedAt }: Attempt,
  { models, struck }: OpenEdition,
  stood: Stoods,
): Promise<(number | null)[]> {
  const asked = new Set((await editionOf(db, releaseId, began)).asked(drawer(seed, 'questions')));
  return models.map((_, q) => (asked.has(q) && !struck[q] ? (stood?.get(q)?.share ?? (finishedAt ? 0 : null)) : null));
}

interface Stood {
  readonly share: number;
  readonly points: number;
}

async function standingsOf(db: Database, ids: readonly string[]): Promise<Map<string, Map<number, Stood>>> {
  const all = new Map<string, Map<number, Stood>>();
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    // One row per sitting: reading a row costs more than parsing its JSON.
    const rows = await db
      .select({
        sittingId: standing.sittingId,
        each: sql<string>`json_group_array(json_array(${standing.question}, ${standing.mark}, ${standing.max}, ${standing.points}))`,
      })
      .from(standing)
      .where(inArray(standing.sittingId, ids.slice(i, i + AT_ONCE)))
      .groupBy(standing.sittingId);
    for (const { sittingId, each } of rows) {
      const own = (JSON.parse(each) as [number, number, number, number][]).map(
        ([question, mark, max, points]) => [question, { share: earned(mark, max, 1), points }] as const,
      );
      all.set(sittingId, new Map(own));
    }
    await breathe();
  }
  return all;
}

const meanOf = (list: readonly number[]): number | null =>
  list.length > 0 ? list.reduce((sum, x) => sum + x, 0) / list.length : null;
function medianOf(list: readonly number[]): number | null {
  const sorted = [...list].sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  if (middle === undefined) return null;
  return sorted.length % 2 === 1 ? middle : (middle + (sorted[sorted.length / 2 - 1] as number)) / 2;
}
