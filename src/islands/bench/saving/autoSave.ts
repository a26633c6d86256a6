import type { Edit, Step } from '../../../core';
import { type ApiError, api } from '../../../ui/api';
import { storeUnsaved, type Unsaved } from './unsaved';

/** Whether the author's changes are saved. */
export type SaveState =
  /** Nothing is there yet, so nothing is stored. */
  | { readonly state: 'new' }
  | { readonly state: 'saved'; readonly at: Date }
  | { readonly state: 'saving' }
  | { readonly state: 'offline' }
  | { readonly state: 'movedOn'; readonly error: ApiError }
  | { readonly state: 'refused'; readonly error: ApiError };

export interface AutoSave {
  add(step: Step): void;
  /** Sends unsaved edits now; true if everything is saved afterwards. */
  flush(): Promise<boolean>;
  pending(): boolean;
  revision(): number;
  /** The page is being left: what waits is sent along with it, and stored in the browser in case it does not arrive. */
  leave(): void;
  /** Sends what an earlier page left behind, under its own id. */
  resume(unsaved: Unsaved): void;
  /** Goes on from another revision, with these edits still to be saved. */
  rebase(revision: number, step: Step): void;
  /** Drops unsaved edits: they are in a copy now, or were discarded on purpose. */
  abandon(): void;
}

/** Can edits be sent along with a page that is left? */
export const goesAlong = (edits: readonly Edit[]): boolean => JSON.stringify(edits).length < MAX_KEEPALIVE;

const PAUSE_MS = 700;
const RETRY_MS = 3000;
/** Browsers send no more than 64 KiB along with a page that is left (Fetch standard, 4.5). */
const MAX_KEEPALIVE = 60_000;

/** A question that is not stored yet: how it is, and whether it is worth it. */
export interface Unborn {
  /** Stores it; `first`: with these edits at once, since the page is being left. */
  create(first?: Unsaved): Promise<{ readonly ok: true } | { readonly ok: false; readonly error: ApiError }>;
  isWorthIt(): boolean;
}

/**
 * Autosave: sends edits in batches with the revision they were made on. A batch whose answer was lost is sent again
 * under the same id, and counts once.
 */
export function autoSave(
  questionId: string,
  from: number,
  tell: (saving: SaveState) => void,
  unborn: Unborn | null = null,
): AutoSave {
  let revision = from;
  let born = unborn === null;
  let waiting: Edit[] = [];
  let batch: { id: string; edits: Edit[] } | null = null;
  let sending: Promise<void> | null = null;
  let stopped = false;
  let down = false;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const later = (ms: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };

  async function send(): Promise<void> {
    if (!batch) {
      batch = { id: crypto.randomUUID(), edits: waiting };
      waiting = [];
    }
    tell({ state: 'saving' });
    if (!born && unborn) {
      const made = await unborn.create();
      if (!made.ok) {
        failed(made.error);
        return;
      }
      born = true;
    }
    const result = await api('POST /api/questions/{id}/edits', {
      id: questionId,
      body: { id: batch.id, from: revision, edits: batch.edits },
    });
    if (result.ok) {
      storeUnsaved(questionId, null);
      down = false;
      revision = result.value.revision;
      batch = null;
      if (waiting.length > 0) return later(PAUSE_MS);
      return tell({ state: 'saved', at: new Date(result.value.changedAt) });
    }
    failed(result.error);
  }

  function failed(error: ApiError): void {
    down = error.code === 'offline' || error.code === 'unavailable';
    if (error.code === 'questionMovedOn') {
      stopped = true;
      tell({ state: 'movedOn', error });
    } else if (down) {
      later(RETRY_MS);
      tell({ state: 'offline' });
    } else {
      // The batch was refused: it is sent again together with the author's next edit, which may fix it.
      waiting = [...(batch?.edits ?? []), ...waiting];
      batch = null;
      tell({ state: 'refused', error });
    }
  }

  /** Nothing is stored of a question in which there is nothing yet. */
  const isDue = () => born || unborn?.isWorthIt() === true;

  async function flush(): Promise<boolean> {
    clearTimeout(timer);
    if (sending) await sending;
    if (!stopped && isDue() && (batch || waiting.length > 0)) {
      sending = send();
      await sending;
      sending = null;
    }
    return born && !batch && waiting.length === 0;
  }

  return {
    add: (step) => {
      waiting.push(...step);
      if (stopped || step.length === 0 || !isDue()) return;
      if (!down) tell({ state: 'saving' });
      later(PAUSE_MS);
    },
    flush,
    pending: () => isDue() && (batch !== null || waiting.length > 0),
    revision: () => revision,
    leave: () => {
      if (stopped || !isDue() || (!batch && waiting.length === 0)) return;
      const edits = [...(batch?.edits ?? []), ...waiting];
      const left = { id: batch?.id ?? crypto.randomUUID(), from: revision, edits };
      storeUnsaved(questionId, left);
      // A batch under way is answered for by itself; what came after it is in the browser's store.
      if (sending && born) return;
      batch = { id: left.id, edits };
      waiting = [];
      if (unborn && !born) void unborn.create(left);
      else
        void api('POST /api/questions/{id}/edits', {
          id: questionId,
          body: left,
          keepalive: goesAlong(edits),
        });
    },
    resume: ({ id, edits }) => {
      batch = { id, edits: [...edits] };
      later(0);
    },
    rebase: (onto, step) => {
      revision = onto;
      stopped = false;
      batch = null;
      waiting = [...step];
      if (waiting.length > 0) later(0);
      else tell({ state: 'saved', at: new Date() });
    },
    abandon: () => {
      storeUnsaved(questionId, null);
      stopped = true;
      waiting = [];
      batch = null;
    },
  };
}
