import { inArray } from 'drizzle-orm';
import {
  type GradebookPage,
  type GradeCell,
  type GradeFilter,
  type GradeMean,
  type GradeMeans,
  type GradeRelease,
  type GradeRow,
  type GradesFiltered,
  type GradesSought,
  ROSTER_PAGE,
} from '../../contract';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { everybodyOn, listRoster, peopleIn } from '../courses/roster';
import { ltiLine } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { type Columns, columnsOf, gradeEverybody, gradeRows } from './gradeCells';
import { rememberedOrder, rememberOrder } from './gradeOrder';

/** A page of a course's gradebook: learners by its counting releases. */
export async function openGradebook(
  as: As<Teacher>,
  courseId: string,
  { from = 0, sort = 'name', descending = false, ...filter }: GradesSought = {},
): Promise<Result<GradebookPage>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const columns = await columnsOf({ ...as, closing: from === 0 }, courseId);
  const lines = await linkedReleases(as, columns);
  const page = (rows: GradeRow[], total: number): Result<GradebookPage> =>
    ok({ ...shownColumns(columns, lines), rows, total, from });
  const isSorted = sort !== 'name' || descending;
  if (!isSorted && !isNarrowed(filter)) {
    const found = await listRoster(as, courseId, { words: filter.words ?? '', from });
    return found.ok ? page(await gradeRows(as, columns, found.value.rows), found.value.total) : found;
  }
  const key = [as.person.id, courseId, sort, String(descending), JSON.stringify(filter)];
  const known = from > 0 ? rememberedOrder(as.db, key) : null;
  if (known) {
    const people = await peopleIn(as, courseId, known.slice(from, from + ROSTER_PAGE));
    return page(await gradeRows(as, columns, people), known.length);
  }
  // Every mark of everybody has to be worked out first. Later pages are of the same order.
  const rows = inOrder(await filteredRows(as, courseId, columns, filter), columns, sort, descending);
  rememberOrder(
    as.db,
    key,
    rows.map(({ learnerId }) => learnerId),
  );
  return page(rows.slice(from, from + ROSTER_PAGE), rows.length);
}

/** The mean marks of those whom a gradebook shows. */
export async function gradeMeans(
  as: As<Teacher>,
  courseId: string,
  filter: GradesFiltered = {},
): Promise<Result<GradeMeans>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const columns = await columnsOf({ ...as, closing: false }, courseId);
  const rows = await filteredRows(as, courseId, columns, filter);
  return ok({
    overall: meanOf(rows.map(({ whole }) => whole)),
    releases: columns.releases.map((_, i) => meanOf(rows.map(({ cells }) => shareOf(cells[i])))),
  });
}

const shownColumns = ({ releases, ...columns }: Columns, lines: ReadonlyMap<string, boolean>) => ({
  ...columns,
  releases: releases.map(({ id, title, unitId, categoryId, dueAt, closesAt, outOf }): GradeRelease => {
    const takes = lines.get(id);
    return {
      ...{ id, title, unitId, categoryId, dueAt, closesAt, outOf },
      scores: takes === undefined ? null : takes ? 'sent' : 'refused',
    };
  }),
});

/** The releases that a platform links, and whether one takes marks for them. */
async function linkedReleases({ db }: Pick<As, 'db'>, { releases }: Columns): Promise<Map<string, boolean>> {
  const ids = releases.map(({ id }) => id);
  const lines = await db
    .select({ id: ltiLine.releaseId, takes: ltiLine.takesScores })
    .from(ltiLine)
    .where(inArray(ltiLine.releaseId, ids));
  const linked = new Map<string, boolean>();
  for (const { id, takes } of lines) linked.set(id, takes || (linked.get(id) ?? false));
  return linked;
}

const isNarrowed = ({ group, release, state }: GradesFiltered) =>
  group !== undefined || (release !== undefined && state !== undefined);

async function filteredRows(
  as: As<Teacher>,
  courseId: string,
  columns: Columns,
  { words = '', group, release, state }: GradesFiltered,
): Promise<GradeRow[]> {
  const rows = await gradeEverybody(as, columns, await everybodyOn(as, courseId, words, group));
  const at = columns.releases.findIndex(({ id }) => id === release);
  return state === undefined || at === -1 ? rows : rows.filter(({ cells }) => isSo(cells[at] as GradeCell, state));
}

function isSo(cell: GradeCell, state: GradeFilter): boolean {
  switch (state) {
    case 'late':
      return cell.late;
    case 'byHand':
      return cell.byHand !== null;
    case 'noted':
      return cell.note !== '';
    default:
      return cell.state === state;
  }
}

/** The share of a mark that counts; null: there is none. */
const shareOf = (cell: GradeCell | undefined): number | null =>
  !cell || cell.points === null || cell.state === 'excused' || cell.outOf === 0 ? null : cell.points / cell.outOf;

/** Rows come by name. Those without what is sorted by come last in either order. */
function inOrder(rows: readonly GradeRow[], { releases }: Columns, sort: string, descending: boolean): GradeRow[] {
  if (sort === 'name') return descending ? rows.toReversed() : [...rows];
  const at = releases.findIndex(({ id }) => id === sort);
  const of = ({ groups, whole, cells }: GradeRow): string | number | null =>
    sort === 'group' ? (groups[0] ?? null) : sort === 'overall' ? whole : shareOf(cells[at]);
  const sign = descending ? -1 : 1;
  return rows
    .map((row) => ({ row, by: of(row) }))
    .toSorted((a, b) =>
      a.by === null || b.by === null
        ? Number(a.by === null) - Number(b.by === null)
        : sign * (a.by < b.by ? -1 : a.by > b.by ? 1 : 0),
    )
    .map(({ row }) => row);
}

function meanOf(shares: readonly (number | null)[]): GradeMean {
  const those = shares.filter((share) => share !== null);
  return {
    mean: those.length === 0 ? null : those.reduce((sum, share) => sum + share, 0) / those.length,
    count: those.length,
  };
}

/** The overall mark of everybody in a course; `without`: as if that category did not exist. */
export async function overallMarks(
  as: As<Teacher>,
  courseId: string,
  without?: string,
): Promise<{ learnerId: string; name: string; overall: number | null }[]> {
  const columns = await columnsOf({ ...as, closing: false }, courseId);
  const left = {
    ...columns,
    categories: columns.categories.filter(({ id }) => id !== without),
    releases: columns.releases.map((release) =>
      release.categoryId === without ? { ...release, categoryId: null } : release,
    ),
  };
  const rows = await gradeEverybody(as, left, await everybodyOn(as, courseId));
  return rows.map(({ learnerId, name, whole }) => ({ learnerId, name, overall: whole }));
}
