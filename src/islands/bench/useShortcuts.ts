import { useEffect } from 'react';
import { remove, setBox, shiftWithin } from '../../core';
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
        const chosen = boxes(question).filter(({ id }) => selection.has(id));
        if (chosen.length === 0) return;
        const shift = shiftWithin(
          chosen.map(({ box }) => box),
          { x: by[0] * far, y: by[1] * far },
          { x: 0, y: 0, w: question.scene.width, h: question.scene.height },
        );
        const step = chosen.flatMap(({ id, box }) => setBox(question, id, { ...box, x: box.x + shift.x, y: box.y + shift.y }));
        store.getState().do(step);
      });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [store]);
}

function taken(event: KeyboardEvent, what: () => void): void {
  event.preventDefault();
  what();
}

export function removeSelected(store: BenchStore): void {
  const { question, selection } = store.getState();
  store.getState().do(remove(question, selection));
  store.getState().select([]);
}
