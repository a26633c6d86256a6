import { and, asc, eq, isNull } from 'drizzle-orm';
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
  depthsOf,
  earned,
  type FeedbackLevel,
  homesFor,
  masteryOf,
  type QuestionModel,
  roundMark,
  savedBoard,
  seesModelAnswer,
  type ZoneId,
} from '../../core';
import { plainText } from '../../core/document';
import type { As, Context, Learner, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { everybodyOn, peopleIn } from '../courses/roster';
import { course, courseLearner, release, sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { feedbackLevelAfter } from '../sittings/finish';
import { type At, atOf, type OpenSitting, recordOf, sittingsWhere } from '../sittings/standing';
import { showsMarks } from './assignedReleases';
import { type Columns, categorySums, cellsIn, columnsOf, gradeRows, type Who, withMaxima } from './gradeCells';
import { outcomeAnswers, outcomesIn, questionsOf as questionIds } from './mastery';
import { type Placed, shownTry } from './placed';

/** One learner's results in a course with the feedback, for printing. */
export async function reportOf(as: As<Teacher>, courseId: string, learnerId: string): Promise<Result<LearnerReport>> {
  const found = await courseOf(as, courseId);
  const people = found ? await peopleIn(as, courseId, [learnerId]) : [];
  if (!found || people.length === 0) return fail('notFound');
  const [report] = await reportsFor(as, of(found.row), people);
  return report ? ok(report) : fail('notFound');
}

const of = ({ id, title, lang }: typeof course.$inferSelect): LearnerReport['course'] => ({ id, title, lang });

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
  const reports = await reportsFor(as, of(found.row), people);
  return ok({ reports, total: everybody.length, from });
}

/** A learner's own results in a course: what their page of each release shows by now, and no more. */
export async function ownReport(as: As<Learner>, courseId: string): Promise<Result<LearnerReport>> {
  const { id, name, username } = as.person;
  const [found] = await as.db
    .select({ title: course.title, lang: course.lang })
    .from(courseLearner)
    .innerJoin(course, eq(course.id, courseLearner.courseId))
    .where(and(eq(course.id, courseId), eq(courseLearner.learnerId, id), isNull(course.archivedAt)));
  if (!found) return fail('notFound');
  const [report] = await reportsFor(as, { id: courseId, ...found }, [{ id, name, username }], id);
  return report ? ok(report) : fail('notFound');
}

/** `reader`: the learner who reads it, as far as they may; null: a teacher. */
async function reportsFor(
  as: Context,
  course: LearnerReport['course'],
  people: readonly Who[],
  reader: string | null = null,
): Promise<LearnerReport[]> {
  const { db } = as;
  const columns = await columnsOf({ ...as, closing: true }, course.id);
  const practice = await db
    .select()
    .from(release)
    .where(and(eq(release.courseId, course.id), eq(release.practice, true), isNull(release.withdrawnAt)))
    .orderBy(asc(release.createdAt));
  const practised = await withMaxima(as, practice);
  const rows = await gradeRows(as, columns, people);
  const besides = await cellsIn(
    as,
    practised,
    people.map(({ id }) => id),
  );
  const shownBy = await outcomesShown(as, columns.releases, rows);
  const reports: LearnerReport[] = [];
  for (const { learnerId, name, cells, whole, letter } of rows) {
    const all = [...columns.releases, ...practised].map((row, i) => ({
      row,
      cell: [...cells, ...besides(learnerId)][i] as GradeCell,
    }));
    const releases: ReportRelease[] = [];
    for (const { row, cell } of all.toSorted((a, b) => a.row.createdAt.getTime() - b.row.createdAt.getTime()))
      if (cell.attempt !== null || cell.byHand !== null || cell.state === 'missing' || cell.state === 'excused')
        releases.push(await releaseIn(as, row, cell, reader !== null));
    // From an overall mark, one that is not told yet could be reckoned.
    const isTold = releases.every(({ told, practice }) => told || practice);
    reports.push({
      ...{ course, learner: { id: learnerId, name }, releases },
      ...(isTold
        ? {
            ...{ overall: whole, letter, categories: categoriesOf(columns, cells) },
            outcomes: shownBy(learnerId),
          }
        : { overall: null, letter: null, categories: [], outcomes: [] }),
    });
  }
  return reports;
}

/** What learners show, by outcome, in the order in which outcomes stand: worked out once for all of them. */
async function outcomesShown(
  as: Context,
  releases: Columns['releases'],
  rows: readonly { readonly learnerId: string; readonly cells: readonly GradeCell[] }[],
): Promise<(learnerId: string) => LearnerReport['outcomes']> {
  const questions = await Promise.all(releases.map((release) => questionIds(as, release)));
  const outcomes = await outcomesIn(as, [...new Set(questions.flat())]);
  if (outcomes.rows.length === 0) return () => [];
  const parentOf = new Map(outcomes.rows.map(({ id, parentId }) => [id, parentId]));
  const { learners } = masteryOf(await outcomeAnswers(as, releases, rows, outcomes), parentOf);
  const depths = depthsOf(outcomes.rows);
  return (learnerId) =>
    outcomes.rows.flatMap(({ id, code, words }) => {
      const marks = learners.get(id)?.get(learnerId);
      return marks ? [{ code, words, depth: depths.get(id) ?? 0, ...marks }] : [];
    });
}

async function releaseIn(
  as: Context,
  row: Columns['releases'][number],
  cell: GradeCell,
  isOwn: boolean,
): Promise<ReportRelease> {
  const { title, practice } = row;
  const [open] = cell.attempt === null ? [] : await sittingsWhere(as, eq(sitting.id, cell.attempt));
  const { points: mark, outOf, byHand, state, late, attempts } = cell;
  const told = !isOwn || (await isToldTo(as, row, open));
  // What is still being answered is looked at where it is answered.
  const level = !isOwn ? 'modelAnswer' : open?.finishedAt ? feedbackLevelAfter(open, as.now()) : null;
  return {
    ...{ title, practice, told, outOf, state, late },
    ...(told ? { mark, byHand } : { mark: null, byHand: null }),
    finishedAt: open?.finishedAt ?? null,
    ended: state === 'done',
    sittings: attempts,
    questions: open && level ? await questionsOf(as, open, { feedbackLevel: level, isOwn }) : [],
  };
}

/** Whether a learner is told the mark of a release. */
async function isToldTo(
  as: Context,
  row: Columns['releases'][number],
  open: OpenSitting | undefined,
): Promise<boolean> {
  // Of what was never answered it is no secret that it earned nothing.
  if (!open) return true;
  return showsMarks(row, open.closesAt, await editionOf(as.db, row.id, row.edition), as.now());
}

const categoriesOf = (columns: Columns, cells: readonly GradeCell[]): LearnerReport['categories'] =>
  categorySums(columns, cells).flatMap((sum, i) => {
    const { title, weight } = columns.categories[i] as Columns['categories'][number];
    return sum ? [{ title, weight, points: roundMark(sum.points), outOf: roundMark(sum.outOf) }] : [];
  });

interface Reading {
  readonly feedbackLevel: FeedbackLevel;
  /** It is the learner's own report. */
  readonly isOwn: boolean;
}

async function questionsOf(as: Context, open: OpenSitting, reading: Reading): Promise<ReportQuestion[]> {
  const record = await recordOf(as.db, open);
  return record.asked.flatMap((question, place): ReportQuestion[] => {
    const at = atOf(open, record, place, reading);
    if (!at) return [];
    const { model, standing, points } = at;
    const { counting, board, placed } = shownTry(at);
    const { feedback, show } = model.question;
    const overall = !counting
      ? null
      : counting.judged.fullMarks
        ? feedback.right
        : counting.judged.fraction > 0
          ? feedback.partly
          : feedback.wrong;
    const earns = counting ? roundMark(earned(counting.judged.mark, counting.judged.max, points)) : 0;
    return [
      {
        title: model.question.title,
        points: roundMark(points),
        struck: record.edition.struck[question] ?? false,
        earned: reading.isOwn && !show.mark ? null : earns,
        tries: standing.tries.count,
        lines: linesOf(model, placed, reading.isOwn),
        said: plainText(overall?.text ?? null),
        drawn: standing.tries.count === 0 ? null : drawingOf(at, board, reading.isOwn),
      },
    ];
  });
}

function drawingOf(at: At, answer: Board, isOwn: boolean): ReportDrawing {
  const { model, edition, modelAnswer, standing } = at;
  const { question } = model;
  const isShown = !isOwn || seesModelAnswer(question, standing);
  const arranged = isShown && modelAnswer ? boardFromPlacements(model, modelAnswer) : null;
  return {
    document: question,
    homes: homesFor(model, edition),
    answer: savedBoard(answer),
    model: arranged?.ok ? savedBoard(arranged.board) : null,
    media: Object.fromEntries(
      Object.entries(question.media).map(([id, { hash }]) => [id, isOwn ? ownAddress(at, id) : `/media/${hash}`]),
    ),
    hides: isOwn && model.hides,
  };
}

/** A learner fetches media of their attempts alone, by the names that were drawn for it. */
const ownAddress = ({ sitting: { id }, place, edition }: At, medium: string): string =>
  `/api/sittings/${id}/media/${edition.names.medium.get(medium) ?? ''}?q=${place}`;

const linesOf = (model: QuestionModel, placed: readonly Placed[], isOwn: boolean): ReportLine[] =>
  placed.map(({ item, zone, place, typed, verdict }) => ({
    item: typed === null ? (item?.label ?? '') : typedInWords(typed.trim(), item?.label),
    zone: isOwn && isSecret(model, zone.id) ? null : `${zone.label}${place === null ? '' : `, ${place}`}`,
    verdict,
    said: plainText(
      model.question.key.find((entry) => entry.zone === zone.id)?.says?.items[item?.id ?? '']?.text ?? null,
    ),
  }));

/** Hidden zones are not told, and neither is the floor beneath them. */
function isSecret({ question, zones, zoneAt, hides }: QuestionModel, id: string): boolean {
  const at = zoneAt.get(id as ZoneId) ?? -1;
  return question.zones[at]?.hidden === true || (hides && zones[at]?.floor === true);
}

/** A text as it was typed, with what it was read as where that is something else. */
const typedInWords = (text: string, readAs: string | undefined): string =>
  readAs === undefined || readAs.toLowerCase() === text.toLowerCase() ? `“${text}”` : `“${text}” (${readAs})`;
