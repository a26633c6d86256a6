import type { SentMove } from './types';

/**
 * The moves that the server has not confirmed yet, in order. They are stored in this browser, so that neither a reload
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
    const outbox = JSON.parse(localStorage.getItem(place(of)) ?? 'null') as Outbox | null;
    return outbox && Array.isArray(outbox.moves) && outbox.moves.length > 0 ? outbox : null;
  } catch {
    return null;
  }
}

/** If the browser forbids storage, moves are still sent at once; only unsent moves are lost with the tab. */
export function storeOutbox(of: Of, box: Outbox): void {
  try {
    if (box.moves.length === 0) localStorage.removeItem(place(of));
    else localStorage.setItem(place(of), JSON.stringify(box));
  } catch {
    // Storage is full or forbidden: see above.
  }
}
