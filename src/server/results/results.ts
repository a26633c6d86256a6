import { eq } from 'drizzle-orm';
import { type ResultRow, type ResultSort, type ResultsView, ROSTER_PAGE } from '../../contract';
import { countingMark, countingSitting, roundMark } from '../../core';
import { stringify } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { allowance, markOverride, sitting, standing } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { eligibleLearners } from '../releases/audience';
import { editionOf } from '../releases/editions';
import { closeOverdue } from '../sittings/finish';
import { type AttemptScore, attemptScores, startedAttempts } from './attemptScores';

/** A page of the learners a release is assigned to. Those without what is sorted by come last in either order. */
export async function resultsPage(
  as: As<Teacher>,
  releaseId: string,
  { from, sort, descending }: { from: number; sort: ResultSort; descending: boolean },
): Promise<Result<ResultsView>> {
  const found = await resultsOf(as, releaseId);
  if (!found.ok) return found;
  const sign = descending ? -1 : 1;
  const rows = found.value.rows
    .map((row) => ({ row, by: SORTED_BY[sort](row) }))
    .toSorted((a, b) => compare(a.by, b.by, sign) || a.row.name.localeCompare(b.row.name))
    .map(({ row }) => row);
  return ok({ ...found.value, rows: rows.slice(from, from + ROSTER_PAGE), from });
}

type SortedBy = string | number | null;
const STATES = ['notStarted', 'started', 'checked', 'ended'];
const SORTED_BY: Readonly<Record<ResultSort, (row: ResultRow) => SortedBy>> = {
  name: ({ name }) => name,
  username: ({ username }) => username,
  state: ({ state }) => STATES.indexOf(state),
  sittings: ({ sittings }) => sittings.length,
  mark: ({ mark, max }) => (mark === null || !max ? null : mark / max),
  tries: ({ tries }) => tries,
  time: ({ seconds }) => seconds,
};

function compare(a: SortedBy, b: SortedBy, sign: number): number {
  if (a === null || b === null) return Number(a === null) - Number(b === null);
  return sign * (typeof a === 'string' && typeof b === 'string' ? a.localeCompare(b) : Number(a) - Number(b));
}

/** Every learner a release is assigned to, with or without an attempt, by name. */
export async function resultsOf(as: As<Teacher>, releaseId: string): Promise<Result<ResultsView>> {
  const { db } = as;
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const { row, course } = found;
  await closeOverdue(as, [releaseId]);
  const [learners, came, byHand, allowed, whom, { asks, outOf }] = await Promise.all([
    everybodyOn(as, row.courseId),
    attemptScores(db, eq(sitting.releaseId, releaseId)),
    db.select().from(markOverride).where(eq(markOverride.releaseId, releaseId)),
    db.select().from(allowance).where(eq(allowance.releaseId, releaseId)),
    eligibleLearners(db, row),
    editionOf(db, releaseId, row.edition),
  ]);
  const byLearner = new Map<string, typeof came>();
  for (const attempt of came) byLearner.set(attempt.learnerId, [...(byLearner.get(attempt.learnerId) ?? []), attempt]);
  const handOf = new Map(byHand.map((one) => [one.learnerId, one]));
  const dueOf = new Map(allowed.map((one) => [one.learnerId, one.dueAt]));

  const rows = learners
    .filter(({ id }) => whom === null || whom.has(id) || byLearner.has(id))
    .map(({ id: learnerId, name, username }): ResultRow => {
      const mine = byLearner.get(learnerId) ?? [];
      const last = mine.at(-1);
      const set = handOf.get(learnerId);
      const touched = startedAttempts(mine, asks);
      const counts = countingMark(touched, row.counts);
      const due = dueOf.get(learnerId) ?? row.dueAt;
      return {
        learnerId,
        name,
        username,
        mark: set?.points ?? (counts && roundMark(counts.points)),
        max: set ? roundMark(set.outOf ?? counts?.outOf ?? last?.outOf ?? outOf) : counts && roundMark(counts.outOf),
        attempt: countingSitting(touched, row.counts)?.id ?? null,
        byHand: set !== undefined,
        tries: last?.tries ?? 0,
        state: !last
          ? 'notStarted'
          : last.finishedAt || last.ended === asks
            ? 'ended'
            : last.tries
              ? 'checked'
              : 'started',
        late: due !== null && (last?.finishedAt ?? null) !== null && (last?.finishedAt as Date) > due,
        seconds: last ? secondsOf(last) : null,
        sittings: mine
          .filter((attemptScore) => attemptScore.tries > 0 || attemptScore.finishedAt)
          .map(({ id, number, points, outOf, paperVariant }) => ({
            ...{ id, number, mark: points, max: roundMark(outOf) },
            onPaper: paperVariant !== null,
          })),
      };
    });
  return ok({
    release: {
      id: releaseId,
      title: row.title,
      course: course.title,
      courseId: row.courseId,
      edition: row.edition,
      createdAt: row.createdAt,
    },
    rows,
    total: rows.length,
    begun: rows.filter(({ state }) => state !== 'notStarted').length,
    from: 0,
  });
}

/** From the learner's first move to the last; null: there is none. */
const secondsOf = ({ firstMoveAt, lastMoveAt }: AttemptScore): number | null =>
  firstMoveAt && lastMoveAt ? Math.round((lastMoveAt.getTime() - firstMoveAt.getTime()) / 1000) : null;

/** The points of each attempt by question, in the order of the edition that counts now. */
export interface QuestionMarks {
  readonly questions: readonly { readonly title: string; readonly points: number }[];
  /** By attempt and question; without an entry: it was not asked, or not answered. */
  readonly points: ReadonlyMap<string, ReadonlyMap<number, number>>;
}

export async function questionMarks({ db }: As<Teacher>, { release }: ResultsView): Promise<QuestionMarks> {
  const [{ models, points: worth }, rows] = await Promise.all([
    editionOf(db, release.id, release.edition),
    db
      .select({ attempt: standing.sittingId, question: standing.question, points: standing.points })
      .from(standing)
      .innerJoin(sitting, eq(sitting.id, standing.sittingId))
      .where(eq(sitting.releaseId, release.id)),
  ]);
  const points = new Map<string, Map<number, number>>();
  for (const row of rows) {
    const own = points.get(row.attempt) ?? new Map<number, number>();
    points.set(row.attempt, own.set(row.question, roundMark(row.points)));
  }
  return {
    questions: models.map(({ question: { title } }, i) => ({ title, points: roundMark(worth[i] ?? 0) })),
    points,
  };
}

/**
 * The results as a CSV file (RFC 4180, UTF-8), a line for each learner, with the points of each question in the attempt
 * that counts.
 */
export function resultsCsv({ rows }: ResultsView, { questions, points }: QuestionMarks): string {
  return stringify(
    [
      ...['name', 'user name', 'mark', 'out of', 'tries', 'seconds', 'state', 'late', 'sittings'],
      ...questions.map(({ title, points: worth }, i) => `${i + 1}. ${title} (of ${worth})`),
    ],
    rows.map(({ name, username, mark, max: outOf, attempt, tries, seconds, state, late, sittings }) => [
      ...[name, username, mark, outOf, tries, seconds, state, late ? 'late' : '', sittings.length],
      ...questions.map((_, i) => points.get(attempt ?? '')?.get(i) ?? null),
    ]),
  );
}
