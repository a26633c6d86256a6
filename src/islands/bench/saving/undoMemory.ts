import type { Step } from '../../../core';

/** The steps that can be undone and done again, as this tab has them. They outlive a reload, and end with the tab. */
interface UndoMemory {
  readonly revision: number;
  /** Edits were on their way to the server: it may have come to the next revision by them. */
  readonly pending: boolean;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

const at = (questionId: string) => `vault-drop.undo.${questionId}`;
const MOST_STEPS = 200;
const MOST_CHARACTERS = 1_000_000;

export function rememberUndo(questionId: string, memory: UndoMemory): void {
  try {
    const stored = JSON.stringify({ ...memory, past: memory.past.slice(-MOST_STEPS) });
    if (stored.length <= MOST_CHARACTERS) sessionStorage.setItem(at(questionId), stored);
    else sessionStorage.removeItem(at(questionId));
  } catch {
    // Storage is full or forbidden: undo ends with the page.
  }
}

/** What can be undone on this revision; nothing where another revision is remembered. */
export function recalledUndo(questionId: string, revision: number): Pick<UndoMemory, 'past' | 'future'> {
  try {
    const memory = JSON.parse(sessionStorage.getItem(at(questionId)) ?? 'null') as UndoMemory | null;
    const fits = memory && (memory.revision === revision || (memory.pending && memory.revision + 1 === revision));
    return fits ? { past: memory.past, future: memory.future } : { past: [], future: [] };
  } catch {
    return { past: [], future: [] };
  }
}
