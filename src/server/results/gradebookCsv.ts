import type { GradeCell } from '../../contract';
import { stringify } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { fail, ok, type Result } from '../errors';
import { categorySums, columnsOf, gradeEverybody, isCounted } from './gradeCells';

/** The overall mark, rounded to eight places, so that the order of adding up does not matter. */
const rounded = (n: number): number => Number(n.toFixed(8));
/** A number for CSV, with all its digits. */
const exact = (n: number): string => String(n);

const STATES: Readonly<Record<GradeCell['state'], string>> = {
  done: 'done',
  running: 'under way',
  missing: 'missing',
  none: 'nothing yet',
  notFor: 'not assigned',
  excused: 'excused',
};

/**
 * The gradebook as CSV (RFC 4180, UTF-8): a line for each learner, with each mark and its maximum as numbers, its state
 * and what was said of it in columns of their own, and the sum of each category. The overall mark follows from the
 * line: the points of a category out of its maximum, and the categories by weight. `bom`: it begins with a byte order
 * mark.
 */
export async function gradebookCsv(
  as: As<Teacher>,
  courseId: string,
  { bom = false }: { readonly bom?: boolean } = {},
): Promise<Result<string>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  const columns = await columnsOf({ ...as, closing: true }, courseId);
  const { releases, categories, letters } = columns;
  const rows = await gradeEverybody(as, columns, await everybodyOn(as, courseId));
  const titled = (id: string | null) => categories.find((category) => category.id === id);
  const lines = stringify(
    [
      'name',
      'user name',
      'groups',
      ...releases.flatMap(({ title, categoryId }) => {
        const of = categories.length === 0 ? '' : ` (${titled(categoryId)?.title ?? 'counts in none'})`;
        return [
          `${title}${of}`,
          ...['out of', 'state', 'late', 'by hand', 'note'].map((column) => `${title}: ${column}`),
        ];
      }),
      ...categories.flatMap(({ title, weight }) => [
        `category ${title}, weight ${exact(weight)}: points`,
        `category ${title}: out of`,
      ]),
      'overall mark, percent',
      ...(letters.length > 0 ? ['letter grade'] : []),
    ],
    rows.map(({ name, username, groups, cells, whole, letter }) => [
      ...[name, username, groups.join('; ')],
      ...cells.flatMap((cell) => [
        isCounted(cell) ? exact(cell.points ?? 0) : '',
        isCounted(cell) ? exact(cell.outOf) : '',
        STATES[cell.state],
        cell.late ? 'late' : '',
        cell.byHand ?? '',
        cell.note,
      ]),
      ...categorySums(columns, cells).flatMap((sum) => (sum ? [exact(sum.points), exact(sum.outOf)] : ['', ''])),
      whole === null ? '' : exact(rounded(whole * 100)),
      ...(letters.length > 0 ? [letter ?? ''] : []),
    ]),
  );
  return ok(bom ? `\uFEFF${lines}` : lines);
}
