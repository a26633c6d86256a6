import { useEffect } from 'react';
import { type Box, remove, setBox } from '../../core';
import { type BenchStore, boxes } from './store';

const ARROWS: Readonly<Record<string, readonly [number, number]>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const isTyping = (target: EventTarget | null) => target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable="true"]');

/** Undo and redo everywhere but in a field that has its own; arrows nudge and Delete removes what is selected while the scene has the focus. */
export function useShortcuts(store: BenchStore): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const { undo, redo, selection, question } = store.getState();
      const command = event.ctrlKey || event.metaKey;
      if (command && !isTyping(event.target)) {
        const key = event.key.toLowerCase();
        if (key === 'z') return taken(event, event.shiftKey ? redo : undo);
        if (key === 'y') return taken(event, redo);
      }
      const inScene = event.target instanceof Element && event.target.closest('[data-bench-scene]') !== null;
      if (!inScene || command || selection.size === 0) return;
      if (event.key === 'Delete' || event.key === 'Backspace') return taken(event, () => removeSelected(store));
      if (event.key === 'Escape') return taken(event, () => store.getState().select([]));
      const by = ARROWS[event.key];
      if (!by) return;
      const far = event.shiftKey ? 10 : 1;
      taken(event, () => {
        const step = boxes(question)
          .filter(({ id }) => selection.has(id))
          .flatMap(({ id, box }) => setBox(question, id, shifted(box, by[0] * far, by[1] * far)));
        store.getState().do(step);
      });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [store]);
}

const shifted = (box: Box, dx: number, dy: number): Box => ({ ...box, x: box.x + dx, y: box.y + dy });

function taken(event: KeyboardEvent, what: () => void): void {
  event.preventDefault();
  what();
}

export function removeSelected(store: BenchStore): void {
  const { question, selection } = store.getState();
  store.getState().do(remove(question, selection));
  store.getState().select([]);
}
