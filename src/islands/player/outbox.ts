import type { ApiError, ApiResult } from '../../ui/api';
import type { LocalMove, MovesAnswer, SentMove } from './types';
import type { Unsent } from './unsent';

/** Sends moves to the judge: the server, or the rehearsal in the page. `after`: the last move the page knows. */
export type Send = (after: number, moves: readonly SentMove[]) => Promise<ApiResult<MovesAnswer>>;

/**
 * Why moves were not sent. `outdated`: the server's state is another, and the moves are dropped. In the other cases
 * they stay, and in the last two they are sent again.
 */
export type Refusal = 'outdated' | 'signedOut' | 'offline' | 'failed';

export interface OutboxOptions {
  /** The number of the last move that the server has. */
  readonly after: number;
  readonly send: Send;
  /** True once another window has taken the attempt over: nothing is sent any more. */
  readonly stopped: () => boolean;
  /** Called with every change of what is unsent. */
  readonly store: (unsent: Unsent) => void;
  readonly onSending: () => void;
  /** `more`: further moves are still unsent, so the answer is not about the present board. */
  readonly onSent: (answer: MovesAnswer, batch: readonly SentMove[], more: boolean) => void;
  readonly onRefused: (refusal: Refusal, error: ApiError) => void;
}

export interface Outbox {
  /** Adds a move and sends it after the next painted frame. */
  add(move: LocalMove): void;
  /** Takes moves over from before a reload. */
  resume(unsent: Unsent): void;
  /** Continues after another move; everything unsent is dropped. */
  restart(after: number): void;
  /** Sends what is unsent; true if nothing is left. */
  flush(): Promise<boolean>;
}

const MAX_AT_ONCE = 200;
const RETRY_MS = 2000;
/** A hidden page paints nothing, so no frame would come. */
const NO_PAINT_MS = 100;

const OUTDATED: ReadonlySet<ApiError['code']> = new Set<ApiError['code']>([
  'sittingMovedOn',
  'alreadyEnded',
  'invalid',
  'sittingFinished',
  'notFound',
]);

/** Sends moves in batches, one batch at a time, and sends them again after a failure. */
export function outbox({ after, send, stopped, store, onSending, onSent, onRefused }: OutboxOptions): Outbox {
  let last = after;
  let unsent: readonly SentMove[] = [];
  let sending: Promise<boolean> | null = null;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const setUnsent = (moves: readonly SentMove[]) => {
    unsent = moves;
    store({ after: last, moves });
  };

  const refuse = (error: ApiError) => {
    const refusal = refusalOf(error.code);
    if (refusal === 'outdated') setUnsent([]);
    if (refusal === 'offline' || refusal === 'failed') retry = setTimeout(() => void flush(), RETRY_MS);
    onRefused(refusal, error);
  };

  const sendAll = async (): Promise<boolean> => {
    while (unsent.length > 0) {
      onSending();
      const batch = unsent.slice(0, MAX_AT_ONCE);
      const result = await send(last, batch);
      if (stopped()) return false;
      if (!result.ok) {
        refuse(result.error);
        return false;
      }
      last = result.value.last;
      setUnsent(unsent.slice(batch.length));
      onSent(result.value, batch, unsent.length > 0);
    }
    return true;
  };

  const flush = (): Promise<boolean> => {
    clearTimeout(retry);
    if (stopped()) return Promise.resolve(false);
    sending ??= sendAll().finally(() => {
      sending = null;
    });
    return sending;
  };

  return {
    add: (move) => {
      setUnsent([...unsent, { ...move, id: crypto.randomUUID() }]);
      afterPaint(() => void flush());
    },
    resume: ({ after: then, moves }) => {
      last = then;
      unsent = moves;
    },
    restart: (then) => {
      last = then;
      setUnsent([]);
    },
    flush,
  };
}

function refusalOf(code: ApiError['code']): Refusal {
  if (OUTDATED.has(code)) return 'outdated';
  if (code === 'notSignedIn' || code === 'notAllowed') return 'signedOut';
  return code === 'offline' || code === 'unavailable' ? 'offline' : 'failed';
}

/** Runs work after the next painted frame, so that the learner sees the effect of the gesture first. */
function afterPaint(work: () => void): void {
  let done = false;
  const once = () => {
    if (!done) work();
    done = true;
  };
  requestAnimationFrame(() => setTimeout(once));
  setTimeout(once, NO_PAINT_MS);
}
