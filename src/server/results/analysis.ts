import { and, eq, inArray, isNotNull, or, sql } from 'drizzle-orm';
import type { Analysis, Pair, QuestionAnalysis, TrialAndError } from '../../contract';
import {
  type Copy,
  cronbach,
  type Digest,
  discrimination,
  distribution,
  earned,
  facility,
  isKeyed,
  itemOf,
  NOWHERE,
  type QuestionModel,
  roundMark,
  usedTrialAndError,
} from '../../core';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { digestsOf } from '../sittings/digests';
import { drawer } from '../sittings/draw';
import { closeOverdue } from '../sittings/finish';

const MAX_DROPS = 4000;
const AT_ONCE = 500;

/**
 * How a release was answered, from each learner's first attempt: later attempts are by people who have seen the
 * questions.
 */
export async function analysisOf(as: As<Teacher>, releaseId: string): Promise<Result<Analysis>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  await closeOverdue(as, [releaseId]);
  const { row: its, course } = found;
  const { models, points, struck, outOf, number } = await editionOf(db, releaseId, its.edition);
  const sat = await db
    .select({
      id: sitting.id,
      learnerId: sitting.learnerId,
      name: user.name,
      edition: sitting.edition,
      began: sitting.began,
      seed: sitting.seed,
      outOf: sitting.outOf,
    })
    .from(sitting)
    .innerJoin(user, eq(user.id, sitting.learnerId))
    .where(
      and(
        eq(sitting.releaseId, releaseId),
        eq(sitting.number, 1),
        or(isNotNull(sitting.finishedAt), inArray(sitting.id, db.select({ id: standing.sittingId }).from(standing))),
      ),
    );
  const standings = await standingsOf(
    as,
    sat.map(({ id }) => id),
  );
  const digests = await digestsOf(as, releaseId, sat);

  // A question that was asked and not answered earned 0; a question that was not drawn counts as missing.
  const shares = await Promise.all(
    sat.map(async ({ id, seed, began }) => {
      const asked = new Set((await editionOf(db, releaseId, began)).asked(drawer(seed, 'questions')));
      return models.map((_, q) => (asked.has(q) && !struck[q] ? (standings.get(id)?.get(q)?.share ?? 0) : null));
    }),
  );
  const kept = models.flatMap((_, q) => (struck[q] ? [] : [q]));
  const ofKept = shares.map((row) => kept.map((q) => row[q] ?? null));
  const worth = kept.map((q) => points[q] ?? 0);
  const totals = sat.map(({ id, outOf: most }) => {
    const sum = [...(standings.get(id)?.values() ?? [])].reduce((all, one) => all + one.points, 0);
    return most > 0 ? sum / most : 0;
  });
  const sweepers: TrialAndError[] = [];
  const questions = models.map((model, q): QuestionAnalysis => {
    const own = sat.flatMap(({ id, name }) => {
      const digest = digests.get(id)?.[q];
      if (!digest) return [];
      const swept = usedTrialAndError(model, digest);
      if (swept) sweepers.push({ sittingId: id, name, question: q, swept });
      return [digest];
    });
    const at = kept.indexOf(q);
    return {
      title: model.question.title,
      struck: struck[q] ?? false,
      document: model.question,
      points: points[q] ?? 0,
      asked: shares.filter((row) => row[q] !== null).length,
      answered: own.length,
      facility: at === -1 ? null : facility(ofKept, at),
      discrimination: at === -1 ? null : discrimination(ofKept, worth, at),
      tries: meanOf(own.map(({ tries }) => tries)),
      turnedAway: own.reduce((sum, { turnedAway }) => sum + turnedAway, 0),
      seconds: medianOf(own.map(({ seconds }) => seconds)),
      pairs: pairsOf(model, own),
      drops: own.flatMap(({ drops }) => drops).slice(0, MAX_DROPS),
    };
  });
  return ok({
    release: { id: releaseId, title: its.title, course: course.title, courseId: its.courseId, edition: number },
    learners: sat.length,
    outOf: roundMark(outOf),
    mean: meanOf(totals),
    distribution: distribution(totals),
    alpha: cronbach(ofKept, worth),
    questions,
    sweepers: sweepers.sort((a, b) => a.name.localeCompare(b.name)),
  });
}

interface Stood {
  readonly share: number;
  readonly points: number;
}

async function standingsOf({ db }: As<Teacher>, ids: readonly string[]): Promise<Map<string, Map<number, Stood>>> {
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
    await new Promise((resolve) => setImmediate(resolve));
  }
  return all;
}

function pairsOf(model: QuestionModel, digests: readonly Digest[]): Pair[] {
  const firsts = new Map<string, number>();
  const lasts = new Map<string, number>();
  const add = (to: Map<string, number>, copy: Copy, zone: number) => {
    const key = `${itemOf(copy)} ${zone}`;
    to.set(key, (to.get(key) ?? 0) + 1);
  };
  for (const { put } of digests)
    for (const [copy, first, last] of put) {
      add(firsts, copy, first);
      add(lasts, copy, last);
    }
  return [...new Set([...firsts.keys(), ...lasts.keys()])]
    .map((key): Pair => {
      const [item = 0, zone = NOWHERE] = key.split(' ').map(Number);
      const belongsSomewhere = [...model.entries, ...model.either].some(({ belongs }) => belongs.has(item));
      return {
        item,
        zone,
        first: firsts.get(key) ?? 0,
        last: lasts.get(key) ?? 0,
        right: zone === NOWHERE ? !belongsSomewhere : model.entryOf[zone] ? isKeyed(model, zone, item) : null,
      };
    })
    .sort((a, b) => a.item - b.item || a.zone - b.zone);
}

const meanOf = (list: readonly number[]): number | null =>
  list.length > 0 ? list.reduce((sum, x) => sum + x, 0) / list.length : null;
function medianOf(list: readonly number[]): number | null {
  const sorted = [...list].sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  if (middle === undefined) return null;
  return sorted.length % 2 === 1 ? middle : (middle + (sorted[sorted.length / 2 - 1] as number)) / 2;
}
