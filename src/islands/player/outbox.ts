import type { SentMove } from './types';

/**
 * Moves not yet known to be kept by the server, in order. They live in this browser's storage, so that neither a reload
 * nor a closed laptop loses one.
 */
export interface Outbox {
  after: number;
  moves: SentMove[];
}

interface Of {
  readonly sitting: string;
  readonly question: number;
}

const place = ({ sitting, question }: Of) => `vault-drop.outbox.${sitting}.${question}`;

export function readOutbox(of: Of): Outbox | null {
  try {
    const kept = JSON.parse(localStorage.getItem(place(of)) ?? 'null') as Outbox | null;
    return kept && Array.isArray(kept.moves) && kept.moves.length > 0 ? kept : null;
  } catch {
    return null;
  }
}

/**
 * A browser that lets nothing be stored still sends moves at once; only what the line did not take is lost with the tab
 * then.
 */
export function storeOutbox(of: Of, box: Outbox): void {
  try {
    if (box.moves.length === 0) localStorage.removeItem(place(of));
    else localStorage.setItem(place(of), JSON.stringify(box));
  } catch {
    // Storage is full or forbidden: see above.
  }
}
