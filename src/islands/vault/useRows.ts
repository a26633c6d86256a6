import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import { VAULT_PAGE } from '../../contract/limits';
import { type Page, type Row, type Sought, usePages } from './useVault';

const BESIDE = 8;

/** The chosen questions with one more, or one less. */
export const withChoice = (chosen: ReadonlySet<string>, id: string, on: boolean): ReadonlySet<string> =>
  on ? new Set([...chosen, id]) : new Set([...chosen].filter((other) => other !== id));

/**
 * A result of a search of any length, `perLine` questions a line, each line `height` CSS pixels high: only what is in
 * sight is drawn, and only its pages are loaded. `before`, `after`: the height of what is not drawn.
 */
export function useRows(sought: Sought, first: { sought: Sought; page: Page }, perLine: number, height: number) {
  const body = useRef<HTMLTableSectionElement & HTMLUListElement>(null);
  const [count, setCount] = useState(first.page.total);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop((body.current?.getBoundingClientRect().top ?? 0) + window.scrollY), []);
  const virtual = useWindowVirtualizer({
    count: Math.ceil(count / perLine),
    estimateSize: () => height,
    overscan: Math.ceil(BESIDE / perLine),
    scrollMargin: top,
  });
  const lines = virtual.getVirtualItems();
  const shown = lines.flatMap(({ index }) =>
    Array.from({ length: perLine }, (_, i) => index * perLine + i).filter((at) => at < count),
  );
  const [from, to] = [shown[0] ?? 0, shown.at(-1) ?? VAULT_PAGE - 1];
  const numbers = Array.from(
    { length: Math.floor(to / VAULT_PAGE) - Math.floor(from / VAULT_PAGE) + 1 },
    (_, i) => Math.floor(from / VAULT_PAGE) + i,
  );
  const { pages, total, failed } = usePages(sought, numbers, first);
  useLayoutEffect(() => {
    if (total !== null) setCount(total);
  }, [total]);
  const rowAt = (index: number): Row | undefined =>
    pages.find((page) => page.from <= index && index < page.from + page.rows.length)?.rows[
      index - Math.floor(index / VAULT_PAGE) * VAULT_PAGE
    ];
  return {
    body,
    count,
    shown,
    rowAt,
    total,
    isBroken: failed && pages.length === 0 ? failed : null,
    before: (lines[0]?.start ?? top) - top,
    after: Math.max(0, virtual.getTotalSize() - ((lines.at(-1)?.end ?? top) - top)),
  };
}
