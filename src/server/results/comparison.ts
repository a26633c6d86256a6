import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq, inArray, isNull, ne } from 'drizzle-orm';
import jStat from 'jstat';
import type {
  ComparedAttempts,
  ComparedGroup,
  ComparedQuestion,
  ComparedRelease,
  ComparisonView,
  QuestionAnalysis,
} from '../../contract';
import { meansApart, pairsApart, sharesApart, type TBound } from '../../core';
import type { As, Teacher } from '../context';
import { isTaughtBy, releaseOf } from '../courses/access';
import type { Database } from '../database/open';
import {
  type AttemptMarks,
  course,
  courseGroup,
  figures,
  groupMember,
  type LearnerMarks,
  release,
  releaseQuestion,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { closeOverdue } from '../sittings/finish';
import { areFiguresCurrent } from './analysis';

/** As many other releases are shown, the newest. */
const MAX_RELEASES = 20;

/** The bounds of `comparisons` differences that hold together at 95 % (Bonferroni). */
const upper = (comparisons: number) => 1 - 0.025 / Math.max(1, comparisons);
const normalBound = (comparisons: number): number => jStat.normal.inv(upper(comparisons), 0, 1);
const studentBound =
  (comparisons: number): TBound =>
  (df) =>
    jStat.studentt.inv(upper(comparisons), df);

/** A release compared, from the figures that a job has worked out of it and of the others with its questions. */
export async function comparisonOf(as: As<Teacher>, releaseId: string): Promise<Result<ComparisonView>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  await closeOverdue(as, [releaseId]);
  const { row, course: ofCourse } = found;
  const [own, { others, more }] = await Promise.all([sideOf(as, row, ofCourse.title), othersOf(as, releaseId)]);
  const kept = await as.db.query.figures.findFirst({
    columns: { marks: true, edition: true },
    where: eq(figures.releaseId, releaseId),
  });
  const marks = kept?.edition === row.edition ? kept.marks : [];
  const { id, title, courseId, edition } = row;
  return ok({
    release: { id, title, course: ofCourse.title, courseId, edition },
    isCurrent: own.isCurrent && others.every(({ isCurrent }) => isCurrent),
    questions: own.questions?.map((question) => comparedQuestion(own, others, question)) ?? null,
    more,
    groups: await groupsOf(as.db, courseId, marks),
    attempts: attemptsOf(marks),
  });
}

/** A release with the figures of its questions; null: there are none of its edition yet. */
interface Side {
  readonly id: string;
  readonly title: string;
  readonly course: string;
  readonly createdAt: Date;
  readonly edition: number;
  readonly isCurrent: boolean;
  readonly questions: readonly QuestionAnalysis[] | null;
}
type ReleaseRow = Pick<typeof release.$inferSelect, 'id' | 'title' | 'createdAt' | 'edition'>;

async function sideOf(
  as: As<Teacher>,
  { id, title, createdAt, edition }: ReleaseRow,
  courseTitle: string,
): Promise<Side> {
  const isCurrent = await areFiguresCurrent(as, id, edition);
  const kept = await as.db.query.figures.findFirst({
    columns: { body: true, edition: true },
    where: eq(figures.releaseId, id),
  });
  const questions = kept?.edition === edition ? kept.body.questions : null;
  return { id, title, course: courseTitle, createdAt, edition, isCurrent, questions };
}

/** The teacher's other releases with one of its questions, the newest first. */
async function othersOf(as: As<Teacher>, releaseId: string): Promise<{ others: Side[]; more: number }> {
  const own = as.db
    .select({ id: releaseQuestion.questionId })
    .from(releaseQuestion)
    .where(eq(releaseQuestion.releaseId, releaseId));
  const rows = await as.db
    .selectDistinct({ row: release, course: course.title })
    .from(releaseQuestion)
    .innerJoin(release, eq(release.id, releaseQuestion.releaseId))
    .innerJoin(course, eq(course.id, release.courseId))
    .where(
      and(
        inArray(releaseQuestion.questionId, own),
        ne(release.id, releaseId),
        isNull(release.withdrawnAt),
        isTaughtBy(as),
      ),
    )
    .orderBy(desc(release.createdAt), release.id);
  const others: Side[] = [];
  for (const { row, course: title } of rows.slice(0, MAX_RELEASES)) others.push(await sideOf(as, row, title));
  return { others, more: Math.max(0, rows.length - MAX_RELEASES) };
}

function comparedQuestion(own: Side, others: readonly Side[], question: QuestionAnalysis): ComparedQuestion {
  const { document, title, struck } = question;
  const elsewhere = others.flatMap((side) =>
    (side.questions ?? []).flatMap((other) => (other.document.id === document.id ? [{ side, other }] : [])),
  );
  const z = normalBound(elsewhere.length);
  const comparedIn = ({ id, title, course, createdAt, edition, isCurrent }: Side, of: QuestionAnalysis) => ({
    ...{ id, title, course, createdAt, edition, isCurrent },
    ...{ asked: of.asked, full: of.full, facility: of.facility, discrimination: of.discrimination },
    same: isDeepStrictEqual(of.document, document),
  });
  const releases: ComparedRelease[] = elsewhere.map(({ side, other }) => ({
    ...comparedIn(side, other),
    difference:
      struck || other.struck || !question.facility || !other.facility
        ? null
        : sharesApart(
            { value: other.facility.value, n: other.asked },
            { value: question.facility.value, n: question.asked },
            z,
          ),
  }));
  return { title, struck, releases: [{ ...comparedIn(own, question), difference: null }, ...releases] };
}

const meanOf = (list: readonly number[]): number => list.reduce((sum, x) => sum + x, 0) / list.length;

/** The groups of the course that somebody of the release is in, by title. */
async function groupsOf(db: Database, courseId: string, marks: readonly LearnerMarks[]): Promise<ComparedGroup[]> {
  const rows = await db
    .select({ id: courseGroup.id, title: courseGroup.title, learnerId: groupMember.learnerId })
    .from(courseGroup)
    .innerJoin(groupMember, eq(groupMember.groupId, courseGroup.id))
    .where(eq(courseGroup.courseId, courseId));
  const groups = new Map<string, { title: string; ids: Set<string> }>();
  for (const { id, title, learnerId } of rows) {
    const group = groups.get(id) ?? { title, ids: new Set() };
    groups.set(id, { title, ids: group.ids.add(learnerId) });
  }
  const sides = [...groups].map(([id, { title, ids }]) => ({
    ...{ id, title },
    inside: marks.filter(({ learnerId }) => ids.has(learnerId)),
    outside: marks.filter(({ learnerId }) => !ids.has(learnerId)),
  }));
  const answered = sides.filter(({ inside }) => inside.length > 0);
  const bound = studentBound(answered.length);
  const totals = (of: readonly LearnerMarks[]) => of.map(({ first }) => first.total);
  return answered
    .map(({ id, title, inside, outside }) => ({
      ...{ id, title, learners: inside.length, others: outside.length },
      mean: meanOf(totals(inside)),
      difference: meansApart(totals(inside), totals(outside), bound),
      questions: questionsOf(inside),
    }))
    .toSorted((a, b) => a.title.localeCompare(b.title));
}

function questionsOf(marks: readonly LearnerMarks[]): ComparedGroup['questions'] {
  return (marks[0]?.first.shares ?? []).map((_, q) => {
    const shares = marks.flatMap(({ first }) => first.shares[q] ?? []);
    return shares.length > 0 ? { learners: shares.length, facility: meanOf(shares) } : null;
  });
}

type Pair = readonly [first: number, last: number];

/** Of those who have had more than one attempt: the first against the last. */
function attemptsOf(marks: readonly LearnerMarks[]): ComparisonView['attempts'] {
  const again = marks.flatMap(({ first, last }) => (last ? [[first, last] as const] : []));
  const all = pairsOf(
    again.map(([first, last]) => [first.total, last.total]),
    studentBound(1),
  );
  if (!all) return null;
  const questions = again[0]?.[0].shares.map((_, q) => pairsIn(again, q)) ?? [];
  const bound = studentBound(questions.filter((pairs) => pairs.length > 0).length);
  return { ...all, questions: questions.map((pairs) => pairsOf(pairs, bound)) };
}

const pairsIn = (again: readonly (readonly [AttemptMarks, AttemptMarks])[], q: number): Pair[] =>
  again.flatMap(([{ shares }, last]) => {
    const [before, after] = [shares[q] ?? null, last.shares[q] ?? null];
    return before === null || after === null ? [] : [[before, after] as const];
  });

const pairsOf = (pairs: readonly Pair[], bound: TBound): ComparedAttempts | null =>
  pairs.length === 0
    ? null
    : {
        learners: pairs.length,
        first: meanOf(pairs.map(([first]) => first)),
        last: meanOf(pairs.map(([, last]) => last)),
        difference: pairsApart(pairs, bound),
      };
