import type { Edit } from '../../../core';
import * as browser from '../../../ui/browserStore';

/** Edits that had not reached the server when the page was left, in this browser. */
export interface Unsaved {
  /** The batch's own id: sent twice, it counts once. */
  readonly id: string;
  /** The revision they were made on. */
  readonly from: number;
  readonly edits: readonly Edit[];
}

const at = (questionId: string) => `vault-drop.unsaved.${questionId}`;

export const storeUnsaved = (questionId: string, unsaved: Unsaved | null): void =>
  browser.remember(at(questionId), unsaved);

/** What was left unsaved on a revision; what was made on another has been saved since, or was overtaken. */
export function unsavedOn(questionId: string, revision: number): Unsaved | null {
  const unsaved = browser.recall(at(questionId)) as Unsaved | null;
  return unsaved?.from === revision && unsaved.edits.length > 0 ? unsaved : null;
}
