import type { Step } from '../../../core';
import * as browser from '../../../ui/browserStore';

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
  const stored = { ...memory, past: memory.past.slice(-MOST_STEPS) };
  browser.remember(at(questionId), JSON.stringify(stored).length <= MOST_CHARACTERS ? stored : null, 'tab');
}

/** What can be undone on this revision; nothing where another revision is remembered. */
export function recalledUndo(questionId: string, revision: number): Pick<UndoMemory, 'past' | 'future'> {
  const memory = browser.recall(at(questionId), 'tab') as UndoMemory | null;
  const fits = memory && (memory.revision === revision || (memory.pending && memory.revision + 1 === revision));
  return fits ? { past: memory.past, future: memory.future } : { past: [], future: [] };
}
