import PQueue from 'p-queue';

/**
 * What came of a task. `tooLong`: its deadline passed; `tooMuch`: it needed more memory than it may; `busy`: too many
 * wait already.
 */
export type Worked<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly reason: 'tooLong' | 'tooMuch' | 'busy' };

/** A few tasks at once; the others wait their turn. A task's deadline runs from when its turn comes. */
export interface Turns {
  take<Value>(task: (deadline: AbortSignal) => Promise<Value>, deadlineMs: number): Promise<Worked<Value>>;
  /** Forgets those that wait. */
  clear(): void;
}

/** At most `atOnce` tasks at once, and `mostWaiting` that wait. */
export function turns(atOnce: number, mostWaiting: number): Turns {
  const waiting = new PQueue({ concurrency: atOnce });
  const runNow = async <Value>(
    task: (deadline: AbortSignal) => Promise<Value>,
    deadlineMs: number,
  ): Promise<Worked<Value>> => {
    const deadline = new AbortController();
    const timer = setTimeout(() => deadline.abort(), deadlineMs);
    try {
      return { ok: true, value: await task(deadline.signal) };
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
