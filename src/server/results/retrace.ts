import { and, eq } from 'drizzle-orm';
import type { RetraceView } from '../../contract';
import { homesFor, learnerEdition } from '../../core';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { drawer } from '../sittings/draw';
import { drawnFor } from '../sittings/drawn';
import { movesText } from '../sittings/manyMoves';
import { movesIn } from '../sittings/replays';
import { askedOf, sittingsWhere } from '../sittings/standing';

/** A sitting with all its moves, to be played back by the core. */
export async function retraceOf(as: As<Teacher>, releaseId: string, sittingId: string): Promise<Result<RetraceView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  const [open] = found ? await sittingsWhere(as, and(eq(sitting.id, sittingId), eq(sitting.releaseId, releaseId))) : [];
  if (!found || !open) return fail('notFound');
  const [who, { edition, asked }, text] = await Promise.all([
    db.query.user.findFirst({ columns: { name: true }, where: eq(user.id, open.learnerId) }),
    askedOf(db, open),
    movesText(db, sittingId),
  ]);
  const made = movesIn(text);
  return ok({
    release: { id: releaseId, title: found.row.title, course: found.course.title, courseId: found.course.id },
    learner: who?.name ?? 'somebody who is not here any more',
    number: open.number,
    finished: open.finishedAt !== null,
    minutes: found.row.minutes,
    questions: asked.flatMap((q) => {
      const whole = edition.models[q];
      if (!whole) return [];
      const model = drawnFor(whole, open.seed, q);
      return [
        {
          document: model.question,
          homes: homesFor(model, learnerEdition(model.question, drawer(open.seed, q))),
          points: edition.points[q] ?? 0,
          moves: made.flatMap(({ question, body, at }) => (question === q ? [{ move: body, at: at.getTime() }] : [])),
        },
      ];
    }),
  });
}
