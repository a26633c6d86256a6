import type { SentMove } from './types';

/**
 * The moves that the server has not confirmed yet, in order, stored in this browser, so that neither a reload nor a
 * closed laptop loses one.
 */
export interface Unsent {
  readonly after: number;
  readonly moves: readonly SentMove[];
}

export interface UnsentOf {
  readonly sitting: string;
  readonly question: number;
}

const keyOf = ({ sitting, question }: UnsentOf) => `vault-drop.outbox.${sitting}.${question}`;

export function readUnsent(of: UnsentOf): Unsent | null {
  try {
    const unsent = JSON.parse(localStorage.getItem(keyOf(of)) ?? 'null') as Unsent | null;
    return unsent && Array.isArray(unsent.moves) && unsent.moves.length > 0 ? unsent : null;
  } catch {
    return null;
  }
}

/** If the browser forbids storage, moves are still sent at once; only unsent moves are lost with the tab. */
export function storeUnsent(of: UnsentOf, unsent: Unsent): void {
  try {
    if (unsent.moves.length === 0) localStorage.removeItem(keyOf(of));
    else localStorage.setItem(keyOf(of), JSON.stringify(unsent));
  } catch {
    // Storage is full or forbidden: see above.
  }
}
