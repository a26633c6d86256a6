import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp, CloudAlert, CloudUpload, Pencil, StickyNote } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { GradeMeans, Wire } from '../../contract';
import { shownMark } from '../../ui';
import { numberFrom } from '../../ui/numbers';
import { RowSpace } from '../../ui/RowSpace';
import { cellInWords, percent } from './inWords';
import type { Cell, Order, Page, Release, Row } from './useGrades';

const ROW = 40;
/** Rows before the end of what is loaded at which more is asked for. */
const AHEAD = 30;

interface Props {
  courseId: string;
  page: Page;
  rows: readonly Row[];
  total: number;
  order: Order;
  means: Wire<GradeMeans> | null;
  hasMore: boolean;
  onMore: () => void;
  onOrder: (order: Order) => void;
  onOpen: (row: Row, release: Release) => void;
  /** Null: the mark by hand is removed. True if it was written. */
  onMark: (row: Row, release: Release, points: number | null) => Promise<boolean>;
}

/** Where the focus is in the table: by row and release. */
interface Place {
  readonly row: number;
  readonly column: number;
}

/**
 * Learners by releases. Only visible rows are drawn, and more are loaded on scrolling. The arrow keys move from cell to
 * cell; a digit begins to type a mark there, Enter keeps it and goes on to the next row, Escape leaves it.
 */
export function GradeTable(props: Props) {
  const { courseId, page, rows, total, order, means, hasMore, onMore, onOpen, onMark } = props;
  const { releases, groups } = page;
  const scroller = useRef<HTMLDivElement>(null);
  const [place, setPlace] = useState<Place>({ row: 0, column: 0 });
  const [typing, setTyping] = useState<string | null>(null);
  const wanted = useRef<Place | null>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const shown = virtual.getVirtualItems();
  const lastShown = shown.at(-1)?.index ?? 0;
  useEffect(() => {
    if (hasMore && lastShown >= rows.length - AHEAD) onMore();
  }, [hasMore, lastShown, rows.length, onMore]);
  // A row that the focus goes to may have to be drawn first.
  useEffect(() => {
    const to = wanted.current;
    const cell = to && scroller.current?.querySelector<HTMLElement>(`[data-cell="${to.row} ${to.column}"]`);
    if (!cell) return;
    wanted.current = null;
    cell.focus();
    cell.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  });
  const goTo = ({ row, column }: Place) => {
    const to = {
      row: Math.max(0, Math.min(rows.length - 1, row)),
      column: Math.max(0, Math.min(releases.length - 1, column)),
    };
    wanted.current = to;
    setPlace(to);
    virtual.scrollToIndex(to.row, { align: 'auto' });
  };
  const keep = async (at: Place, text: string, next: Place) => {
    setTyping(null);
    const [row, release] = [rows[at.row], releases[at.column]];
    if (row && release && text.trim() !== '') {
      const { value } = numberFrom(text, 0);
      if (value !== null) await onMark(row, release, value);
    }
    goTo(next);
  };
  const press = (event: React.KeyboardEvent, at: Place, cell: Cell) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const steps: Partial<Record<string, Place>> = {
      ArrowUp: { ...at, row: at.row - 1 },
      ArrowDown: { ...at, row: at.row + 1 },
      ArrowLeft: { ...at, column: at.column - 1 },
      ArrowRight: { ...at, column: at.column + 1 },
      Home: { ...at, column: 0 },
      End: { ...at, column: releases.length - 1 },
      PageUp: { ...at, row: at.row - 10 },
      PageDown: { ...at, row: at.row + 10 },
    };
    const to = steps[event.key];
    if (to) {
      event.preventDefault();
      return goTo(to);
    }
    if (cell.state === 'notFor') return;
    if (/^\d$/.test(event.key) || event.key === 'F2') {
      event.preventDefault();
      setPlace(at);
      setTyping(event.key === 'F2' ? String(cell.points ?? '') : event.key);
    } else if (event.key === 'Delete' && cell.byHand !== null) {
      const [row, release] = [rows[at.row], releases[at.column]];
      if (row && release) void onMark(row, release, null);
    }
  };
  const top = shown[0]?.start ?? 0;
  const bottom = virtual.getTotalSize() - (shown.at(-1)?.end ?? 0);
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is reached by the keyboard
    <section ref={scroller} className="gradebook" tabIndex={0} aria-label="Gradebook">
      <table className="ledger-table" aria-rowcount={total + 1}>
        <caption className="sr-only">Learners by releases</caption>
        <Head page={page} order={order} means={means} onOrder={props.onOrder} />
        <tbody>
          <RowSpace height={top} />
          {shown.map(({ index }) => {
            const row = rows[index] as Row;
            const isHere = index === place.row;
            return (
              <tr key={row.learnerId} style={{ height: ROW }} aria-rowindex={index + 2}>
                <th scope="row">
                  <a
                    className="link-brass font-normal"
                    href={`/courses/${courseId}/report/${row.learnerId}`}
                    tabIndex={isHere ? undefined : -1}
                  >
                    {row.name}
                  </a>
                </th>
                {groups.length > 0 && <td className="gradebook-groups">{row.groups.join(', ')}</td>}
                <td className="grade figures font-semibold">
                  {row.whole === null ? '–' : percent(row.whole)}
                  {row.letter !== null && <span> {row.letter}</span>}
                </td>
                {row.cells.map((cell, column) => {
                  const release = releases[column] as Release;
                  const at = { row: index, column };
                  const isActive = isHere && column === place.column;
                  return (
                    <td key={release.id} className="grade figures" data-state={cell.state}>
                      {isActive && typing !== null ? (
                        <Typed
                          first={typing}
                          most={cell.outOf}
                          label={`${row.name}, ${release.title}: points of ${cell.outOf}`}
                          onKeep={(text, next) => void keep(at, text, { ...at, ...next(at) })}
                          onLeave={() => {
                            setTyping(null);
                            goTo(at);
                          }}
                        />
                      ) : (
                        <button
                          type="button"
                          data-cell={`${index} ${column}`}
                          tabIndex={isActive ? 0 : -1}
                          aria-disabled={cell.state === 'notFor' || undefined}
                          onFocus={() => setPlace(at)}
                          onClick={() => cell.state !== 'notFor' && onOpen(row, release)}
                          onKeyDown={(event) => press(event, at, cell)}
                          title={titleOf(cell)}
                          aria-label={`${row.name}, ${release.title}: ${cellInWords(cell)}`}
                        >
                          <CellFace cell={cell} outOf={release.outOf} />
                        </button>
                      )}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          <RowSpace height={bottom} />
        </tbody>
      </table>
    </section>
  );
}

const titleOf = ({ byHand, note, sending }: Cell) =>
  [byHand !== null && `Set by hand: ${byHand}`, note, sending?.reason].filter(Boolean).join(' · ') || undefined;

function CellFace({ cell, outOf }: { cell: Cell; outOf: number }) {
  const { points, state, late, byHand, note, sending } = cell;
  return (
    <>
      {points !== null ? (
        <span className={state === 'excused' ? 'line-through text-mute' : ''}>
          {shownMark(points)}
          {cell.outOf !== outOf && <span className="text-mute"> of {cell.outOf}</span>}
        </span>
      ) : state === 'missing' ? (
        <span className="text-brick">missing</span>
      ) : state === 'running' ? (
        '…'
      ) : state !== 'excused' ? (
        '–'
      ) : null}
      {state === 'excused' && <span className="text-mute"> excused</span>}
      {late && <span className="text-brick"> late</span>}
      {byHand !== null && <Pencil size={13} className="inline ms-1" aria-hidden />}
      {note !== '' && <StickyNote size={13} className="inline ms-1" aria-hidden />}
      {sending?.state === 'waiting' && <CloudUpload size={13} className="inline ms-1 text-mute" aria-hidden />}
      {sending?.state === 'failed' && <CloudAlert size={13} className="inline ms-1 text-brick" aria-hidden />}
    </>
  );
}

type Next = (at: Place) => Partial<Place>;

/** A mark being typed: Enter keeps it and goes down, Tab to the right, Escape leaves it as it was. */
function Typed(props: {
  first: string;
  /** More has to be meant: it is set in the cell's dialog. */
  most: number;
  label: string;
  onKeep: (text: string, next: Next) => void;
  onLeave: () => void;
}) {
  const [text, setText] = useState(props.first);
  const ended = useRef(false);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const { problem } = text.trim() === '' ? { problem: null } : numberFrom(text, 0, props.most);
  const end = (next: Next) => {
    if (problem) toast.error(`${props.label}: ${problem}. To give more, open the cell.`);
    if (ended.current || problem) return;
    ended.current = true;
    props.onKeep(text, next);
  };
  return (
    <input
      ref={field}
      className={`input input-sm figures text-right ${problem ? 'input-error' : ''}`}
      inputMode="decimal"
      aria-label={props.label}
      aria-invalid={problem ? true : undefined}
      title={problem ?? undefined}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => end(() => ({}))}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          end(({ row }) => ({ row: row + 1 }));
        } else if (event.key === 'Tab') {
          event.preventDefault();
          end(({ column }) => ({ column: column + (event.shiftKey ? -1 : 1) }));
        } else if (event.key === 'Escape') {
          ended.current = true;
          props.onLeave();
        }
      }}
    />
  );
}

interface HeadProps {
  page: Page;
  order: Order;
  means: Wire<GradeMeans> | null;
  onOrder: (order: Order) => void;
}

/** Units, titles, maxima and means: they stay in view. */
function Head({ page: { releases, units, groups, categories }, order, means, onOrder }: HeadProps) {
  const categoryOf = (id: string | null) =>
    categories.find((category) => category.id === id)?.title ?? 'counts in none';
  const blocks = releases.reduce<{ unitId: string | null; count: number }[]>((found, { unitId }) => {
    const last = found.at(-1);
    if (last?.unitId === unitId) last.count++;
    else found.push({ unitId, count: 1 });
    return found;
  }, []);
  const besides = groups.length > 0 ? 3 : 2;
  const meanOf = (mean: GradeMeans['overall'] | undefined) =>
    mean?.mean == null ? '' : `${percent(mean.mean)} (${mean.count})`;
  return (
    <thead>
      {blocks.some(({ unitId }) => unitId !== null) && (
        <tr className="gradebook-units">
          <td colSpan={besides} />
          {blocks.map(({ unitId, count }) => (
            <th key={unitId ?? ''} scope="colgroup" colSpan={count}>
              {units.find(({ id }) => id === unitId)?.title ?? 'In no unit'}
            </th>
          ))}
        </tr>
      )}
      <tr>
        <Sorted by="name" order={order} onOrder={onOrder} words="learner" />
        {groups.length > 0 && <Sorted by="group" order={order} onOrder={onOrder} words="group" />}
        <Sorted by="overall" order={order} onOrder={onOrder} words="total" isGrade />
        {releases.map(({ id, title }) => (
          <Sorted key={id} by={id} order={order} onOrder={onOrder} words={title} isGrade />
        ))}
      </tr>
      <tr className="gradebook-maxima">
        <th scope="row">out of</th>
        {groups.length > 0 && <td />}
        <td className="grade figures">100 %</td>
        {releases.map(({ id, outOf, categoryId, title }) => (
          <td key={id} className="grade figures">
            <a className="link-brass" href={`/releases/${id}/results`} aria-label={`${outOf}: results of ${title}`}>
              {outOf}
            </a>
            {categories.length > 0 && <span> · {categoryOf(categoryId)}</span>}
          </td>
        ))}
      </tr>
      <tr className="gradebook-maxima">
        <th scope="row">mean (of how many)</th>
        {groups.length > 0 && <td />}
        <td className="grade figures">{meanOf(means?.overall)}</td>
        {releases.map(({ id }, i) => (
          <td key={id} className="grade figures">
            {meanOf(means?.releases[i])}
          </td>
        ))}
      </tr>
    </thead>
  );
}

interface SortedProps {
  by: string;
  words: string;
  order: Order;
  onOrder: (order: Order) => void;
  isGrade?: boolean;
}

/** A heading that sorts: marks begin with the lowest, since those are looked for. */
function Sorted({ by, words, order: { sort, descending }, onOrder, isGrade = false }: SortedProps) {
  const isSorted = sort === by;
  const Arrow = descending ? ArrowDown : ArrowUp;
  return (
    <th
      scope="col"
      className={isGrade ? 'grade' : ''}
      aria-sort={isSorted ? (descending ? 'descending' : 'ascending') : 'none'}
    >
      <button
        type="button"
        title={words}
        className="gradebook-sort"
        onClick={() => onOrder({ sort: by, descending: isSorted && !descending })}
      >
        <span>{words}</span>
        {isSorted && <Arrow size={14} aria-hidden />}
      </button>
    </th>
  );
}
