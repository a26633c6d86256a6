import type { Edit } from '../../../core';

/** Edits that had not reached the server when the page was left, in this browser. */
export interface Unsaved {
  /** The batch's own id: sent twice, it counts once. */
  readonly id: string;
  /** The revision they were made on. */
  readonly from: number;
  readonly edits: readonly Edit[];
}

const at = (questionId: string) => `vault-drop.unsaved.${questionId}`;

export function storeUnsaved(questionId: string, unsaved: Unsaved | null): void {
  try {
    if (unsaved) localStorage.setItem(at(questionId), JSON.stringify(unsaved));
    else localStorage.removeItem(at(questionId));
  } catch {
    // Storage is full or forbidden: the browser asks before the page is left.
  }
}

/** What was left unsaved on a revision; what was made on another has been saved since, or was overtaken. */
export function unsavedOn(questionId: string, revision: number): Unsaved | null {
  try {
    const unsaved = JSON.parse(localStorage.getItem(at(questionId)) ?? 'null') as Unsaved | null;
    return unsaved?.from === revision && unsaved.edits.length > 0 ? unsaved : null;
  } catch {
    return null;
  }
}
