import PQueue from 'p-queue';

/**
 * The result of a task. `tooLong`: its deadline passed; `tooMuch`: it needed more memory than allowed; `busy`: too many
 * tasks wait.
 */
export type Worked<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly reason: 'tooLong' | 'tooMuch' | 'busy' };

/** A task's turn: it says when its work begins, and hears when its deadline passes. */
export interface Turn {
  readonly deadline: AbortSignal;
  begun(): void;
}

/** Runs a few tasks at once; the others wait. A task's deadline runs from when its work has begun. */
export interface Turns {
  take<Value>(task: (turn: Turn) => Promise<Value>, deadlineMs: number): Promise<Worked<Value>>;
  /** Drops waiting tasks. */
  clear(): void;
}

/** The start of a thread is not the task's time: on a busy machine it takes longer than most tasks may. */
const START_MS = 60_000;

/** At most `atOnce` tasks at once, and `mostWaiting` that wait. */
export function turns(atOnce: number, mostWaiting: number): Turns {
  const waiting = new PQueue({ concurrency: atOnce });
  const runNow = async <Value>(task: (turn: Turn) => Promise<Value>, deadlineMs: number): Promise<Worked<Value>> => {
    const deadline = new AbortController();
    const passed = () => deadline.abort();
    let timer = setTimeout(passed, START_MS);
    const begun = () => {
      clearTimeout(timer);
      timer = setTimeout(passed, deadlineMs);
    };
    try {
      return { ok: true, value: await task({ deadline: deadline.signal, begun }) };
    } catch (error) {
      if (deadline.signal.aborted) return { ok: false, reason: 'tooLong' };
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') return { ok: false, reason: 'tooMuch' };
      throw error;
    } finally {
      clearTimeout(timer);
    }
  };
  return {
    take: async (task, deadlineMs) =>
      waiting.size >= mostWaiting
        ? { ok: false, reason: 'busy' }
        : waiting.add(() => runNow(task, deadlineMs), { throwOnTimeout: true }),
    clear: () => waiting.clear(),
  };
}
