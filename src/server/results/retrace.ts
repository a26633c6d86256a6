import { and, asc, eq, exists, gt, inArray, sql } from 'drizzle-orm';
import type { RetraceView, TogetherView } from '../../contract';
import { homesFor, learnerEdition, type Move, type QuestionModel } from '../../core';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { move, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { drawer } from '../sittings/draw';
import { drawnFor } from '../sittings/drawn';
import { movesText } from '../sittings/manyMoves';
import { movesIn } from '../sittings/replays';
import { askedOf, moveCounts, sittingsWhere } from '../sittings/standing';

/** A sitting with all its moves, to be played back by the core. */
export async function retraceOf(as: As<Teacher>, releaseId: string, sittingId: string): Promise<Result<RetraceView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  const [open] = found ? await sittingsWhere(as, and(eq(sitting.id, sittingId), eq(sitting.releaseId, releaseId))) : [];
  if (!found || !open) return fail('notFound');
  const [who, paper, { edition, asked }, text] = await Promise.all([
    db.query.user.findFirst({ columns: { name: true }, where: eq(user.id, open.learnerId) }),
    db.query.sitting.findFirst({ columns: { paperVariant: true }, where: eq(sitting.id, sittingId) }),
    askedOf(db, open),
    movesText(db, sittingId),
  ]);
  const made = movesIn(text);
  return ok({
    release: { id: releaseId, title: found.row.title, course: found.course.title, courseId: found.course.id },
    learner: who?.name ?? 'somebody who is not here any more',
    number: open.number,
    paper: paper?.paperVariant ?? null,
    finished: open.finishedAt !== null,
    minutes: found.row.minutes,
    questions: asked.flatMap((q) => {
      const whole = edition.models[q];
      if (!whole) return [];
      return [
        {
          ...asGiven(whole, open.seed, q),
          points: edition.points[q] ?? 0,
          moves: made.flatMap(({ question, body, at }) => (question === q ? [{ move: body, at: at.getTime() }] : [])),
        },
      ];
    }),
  });
}

/** A question as it was drawn for an attempt, and where its items were at the start. */
function asGiven(whole: QuestionModel, seed: string, question: number) {
  const model = drawnFor(whole, seed, question);
  const homes = homesFor(model, learnerEdition(model.question, drawer(seed, question)));
  return { document: model.question, homes };
}

/** As many are played at once. */
const TOGETHER = 40;

/** Attempts that came to a question, by learner, to be played back at once. */
export async function togetherOf(
  as: As<Teacher>,
  releaseId: string,
  { question, from, beside }: { question: number; from: number; beside?: string | undefined },
): Promise<Result<TogetherView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { models } = await editionOf(db, releaseId, found.row.edition);
  const model = models[question];
  if (!model) return fail('notFound');
  const touched = exists(
    db
      .select({ one: sql`1` })
      .from(move)
      .where(and(eq(move.sittingId, sitting.id), eq(move.question, question))),
  );
  const rows = await db
    .select({
      id: sitting.id,
      learner: user.name,
      number: sitting.number,
      seed: sitting.seed,
      edition: sitting.edition,
    })
    .from(sitting)
    .innerJoin(user, eq(user.id, sitting.learnerId))
    .where(and(eq(sitting.releaseId, releaseId), gt(sitting.moves, 0), touched))
    .orderBy(sql`${sitting.id} = ${beside ?? ''} desc`, asc(user.name), asc(sitting.learnerId), asc(sitting.number));
  const shown = rows.slice(from, from + TOGETHER);
  const made = await db
    .select({ sittingId: move.sittingId, body: move.body, at: move.at })
    .from(move)
    .where(
      and(
        inArray(
          move.sittingId,
          shown.map(({ id }) => id),
        ),
        eq(move.question, question),
        moveCounts,
      ),
    )
    .orderBy(asc(move.n));
  const movesOf = new Map<string, { move: Move; at: number }[]>(shown.map(({ id }) => [id, []]));
  for (const { sittingId, body, at } of made) movesOf.get(sittingId)?.push({ move: body, at: at.getTime() });
  const attempts = await Promise.all(
    shown.map(async ({ id, learner, number, seed, edition }) => {
      const own = (await editionOf(db, releaseId, edition)).models[question] ?? model;
      const { document, homes } = asGiven(own, seed, question);
      return {
        ...{ sittingId: id, learner, number, homes, moves: movesOf.get(id) ?? [] },
        document: document === model.question ? null : document,
      };
    }),
  );
  return ok({
    release: { id: releaseId, title: found.row.title, course: found.course.title, courseId: found.course.id },
    titles: models.map(({ question: { title } }) => title),
    ...{ question, document: model.question, attempts, total: rows.length, from },
  });
}
