import { and, eq, gt, inArray, isNotNull, or, sql } from 'drizzle-orm';
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
import { type KeptFigures, sitting, standing } from '../database/tables';
import { editionOf } from '../releases/editions';
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
 * questions. `number`: its edition.
 */
export async function figuresOf({ db }: Pick<Context, 'db'>, releaseId: string, number: number): Promise<KeptFigures> {
  const { models, points, struck, outOf } = await editionOf(db, releaseId, number);
  const sat = await db
    .select({
      id: sitting.id,
      edition: sitting.edition,
      began: sitting.began,
      seed: sitting.seed,
      paper: sitting.paperVariant,
      outOf: sitting.outOf,
      finishedAt: sitting.finishedAt,
    })
    .from(sitting)
    .where(
      and(
        eq(sitting.releaseId, releaseId),
        eq(sitting.number, 1),
        or(isNotNull(sitting.finishedAt), gt(sitting.tries, 0)),
      ),
    );
  const standings = await standingsOf(
    db,
    sat.map(({ id }) => id),
  );
  const digests = await digestsOf(db, releaseId);

  // A question that was asked and not answered earned 0, once the attempt has ended: whoever is under way may not have
  // come to it. A question that was not drawn counts as missing.
  const shares = await Promise.all(
    sat.map(async ({ id, seed, began, finishedAt }) => {
      const asked = new Set((await editionOf(db, releaseId, began)).asked(drawer(seed, 'questions')));
      const stood = standings.get(id);
      return models.map((_, q) =>
        asked.has(q) && !struck[q] ? (stood?.get(q)?.share ?? (finishedAt ? 0 : null)) : null,
      );
    }),
  );
  const kept = models.flatMap((_, q) => (struck[q] ? [] : [q]));
  const ofKept = shares.map((row) => kept.map((q) => row[q] ?? null));
  const worth = kept.map((q) => points[q] ?? 0);
  const totals = sat.map(({ id, outOf: most }) => {
    const sum = [...(standings.get(id)?.values() ?? [])].reduce((all, one) => all + one.points, 0);
    return most > 0 ? sum / most : 0;
  });
  const sweepers: KeptFigures['sweepers'][number][] = [];
  const figuresAt = (model: QuestionModel, q: number): QuestionAnalysis => {
    const own = sat.flatMap(({ id, paper }, i) => {
      const digest = digests.get(id)?.[q];
      if (!digest) return [];
      const swept = usedTrialAndError(model, digest);
      if (swept) sweepers.push({ sittingId: id, question: q, swept });
      return [{ digest, share: shares[i]?.[q] ?? null, total: totals[i] ?? 0, isTimed: paper === null }];
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
  return {
    learners: sat.length,
    outOf: roundMark(outOf),
    mean: meanOf(totals),
    distribution: distribution(totals),
    alpha: alpha === null ? null : feldt(alpha, ofKept.length, worth.length, jStat.centralF.inv),
    questions,
    sweepers,
  };
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
