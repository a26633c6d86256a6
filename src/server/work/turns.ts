import PQueue from 'p-queue';

/**
 * The result of a task. `tooLong`: its deadline passed; `tooMuch`: it needed more memory than allowed; `busy`: too many
 * tasks wait.
 */
export type Worked<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly reason: 'tooLong' | 'tooMuch' | 'busy' };

/** Runs a few tasks at once; the others wait. A task's deadline starts with its turn. */
export interface Turns {
  take<Value>(task: (deadline: AbortSignal) => Promise<Value>, deadlineMs: number): Promise<Worked<Value>>;
  /** Drops waiting tasks. */
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
