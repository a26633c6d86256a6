import {
  keepPreviousData,
  QueryClient,
  QueryClientProvider,
  useInfiniteQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { GradeCell, GradeRelease, GradeRow, GradeSort, HandMark, Wire } from '../../contract';
import { markByHand } from '../../contract';
import { api, ask, Dialog, Field, shownMark } from '../../ui';
import { useRequestForm } from '../../ui/form';
import './gradebook.css';

type Cell = GradeCell;
type Release = Wire<GradeRelease>;
type Row = Wire<GradeRow>;
const client = new QueryClient();
const ROW = 40;

export function Gradebook({ courseId }: { courseId: string }) {
  return (
    <QueryClientProvider client={client}>
      <Grades courseId={courseId} />
      <Toaster position="bottom-right" />
    </QueryClientProvider>
  );
}

/** The gradebook: learners by releases. Only visible rows are drawn, and more are loaded on scrolling. */
function Grades({ courseId }: { courseId: string }) {
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const [sort, setSort] = useState<GradeSort>('name');
  const [setting, setSetting] = useState<{ row: Row; release: Release; cell: Cell } | null>(null);
  const queries = useQueryClient();
  const found = useInfiniteQuery({
    queryKey: ['grades', words, sort],
    queryFn: ({ pageParam }) =>
      ask('GET /api/courses/{id}/gradebook', { id: courseId, query: { words, sort, from: pageParam } }),
    initialPageParam: 0,
    getNextPageParam: ({ from, rows, total }) => (from + rows.length < total ? from + rows.length : undefined),
    placeholderData: keepPreviousData,
  });
  const [first] = found.data?.pages ?? [];
  const rows = found.data?.pages.flatMap((page) => page.rows) ?? [];
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const shown = virtual.getVirtualItems();
  const lastShown = shown.at(-1)?.index ?? 0;
  useEffect(() => {
    if (found.hasNextPage && !found.isFetchingNextPage && lastShown >= rows.length - 30) void found.fetchNextPage();
  }, [found, lastShown, rows.length]);

  const keep = async (mark: Mark | null) => {
    if (!setting) return;
    const answer = await api('PUT /api/releases/{id}/marks', {
      id: setting.release.id,
      body: { learnerId: setting.row.learnerId, mark },
    });
    if (!answer.ok)
      return void toast.error(
        `${answer.error.message}. ${answer.error.problems?.[0]?.message ?? answer.error.nextStep}`,
      );
    setSetting(null);
    await queries.invalidateQueries({ queryKey: ['grades'] });
  };

  if (found.isError) return <p className="text-brick">{found.error.message}</p>;
  if (!first) return <p role="status">Adding up…</p>;
  const { releases, categories, total } = first;
  const weights = categories.reduce((sum, { weight }) => sum + weight, 0);
  const categoryOf = (id: string | null) => categories.find((category) => category.id === id);
  const top = shown[0]?.start ?? 0;
  const bottom = virtual.getTotalSize() - (shown.at(-1)?.end ?? 0);
  return (
    <>
      <div className="flex flex-wrap items-end gap-3 mb-3">
        <Field
          className="grow max-w-sm"
          label="Find by name"
          type="search"
          maxLength={200}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <p className="text-mute grow pb-2">
          {categories.length > 0
            ? `The total is weighted: ${categories.map(({ title, weight }) => `${title} ${weights > 0 ? Math.round((weight / weights) * 100) : 0} %`).join(', ')}.`
            : 'The total is all points out of all that could be earned.'}{' '}
          What is missing counts as zero; what is still to come does not count.
        </p>
        <a className="btn btn-primary" href={`/courses/${courseId}/gradebook.csv`} download>
          Gradebook as CSV
        </a>
      </div>
      {releases.length === 0 && <p className="text-lg">Nothing that counts is published here yet.</p>}
      {total === 0 ? (
        <p className="text-lg">{words === '' ? 'Nobody is in this course yet.' : 'Nobody is called that.'}</p>
      ) : (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is reached by the keyboard
        <section ref={scroller} className="gradebook" tabIndex={0} aria-label="Gradebook">
          <table className="ledger-table" aria-rowcount={total + 1}>
            <caption className="sr-only">Learners by releases</caption>
            <thead>
              <tr>
                <th scope="col" aria-sort={sort === 'name' ? 'ascending' : 'none'}>
                  <button type="button" className="cursor-pointer" onClick={() => setSort('name')}>
                    learner {sort === 'name' && <span aria-hidden>↑</span>}
                  </button>
                </th>
                <th
                  scope="col"
                  className="grade"
                  aria-sort={sort === 'name' ? 'none' : sort === 'lowest' ? 'ascending' : 'descending'}
                >
                  <button
                    type="button"
                    className="cursor-pointer"
                    onClick={() => setSort(sort === 'lowest' ? 'highest' : 'lowest')}
                  >
                    total {sort !== 'name' && <span aria-hidden>{sort === 'lowest' ? '↑' : '↓'}</span>}
                  </button>
                </th>
                {releases.map(({ id, title, categoryId, outOf }) => (
                  <th key={id} scope="col" className="grade">
                    <a className="link-brass" href={`/releases/${id}/results`} title={title}>
                      {title}
                    </a>
                    <span className="block font-normal">
                      of {outOf}
                      {categories.length > 0 && ` · ${categoryOf(categoryId)?.title ?? 'counts in none'}`}
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {top > 0 && (
                <tr aria-hidden>
                  <td style={{ height: top }} />
                </tr>
              )}
              {shown.map(({ index }) => {
                const row = rows[index] as Row;
                return (
                  <tr key={row.learnerId} style={{ height: ROW }} aria-rowindex={index + 2}>
                    <th scope="row">
                      <a className="link-brass font-normal" href={`/courses/${courseId}/report/${row.learnerId}`}>
                        {row.name}
                      </a>
                    </th>
                    <td className="grade figures font-semibold">
                      {row.whole === null ? '–' : `${Math.round(row.whole * 1000) / 10} %`}
                    </td>
                    {row.cells.map((cell, i) => {
                      const release = releases[i] as Release;
                      return (
                        <td key={release.id} className="grade figures">
                          <button
                            type="button"
                            disabled={cell.state === 'notFor'}
                            onClick={() => setSetting({ row, release, cell })}
                            title={cell.byHand === null ? undefined : `Set by hand: ${cell.byHand}`}
                            aria-label={`${row.name}, ${release.title}: ${inWords(cell)}. Set it by hand`}
                          >
                            {cell.points !== null ? (
                              <>
                                {shownMark(cell.points)}
                                {cell.outOf !== release.outOf && <span className="text-mute"> of {cell.outOf}</span>}
                              </>
                            ) : cell.state === 'missing' ? (
                              <span className="text-brick">missing</span>
                            ) : cell.state === 'running' ? (
                              '…'
                            ) : (
                              '–'
                            )}
                            {cell.late && <span className="text-brick"> late</span>}
                            {cell.byHand !== null && <span aria-hidden> ✎</span>}
                          </button>
                        </td>
                      );
                    })}
                  </tr>
                );
              })}
              {bottom > 0 && (
                <tr aria-hidden>
                  <td style={{ height: bottom }} />
                </tr>
              )}
            </tbody>
          </table>
        </section>
      )}
      {setting && (
        <ByHand
          key={`${setting.row.learnerId} ${setting.release.id}`}
          {...setting}
          onClose={() => setSetting(null)}
          onKeep={(mark) => void keep(mark)}
        />
      )}
    </>
  );
}

function inWords({ points, outOf, state, late, byHand }: Cell): string {
  const mark =
    points !== null
      ? `${shownMark(points)} of ${outOf}`
      : { none: 'nothing yet', running: 'under way', done: 'nothing', missing: 'missing', notFor: 'not for them' }[
          state
        ];
  return `${mark}${late ? ', late' : ''}${byHand !== null ? ', set by hand' : ''}`;
}

/** `above`: the mark may exceed the maximum. */
type Mark = Required<HandMark>;

interface ByHandProps {
  row: Row;
  release: Release;
  cell: Cell;
  onClose: () => void;
  onKeep: (mark: Mark | null) => void;
}

function ByHand({ row, release, cell, onClose, onKeep }: ByHandProps) {
  const { register, handleSubmit, watch, formState } = useRequestForm(markByHand, {
    ...(cell.points === null ? {} : { points: cell.points }),
    reason: cell.byHand ?? '',
    above: false,
  });
  const { errors } = formState;
  const points = watch('points');
  const isAbove = points > cell.outOf;
  return (
    <Dialog title={`${row.name}: ${release.title}`} onClose={onClose}>
      <form
        noValidate
        onSubmit={handleSubmit((mark) => onKeep({ ...mark, reason: mark.reason.trim(), above: isAbove && mark.above }))}
      >
        <p className="text-mute mb-3">
          Now: {inWords(cell)}. A mark set by hand stays, whatever the sittings earn, until you remove it. Who set it,
          when and why is recorded.
        </p>
        <div className="grid sm:grid-cols-2 gap-4">
          <Field
            label={`Points (of ${cell.outOf})`}
            inputMode="decimal"
            problem={errors.points?.message}
            data-autofocus
            {...register('points', {
              setValueAs: (typed: unknown) => (typed === '' ? undefined : Number(String(typed).replace(',', '.'))),
            })}
          />
          <Field label="Why" problem={errors.reason?.message} {...register('reason')} />
        </div>
        {isAbove && (
          <label className="flex items-center gap-2 mt-3">
            <input type="checkbox" className="checkbox checkbox-sm" {...register('above')} />
            {points} is more than the {cell.outOf} that can be earned. Set it anyway.
          </label>
        )}
        <div className="flex flex-wrap justify-end gap-2 mt-4">
          <button type="button" className="btn btn-quiet" onClick={onClose}>
            Cancel
          </button>
          {cell.byHand !== null && (
            <button type="button" className="btn btn-edge" onClick={() => onKeep(null)}>
              Remove it
            </button>
          )}
          <button type="submit" className="btn btn-primary" disabled={isAbove && !watch('above')}>
            Set it
          </button>
        </div>
      </form>
    </Dialog>
  );
}
