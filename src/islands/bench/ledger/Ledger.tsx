import { useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { type ClipboardEvent, type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Question, type Ref, type Thing, things } from '../../../core';
import { type Columns, features } from '../../../ui/DataTable';
import { type BenchStore, framesOf } from '../store';
import { COLUMNS, type LedgerColumn, readCell, rowsAsText, takeCells } from './columns';
import { LedgerRow } from './LedgerRow';
import { LedgerTools } from './LedgerTools';
import './ledger.css';

export const ROW_PIXELS = 29;
const OVERSCAN = 2;

/** Where in the Ledger the author is: rows are things in the order shown. */
export interface LedgerPlace {
  readonly row: number;
  readonly column: number;
}

/**
 * Every number on the scene, typed, filled down, copied to and pasted from a spreadsheet. Its selection and the scene's
 * are one.
 */
export function Ledger({ store, onFold }: { store: BenchStore; onFold: () => void }) {
  const question = store((s) => s.question);
  const all = useMemo(() => listed(question), [question]);
  const [sorting, setSorting] = useState<{ id: string; desc: boolean }[]>([]);
  const columns = useMemo<Columns<Thing>>(
    () =>
      COLUMNS.map((column) => ({
        id: column.id,
        accessorFn: (thing: Thing) => {
          const text = readCell(question, thing, column) ?? '';
          return column.numeric && text !== '' ? Number(text) : text;
        },
      })),
    [question],
  );
  const table = useTable({
    features,
    columns,
    data: all,
    getRowId: ({ ref }: Thing) => ref,
    state: { sorting },
    onSortingChange: setSorting,
  });
  const rows = table.getRowModel().rows.map(({ original }) => original);
  const latestRows = useRef(rows);
  latestRows.current = rows;
  const scroller = useRef<HTMLDivElement>(null);
  const [place, setPlace] = useState<LedgerPlace | null>(null);
  const anchor = useRef<Ref | null>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PIXELS,
    overscan: OVERSCAN,
    getItemKey: (i) => rows[i]?.ref ?? i,
  });

  // What is selected on the scene comes into sight here.
  const selection = store((s) => s.selection);
  useEffect(() => {
    if (scroller.current?.contains(document.activeElement)) return;
    const row = latestRows.current.findIndex(({ ref }) => selection.has(ref));
    if (row >= 0) virtual.scrollToIndex(row);
  }, [selection, virtual]);

  const focusCell = (row: number, column: number) => {
    if (row < 0 || row >= rows.length) return;
    const next = () => scroller.current?.querySelector<HTMLElement>(`[data-cell="${row} ${column}"]`);
    const there = next();
    if (there) return there.focus();
    virtual.scrollToIndex(row);
    requestAnimationFrame(() => next()?.focus());
  };
  const take = (cells: Parameters<typeof takeCells>[1], said: string) => {
    const taken = takeCells(store.getState().question, cells);
    if (taken.ok) return store.getState().do(taken.step, said);
    toast.error('That was not taken', { description: taken.problem });
  };
  /** The value of the topmost selected row in the column goes to the others. */
  const fillDown = (column: LedgerColumn | undefined) => {
    const chosen = rows.filter(({ ref }) => store.getState().selection.has(ref));
    const first = chosen.find((thing) => column && readCell(question, thing, column) !== null);
    const text = first && column ? readCell(question, first, column) : null;
    if (!column || !first || text === null) return;
    // A number below nought is meant as it stands, not as a change.
    const meant = column.numeric && text.startsWith('-') ? `=${text}` : text;
    take(
      chosen.filter((thing) => thing !== first).map(({ ref }) => ({ ref, column, text: meant })),
      `${column.words} filled down`,
    );
  };
  const onKey = (event: KeyboardEvent) => {
    const at = placeOf(event.target);
    if (!at) return;
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd' && at.column >= 0) {
      event.preventDefault();
      event.stopPropagation();
      return fillDown(COLUMNS[at.column]);
    }
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    if (event.shiftKey && at.column < 0) return extend(at.row + by);
    focusCell(at.row + by, at.column);
  };
  const extend = (to: number) => {
    const target = rows[to];
    if (!target) return;
    const from = Math.max(
      0,
      rows.findIndex(({ ref }) => ref === anchor.current),
    );
    store.getState().select(rows.slice(Math.min(from, to), Math.max(from, to) + 1).map(({ ref }) => ref));
    focusCell(to, -1);
  };
  const press = (row: number, how: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => {
    const thing = rows[row];
    if (!thing) return;
    if (how.shiftKey) return extend(row);
    anchor.current = thing.ref;
    if (how.ctrlKey || how.metaKey) store.getState().toggle(thing.ref);
    else store.getState().select([thing.ref]);
  };
  const paste = (event: ClipboardEvent) => {
    const at = placeOf(event.target);
    const text = event.clipboardData.getData('text/plain').replace(/\r?\n$/, '');
    if (!at || !/[\t\n]/.test(text)) return;
    event.preventDefault();
    event.stopPropagation();
    const block = text.split(/\r?\n/).map((line) => line.split('\t'));
    const cells = block.flatMap((line, i) =>
      line.flatMap((cell, j) => {
        const thing = rows[at.row + i];
        const column = COLUMNS[Math.max(0, at.column) + j];
        return thing && column
          ? [{ ref: thing.ref, column, text: column.numeric && cell.trim().startsWith('-') ? `=${cell.trim()}` : cell }]
          : [];
      }),
    );
    take(cells, `${block.length} rows pasted`);
    const past = at.row + block.length - rows.length;
    if (past > 0)
      toast(`${past} lines were more than there are rows`, { description: 'Add the items first, then paste again.' });
  };
  const copy = (event: ClipboardEvent) => {
    const at = placeOf(event.target);
    if (!at || at.column >= 0) return;
    event.preventDefault();
    event.stopPropagation();
    event.nativeEvent.stopImmediatePropagation();
    event.clipboardData.setData('text/plain', chosenText());
  };
  const chosenText = () => {
    const { question: now, selection } = store.getState();
    const refs = rows.flatMap(({ ref }) => (selection.has(ref) ? [ref] : []));
    return rowsAsText(now, refs.length > 0 ? refs : rows.map(({ ref }) => ref));
  };
  const grid = { gridTemplateColumns: `7.75rem ${COLUMNS.map(({ width }) => width).join(' ')}` };

  return (
    <section aria-label="Ledger" className="h-full bg-sheet flex flex-col">
      <LedgerTools
        store={store}
        column={place && place.column >= 0 ? COLUMNS[place.column] : undefined}
        onFold={onFold}
        onFill={fillDown}
        onCopy={() =>
          void navigator.clipboard?.writeText(chosenText()).then(() => toast('Copied: paste it into a spreadsheet'))
        }
      />
      {rows.length === 0 ? (
        <p className="px-4 py-3 text-mute">Nothing on the scene yet. Add a zone and some items at Lay out.</p>
      ) : (
        // biome-ignore lint/a11y/useSemanticElements: rows are drawn as they come into sight, which a table element cannot
        <div
          role="grid"
          tabIndex={-1}
          aria-label="Everything on the scene with its numbers"
          aria-rowcount={rows.length + 1}
          aria-colcount={COLUMNS.length + 1}
          className="grow min-h-0 ledger-grid"
          onKeyDown={onKey}
          onPaste={paste}
          onCopy={copy}
          onFocus={(event) => setPlace(placeOf(event.target))}
        >
          {/* biome-ignore lint/a11y/useSemanticElements: see above */}
          {/* biome-ignore lint/a11y/useFocusableInteractive: its headings are buttons */}
          <div role="row" aria-rowindex={1} className="ledger-head figures" style={grid}>
            {/* biome-ignore lint/a11y/useSemanticElements: see above */}
            {/* biome-ignore lint/a11y/useFocusableInteractive: nothing can be done with it */}
            <span role="columnheader" className="ledger-heading">
              what
            </span>
            {table.getHeaderGroups().flatMap((group) =>
              group.headers.map((header, i) => {
                const sorted = header.column.getIsSorted();
                const column = COLUMNS[i] as LedgerColumn;
                return (
                  // biome-ignore lint/a11y/useSemanticElements: see above
                  // biome-ignore lint/a11y/useFocusableInteractive: the button in it is
                  <span
                    key={header.id}
                    role="columnheader"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className={`ledger-heading ${column.numeric ? 'justify-end' : ''}`}
                  >
                    <button
                      type="button"
                      className="inline-flex items-center gap-1 h-6 min-w-6 cursor-pointer hover:text-ink"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {column.words}
                      {sorted === 'asc' && <ArrowUp size={12} aria-hidden />}
                      {sorted === 'desc' && <ArrowDown size={12} aria-hidden />}
                    </button>
                  </span>
                );
              }),
            )}
          </div>
          {/* biome-ignore lint/a11y/useSemanticElements: see above */}
          <div role="rowgroup" ref={scroller} className="ledger-rows">
            <div role="presentation" className="relative" style={{ height: virtual.getTotalSize() }}>
              {virtual.getVirtualItems().map(({ index, start, key }) => {
                const thing = rows[index];
                return (
                  thing && (
                    <LedgerRow
                      key={key}
                      store={store}
                      thing={thing}
                      frame={framesOf(question).get(thing.ref) ?? null}
                      index={index}
                      top={start}
                      grid={grid}
                      onPress={press}
                    />
                  )
                );
              })}
            </div>
          </div>
        </div>
      )}
    </section>
  );
}

/** Zones, items, fixtures, each as the question lists them. */
function listed(question: Question): Thing[] {
  const all = things(question);
  return (['zone', 'item', 'fixture'] as const).flatMap((kind) => all.filter((thing) => thing.kind === kind));
}

function placeOf(target: EventTarget): LedgerPlace | null {
  const cell = target instanceof HTMLElement ? target.closest<HTMLElement>('[data-cell]')?.dataset.cell : undefined;
  if (cell === undefined) return null;
  const [row = 0, column = 0] = cell.split(' ').map(Number);
  return { row, column };
}
