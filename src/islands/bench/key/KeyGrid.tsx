import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, type ReactNode, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import {
  belongNowhere,
  belongsIn,
  eitherAt,
  eitherZones,
  fittingOf,
  type Item,
  isTrap,
  type KeyEntry,
  type Question,
  refTo,
  setCells,
  type Zone,
} from '../../../core';
import type { BenchStore } from '../store';
import { orList } from './EitherKey';
import { modelOf } from './ghosts';
import { usePainting } from './usePainting';

const ROW_PIXELS = 33;
const ARROWS: Readonly<Record<string, readonly [row: number, column: number]>> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
};

export interface CellProps {
  readonly item: Item;
  readonly zone: Zone;
  readonly row: number;
  readonly column: number;
}

interface Props {
  store: BenchStore;
  caption: string;
  /** The element of a cell, with `data-row` and `data-column`. */
  cell: (props: CellProps) => ReactNode;
  /** Shift and an arrow copy the state of this cell to the next. */
  onCarry?: (from: CellProps, to: CellProps) => void;
  foot?: ReactNode;
}

/** Has the grid more columns than are in sight? */
function useIsWider(scroller: RefObject<HTMLElement | null>, columns: number): boolean {
  const [isWider, setIsWider] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: with every column more or less
  useEffect(() => {
    const grid = scroller.current;
    if (!grid) return;
    const look = () => setIsWider(grid.scrollWidth > grid.clientWidth + 1);
    const observer = new ResizeObserver(look);
    observer.observe(grid);
    look();
    return () => observer.disconnect();
  }, [scroller, columns]);
  return isWider;
}

/** Items by zones: a grid walked with the arrow keys, whose rows are drawn as they come into sight. */
export function ItemsByZones({ store, caption, cell, onCarry, foot }: Props) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const { items, zones } = question;
  const scroller = useRef<HTMLDivElement>(null);
  const nowhere = useMemo(() => new Set<string>(belongNowhere(question)), [question]);
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PIXELS,
    overscan: 12,
  });
  const isWider = useIsWider(scroller, zones.length);
  const seen = virtual.getVirtualItems();
  const before = seen[0]?.start ?? 0;
  const after = virtual.getTotalSize() - (seen.at(-1)?.end ?? 0);

  const at = (row: number, column: number): CellProps | null => {
    const [item, zone] = [items[row], zones[column]];
    return item && zone ? { item, zone, row, column } : null;
  };
  const walk = (event: KeyboardEvent) => {
    const by = ARROWS[event.key];
    const place = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('[data-row]') : null;
    if (!by || !place) return;
    event.preventDefault();
    const from = at(Number(place.dataset.row), Number(place.dataset.column));
    const to = from && at(from.row + by[0], from.column + by[1]);
    if (!from || !to) return;
    if (event.shiftKey) onCarry?.(from, to);
    const next = () =>
      scroller.current?.querySelector<HTMLElement>(`[data-row="${to.row}"][data-column="${to.column}"]`);
    const there = next();
    if (there) return there.focus();
    virtual.scrollToIndex(to.row);
    requestAnimationFrame(() => next()?.focus());
  };
  const press = (what: 'item' | 'zone', id: string, more: boolean) =>
    more ? store.getState().toggle(refTo(what, id)) : store.getState().select([refTo(what, id)]);

  if (items.length === 0 || zones.length === 0)
    return <p className="text-mute">The key needs at least one item and one zone. Add them at Lay out.</p>;
  return (
    <>
      {isWider && (
        <p className="text-sm text-mute">All {zones.length} zones: pull the grid aside, or make the panel wider.</p>
      )}
      <div ref={scroller} className="overflow-auto max-h-[min(56vh,34rem)] key-scroller">
        <table className="w-full border-collapse" onKeyDown={walk}>
          <caption className="sr-only">{caption}</caption>
          <thead>
            <tr>
              <th scope="col" className="key-corner">
                <span className="sr-only">item</span>
              </th>
              {zones.map((zone) => (
                <th
                  key={zone.id}
                  scope="col"
                  className={`key-zone ${selection.has(refTo('zone', zone.id)) ? 'text-brass' : ''}`}
                >
                  <button
                    type="button"
                    className="cursor-pointer leading-tight"
                    onClick={(event) => press('zone', zone.id, event.shiftKey)}
                  >
                    {zone.label || zone.id}
                  </button>
                </th>
              ))}
              <th scope="col" className="key-zone font-normal text-mute">
                nowhere
              </th>
            </tr>
          </thead>
          <tbody>
            {before > 0 && <tr aria-hidden style={{ height: before }} />}
            {seen.map(({ index: row }) => {
              const item = items[row] as Item;
              return (
                <tr
                  key={item.id}
                  className={`border-b border-rule ${selection.has(refTo('item', item.id)) ? 'bg-brass-wash' : ''}`}
                >
                  <th scope="row" className="key-item">
                    <button
                      type="button"
                      className="cursor-pointer text-left"
                      onClick={(event) => press('item', item.id, event.shiftKey)}
                    >
                      {item.label || item.id}
                      {item.copies !== 1 && (
                        <span className="figures text-sm text-mute">
                          {' '}
                          ×{item.copies === 'endless' ? '∞' : item.copies}
                        </span>
                      )}
                    </button>
                  </th>
                  {zones.map((zone, column) => (
                    <td key={zone.id} className="text-center">
                      {cell({ item, zone, row, column })}
                    </td>
                  ))}
                  <td className="text-center text-mute">
                    {nowhere.has(item.id) && (
                      <>
                        <span aria-hidden>·</span>
                        <span className="sr-only">belongs nowhere</span>
                      </>
                    )}
                  </td>
                </tr>
              );
            })}
            {after > 0 && <tr aria-hidden style={{ height: after }} />}
          </tbody>
          {foot}
        </table>
      </div>
    </>
  );
}

/** The names of the other zones in any of which an item belongs; none where it belongs in this one alone. */
function otherZones(question: Question, item: string, zone: string): string[] {
  if (!eitherAt(question, item, zone)) return [];
  const others = new Set<string>(eitherZones(question, item));
  return question.zones.flatMap(({ id, label }) => (id !== zone && others.has(id) ? [label || id] : []));
}

/** The key: items by zones, one press a cell; a pull over cells sets all of them to what the first became. */
export function KeyGrid({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const { painted, ref } = usePainting(store);
  const toggle = ({ item, zone }: CellProps) => {
    const now = store.getState().question;
    const cell = { zone: zone.id, item: item.id };
    store.getState().do(setCells(now, [cell], !belongsIn(now, cell)));
  };
  return (
    <div ref={ref}>
      <ItemsByZones
        store={store}
        caption="Which items belong in which zones"
        onCarry={(from, to) => {
          const now = store.getState().question;
          store
            .getState()
            .do(
              setCells(
                now,
                [{ zone: to.zone.id, item: to.item.id }],
                belongsIn(now, { zone: from.zone.id, item: from.item.id }),
              ),
            );
        }}
        cell={(props) => {
          const { item, zone, row, column } = props;
          const key = `${row} ${column}`;
          const keyed = painted?.cells.has(key) ? painted.to : belongsIn(question, { zone: zone.id, item: item.id });
          const others = keyed ? otherZones(question, item.id, zone.id) : [];
          return (
            // biome-ignore lint/a11y/useSemanticElements: a cell of a grid walked with the arrow keys, drawn as in look.md
            <button
              type="button"
              role="checkbox"
              aria-checked={keyed}
              aria-label={`${item.label || item.id} belongs in ${zone.label || zone.id}`}
              aria-description={others.length > 0 ? `or in ${orList(others)}` : undefined}
              className="key-cell"
              data-either={others.length > 0 || undefined}
              data-row={row}
              data-column={column}
              onClick={() => toggle(props)}
            >
              <span />
            </button>
          );
        }}
        foot={<Foot question={question} />}
      />
    </div>
  );
}

function needInWords(entry: KeyEntry | undefined, all: number): string {
  if (!entry) return '–';
  if (isTrap(entry)) return 'none';
  if (entry.sequence) return `${all} in order`;
  const { need } = entry;
  if (!need) return 'any';
  switch (need.rule) {
    case 'all':
      return `all ${all}`;
    case 'exactly':
      return String(need.n);
    case 'atLeast':
      return `${need.n} +`;
    case 'between':
      return `${need.min}–${need.max}`;
  }
}

/** Under the grid, computed: what each zone needs, for how many there is room, and how many belong nowhere. */
function Foot({ question }: { question: Question }) {
  const model = modelOf(question);
  const nowhere = belongNowhere(question).length;
  return (
    <tfoot className="figures text-sm key-foot">
      <tr className="border-b border-rule">
        <th scope="row" className="key-item">
          needs
        </th>
        {question.zones.map((zone, i) => (
          <td key={zone.id} className="text-center whitespace-nowrap">
            {needInWords(
              question.key.find((entry) => entry.zone === zone.id),
              model.entryOf[i]?.order.reduce((sum, item) => sum + (model.items[item]?.copies ?? 0), 0) ?? 0,
            )}
          </td>
        ))}
        <td className="text-center">{nowhere || '–'}</td>
      </tr>
      <tr className="border-b border-rule">
        <th scope="row" className="key-item">
          room
        </th>
        {question.zones.map((zone, i) => {
          const fitting = fittingOf(model, i);
          const room = zone.capacity ?? fitting?.room;
          return (
            <td key={zone.id} className={`text-center ${fitting && !fitting.fits ? 'text-brick font-semibold' : ''}`}>
              {room === undefined ? '–' : Number.isFinite(room) ? room : 'any'}
            </td>
          );
        })}
        <td />
      </tr>
    </tfoot>
  );
}
