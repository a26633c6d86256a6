import { and, asc, eq } from 'drizzle-orm';
import type {
  ClassReport,
  GradeCell,
  LearnerReport,
  ReportDrawing,
  ReportLine,
  ReportQuestion,
  ReportRelease,
} from '../../contract';
import {
  type Board,
  boardFromPlacements,
  earned,
  homesFor,
  type QuestionModel,
  roundMark,
  savedBoard,
} from '../../core';
import { plainText } from '../../core/document';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { everybodyOn, peopleIn } from '../courses/roster';
import { release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type At, atOf, recordOf, sittingsWhere } from '../sittings/standing';
import { type Columns, categorySums, cellsIn, columnsOf, gradeRows, type Who, withMaxima } from './gradeCells';
import { type Placed, shownTry } from './placed';

/** One learner's results in a course with the feedback, for printing. */
export async function reportOf(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<LearnerReport>> {
  const found = await courseOf(as, courseId);
  const people = found ? await peopleIn(as, courseId, [learnerId]) : [];
  if (!found || people.length === 0) return fail('notFound');
  const [report] = await reportsFor(as, { id: courseId, title: found.row.title }, people);
  return report ? ok(report) : fail('notFound');
}

/** As many as are drawn on one page. */
const REPORTS_PAGE = 40;

/** The reports of a course's learners, or of a group's, some at a time. */
export async function reportsOf(
  as: As<Teacher>,
  courseId: string,
  { group, from = 0 }: { readonly group?: string | undefined; readonly from?: number } = {},
): Promise<Result<ClassReport>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const everybody = await everybodyOn(as, courseId, '', group);
  const people = everybody.slice(from, from + REPORTS_PAGE);
  const reports = await reportsFor(as, { id: courseId, title: found.row.title }, people);
  return ok({ reports, total: everybody.length, from });
}

async function reportsFor(
  as: As<Teacher>,
  course: LearnerReport['course'],
  people: readonly Who[],
): Promise<LearnerReport[]> {
  const { db } = as;
  const columns = await columnsOf({ ...as, closing: true }, course.id);
  const practice = await db
    .select()
    .from(release)
    .where(and(eq(release.courseId, course.id), eq(release.practice, true)))
    .orderBy(asc(release.createdAt));
  const practised = await withMaxima(as, practice);
  const rows = await gradeRows(as, columns, people);
  const besides = await cellsIn(
    as,
    practised,
    people.map(({ id }) => id),
  );
  const reports: LearnerReport[] = [];
  for (const { learnerId, name, cells, whole, letter } of rows) {
    const all = [...columns.releases, ...practised].map((row, i) => ({
      row,
      cell: [...cells, ...besides(learnerId)][i] as GradeCell,
    }));
    const releases: ReportRelease[] = [];
    for (const { row, cell } of all.toSorted((a, b) => a.row.createdAt.getTime() - b.row.createdAt.getTime()))
      if (cell.attempt !== null || cell.byHand !== null || cell.state === 'missing' || cell.state === 'excused')
        releases.push(await releaseIn(as, row, cell));
    reports.push({
      ...{ course, learner: { id: learnerId, name }, overall: whole, letter, releases },
      categories: categoriesOf(columns, cells),
    });
  }
  return reports;
}

async function releaseIn(
  as: As<Teacher>,
  { title, practice }: Columns['releases'][number],
  cell: GradeCell,
): Promise<ReportRelease> {
  const [open] = cell.attempt === null ? [] : await sittingsWhere(as, eq(sitting.id, cell.attempt));
  const { points: mark, outOf, byHand, state, late, attempts } = cell;
  return {
    ...{ title, practice, mark, outOf, byHand, state, late },
    finishedAt: open?.finishedAt ?? null,
    ended: state === 'done',
    sittings: attempts,
    questions: open ? await questionsOf(as, open.id) : [],
  };
}

const categoriesOf = (columns: Columns, cells: readonly GradeCell[]): LearnerReport['categories'] =>
  categorySums(columns, cells).flatMap((sum, i) => {
    const { title, weight } = columns.categories[i] as Columns['categories'][number];
    return sum ? [{ title, weight, points: roundMark(sum.points), outOf: roundMark(sum.outOf) }] : [];
  });

async function questionsOf(as: As<Teacher>, sittingId: string): Promise<ReportQuestion[]> {
  const [open] = await sittingsWhere(as, eq(sitting.id, sittingId));
  if (!open) return [];
  const record = await recordOf(as.db, open);
  return record.asked.flatMap((question, place): ReportQuestion[] => {
    const at = atOf(open, record, place, { feedbackLevel: 'modelAnswer' });
    if (!at) return [];
    const { model, standing, points } = at;
    const { counting, board, placed } = shownTry(at);
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
        lines: linesOf(model, placed),
        said: plainText(overall?.text ?? null),
        drawn: standing.tries.count === 0 ? null : drawingOf(at, board),
      },
    ];
  });
}

function drawingOf({ model, edition, modelAnswer }: At, answer: Board): ReportDrawing {
  const arranged = modelAnswer && boardFromPlacements(model, modelAnswer);
  return {
    document: model.question,
    homes: homesFor(model, edition),
    answer: savedBoard(answer),
    model: arranged?.ok ? savedBoard(arranged.board) : null,
  };
}

const linesOf = (model: QuestionModel, placed: readonly Placed[]): ReportLine[] =>
  placed.map(({ item, zone, place, typed, verdict }) => ({
    item: typed === null ? (item?.label ?? '') : typedInWords(typed.trim(), item?.label),
    zone: `${zone.label}${place === null ? '' : `, ${place}`}`,
    verdict,
    said: plainText(
      model.question.key.find((entry) => entry.zone === zone.id)?.says?.items[item?.id ?? '']?.text ?? null,
    ),
  }));

/** A text as it was typed, with what it was read as where that is something else. */
const typedInWords = (text: string, readAs: string | undefined): string =>
  readAs === undefined || readAs.toLowerCase() === text.toLowerCase() ? `“${text}”` : `“${text}” (${readAs})`;
