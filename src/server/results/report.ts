import { and, asc, eq } from 'drizzle-orm';
import type { LearnerReport, ReportLine, ReportQuestion, ReportRelease } from '../../contract';
import {
  type Board,
  type Copy,
  countingMark,
  countingSitting,
  countingTry,
  earned,
  idOf,
  judgedAt,
  type QuestionModel,
  roundMark,
  type Verdict,
} from '../../core';
import { plainText } from '../../core/document';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { user } from '../database/accountTables';
import { courseLearner, markOverride, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { atOf, recordOf, sittingsWhere } from '../sittings/standing';
import { attemptScores, ofLearners, startedAttempts } from './attemptScores';

/** One learner's results in a course with the feedback, for printing. */
export async function reportOf(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<LearnerReport>> {
  const { db } = as;
  const found = await courseOf(as, courseId);
  const [who] = await db
    .select({ id: user.id, name: user.name })
    .from(courseLearner)
    .innerJoin(user, eq(user.id, courseLearner.learnerId))
    .where(and(eq(courseLearner.courseId, courseId), eq(courseLearner.learnerId, learnerId)));
  if (!found || !who) return fail('notFound');
  const releases = await db
    .select()
    .from(release)
    .where(eq(release.courseId, courseId))
    .orderBy(asc(release.createdAt));
  const ids = releases.map(({ id }) => id);
  const came = ids.length === 0 ? [] : await attemptScores(db, ofLearners(ids, [learnerId]));
  const byHand = await db.select().from(markOverride).where(eq(markOverride.learnerId, learnerId));
  const told: ReportRelease[] = [];
  for (const row of releases) {
    const mine = came.filter(({ releaseId }) => releaseId === row.id);
    const hand = byHand.find(({ releaseId }) => releaseId === row.id);
    const last = mine.at(-1);
    if (!last && !hand) continue;
    const { asks, outOf } = await editionOf(db, row.id, row.edition);
    const touched = startedAttempts(mine, asks);
    const counts = countingMark(touched, row.counts);
    const shown = countingSitting(touched, row.counts) ?? last;
    told.push({
      title: row.title,
      practice: row.practice,
      mark: hand?.points ?? (counts && roundMark(counts.points)),
      outOf: roundMark((hand ? hand.outOf : counts?.outOf) ?? counts?.outOf ?? outOf),
      byHand: hand?.reason ?? null,
      finishedAt: shown?.finishedAt ?? null,
      ended: shown ? shown.finishedAt !== null || shown.ended === asks : false,
      sittings: mine.length,
      questions: shown ? await questionsOf(as, shown.id) : [],
    });
  }
  return ok({ course: { id: courseId, title: found.row.title }, learner: who, releases: told });
}

async function questionsOf(as: As<Teacher>, sittingId: string): Promise<ReportQuestion[]> {
  const [open] = await sittingsWhere(as, eq(sitting.id, sittingId));
  if (!open) return [];
  const record = await recordOf(as.db, open);
  return record.asked.flatMap((question, place): ReportQuestion[] => {
    const at = atOf(open, record, place, { feedbackLevel: 'modelAnswer' });
    if (!at) return [];
    const { model, standing, points } = at;
    // The try whose mark is the question's; before the first, what lies there now.
    const counting = countingTry(model, standing.tries);
    const shown = counting ?? { board: standing.board, ...judgedAt(model, standing.board, 1) };
    const { feedback } = model.question;
    const overall = !counting
      ? null
      : counting.judged.fullMarks
        ? feedback.right
        : counting.judged.fraction > 0
          ? feedback.partly
          : feedback.wrong;
    return [
      {
        title: model.question.title,
        points: roundMark(points),
        struck: record.edition.struck[question] ?? false,
        earned: counting ? roundMark(earned(counting.judged.mark, counting.judged.max, points)) : 0,
        tries: standing.tries.count,
        lines: linesOf(model, shown.board, shown.verdicts),
        said: plainText(overall?.text ?? null),
      },
    ];
  });
}

function linesOf(model: QuestionModel, board: Board, judged: ReadonlyMap<Copy, Verdict>): ReportLine[] {
  const { question } = model;
  return board.zones.flatMap((held, z) => {
    const zone = question.zones[z];
    const entry = question.key.find((entry) => entry.zone === zone?.id);
    return held.map((copy, i) => {
      const id = idOf(model, copy);
      const item = question.items.find((item) => item.id === id);
      const typed = board.texts.get(z);
      return {
        item: typed === undefined ? item?.label || id : typedInWords(typed.trim(), item?.label),
        zone: `${zone?.label || `No. ${z + 1}`}${entry?.sequence ? `, ${i + 1}` : ''}`,
        verdict: judged.get(copy) ?? 'none',
        said: plainText(entry?.says?.items[id]?.text ?? null),
      };
    });
  });
}

/** A text as it was typed, with what it was read as where that is something else. */
const typedInWords = (text: string, readAs: string | undefined): string =>
  readAs === undefined || readAs.toLowerCase() === text.toLowerCase() ? `“${text}”` : `“${text}” (${readAs})`;
