import { useEffect } from 'react';
import type { BenchStore } from '../store';
import { copied, pasted } from './clipboard';
import { COMMANDS, isFor, pressOf } from './commands';

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches('input:not([type="radio"]):not([type="checkbox"]), textarea, select'));

/**
 * The keys of the table of commands: those of the page everywhere but in a field, those of the scene while the focus is
 * in it.
 */
export function useShortcuts(store: BenchStore): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      // A button of the scene (a corner) has its own press.
      if (event.key === 'Enter' && event.target instanceof HTMLButtonElement) return;
      const typing = isTyping(event.target);
      const over = event.target instanceof Element && event.target.closest('dialog, [role="dialog"]') !== null;
      const inScene = event.target instanceof Element && event.target.closest('[data-bench-scene]') !== null;
      const press = pressOf(event);
      const { selection, open } = store.getState();
      // A dialog may still be opening: keys are not for what lies beneath it.
      if (open !== null) return;
      const meant = COMMANDS.find(
        (command) =>
          command.keys?.includes(press) &&
          (command.where !== 'scene' || (inScene && !typing)) &&
          isFor(command, selection.size),
      );
      if (!meant || over) return;
      // A field has its own undo, and takes typed characters.
      if (typing && !['Mod+Enter', 'Mod+K'].includes(press) && !press.startsWith('Alt+')) return;
      event.preventDefault();
      meant.run(store);
    };
    const onCopy = (event: ClipboardEvent) => !isTyping(event.target) && copied(store, event, false);
    const onCut = (event: ClipboardEvent) => !isTyping(event.target) && copied(store, event, true);
    const onPaste = (event: ClipboardEvent) => !isTyping(event.target) && pasted(store, event);
    window.addEventListener('keydown', onKey);
    window.addEventListener('copy', onCopy);
    window.addEventListener('cut', onCut);
    window.addEventListener('paste', onPaste);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('copy', onCopy);
      window.removeEventListener('cut', onCut);
      window.removeEventListener('paste', onPaste);
    };
  }, [store]);
}
