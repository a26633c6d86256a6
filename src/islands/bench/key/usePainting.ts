import Gesto from 'gesto';
import { useEffect, useRef, useState } from 'react';
import { belongsIn, type Cell, setCells } from '../../../core';
import type { BenchStore } from '../store';

interface Painted {
  readonly to: boolean;
  readonly cells: ReadonlySet<string>;
}

const cellUnder = (target: Element | null) => {
  const cell = target?.closest<HTMLElement>('.key-cell[data-row]');
  return cell ? `${cell.dataset.row} ${cell.dataset.column}` : null;
};

/** A pull over the cells of the key grid: they all become what the first one becomes, as one step. */
export function usePainting(store: BenchStore) {
  const [element, setElement] = useState<HTMLElement | null>(null);
  const [painted, setPainted] = useState<Painted | null>(null);
  const latest = useRef<Painted | null>(null);
  useEffect(() => {
    if (!element) return;
    const show = (next: Painted | null) => {
      latest.current = next;
      setPainted(next);
    };
    const cellOf = (key: string): Cell | null => {
      const { items, zones } = store.getState().question;
      const [row = -1, column = -1] = key.split(' ').map(Number);
      const [item, zone] = [items[row], zones[column]];
      return item && zone ? { item: item.id, zone: zone.id } : null;
    };
    const gesto = new Gesto(element, { container: window, preventDefault: false, preventClickEventOnDrag: true });
    let first: string | null = null;
    gesto.on('dragStart', ({ inputEvent }) => {
      first = cellUnder(inputEvent.target as Element);
    });
    gesto.on('drag', ({ clientX, clientY }) => {
      const start = first === null ? null : cellOf(first);
      if (first === null || !start) return;
      const key = cellUnder(document.elementFromPoint(clientX, clientY));
      const now = latest.current ?? { to: !belongsIn(store.getState().question, start), cells: new Set([first]) };
      show(key === null || now.cells.has(key) ? now : { ...now, cells: new Set([...now.cells, key]) });
    });
    gesto.on('dragEnd', () => {
      const done = latest.current;
      show(null);
      first = null;
      if (!done) return;
      store.getState().do(
        setCells(
          store.getState().question,
          [...done.cells].flatMap((key) => cellOf(key) ?? []),
          done.to,
        ),
        `${done.cells.size} cells ${done.to ? 'set' : 'cleared'}`,
      );
    });
    return () => gesto.unset();
  }, [element, store]);
  return { painted, ref: setElement };
}
