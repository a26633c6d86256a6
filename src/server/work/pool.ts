import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { Task, TaskInput, TaskName, TaskOutput } from './tasks';
import { type Turn, turns, type Worked } from './turns';

export type { Worked } from './turns';

/**
 * Heavy work off the request thread: a few worker threads, each task with a deadline after which its thread is ended.
 */
export interface WorkPool {
  run<Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    deadlineMs?: number,
  ): Promise<Worked<TaskOutput<Name>>>;
  close(): Promise<void>;
}

const DEADLINE_MS = 20_000;
const MAX_WAITING = 200;
/** The heap limit of a thread, in MB. Pictures are decoded outside the heap, within a limit of pixels. */
const MAX_HEAP_MB = 512;
const IDLE_MS = 60_000;

/** The worker of a build is its own bundle; without a build, the source, which tsx reads. */
function workerOf(root: string): { filename: string; execArgv: string[] } {
  const built = join(root, 'dist/work/worker.mjs');
  if (process.env.NODE_ENV === 'production' && existsSync(built)) return { filename: built, execArgv: [] };
  return { filename: join(root, 'src/server/work/worker.ts'), execArgv: ['--import', 'tsx'] };
}

/** Tasks wait in our own queue, because in the pool's queue their deadlines would already run. */
function openPool(root: string): WorkPool {
  const threads = Math.max(2, Math.min(4, availableParallelism()));
  const pool = new Piscina({
    ...workerOf(root),
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: MAX_HEAP_MB },
  });
  const { take, clear } = turns(threads, MAX_WAITING);
  const runIn = async <Name extends TaskName>(name: Name, input: TaskInput<Name>, { deadline, begun }: Turn) => {
    const { port1: heard, port2: told } = new MessageChannel();
    heard.once('message', begun);
    try {
      const task: Task<Name> = { name, input, begun: told };
      return (await pool.run(task, { signal: deadline, transferList: [told] })) as TaskOutput<Name>;
    } finally {
      heard.close();
    }
  };
  return {
    run: <Name extends TaskName>(name: Name, input: TaskInput<Name>, deadlineMs = DEADLINE_MS) =>
      take((turn) => runIn(name, input, turn), deadlineMs),
    close: () => {
      shared.vaultDropPools?.delete(root);
      clear();
      return pool.destroy();
    },
  };
}

// Held on globalThis: the development server reloads this module after each edit, and each reload would start other
// threads.
const shared = globalThis as unknown as { vaultDropPools?: Map<string, WorkPool> };

/** This process's pool of worker threads; they start with the first task. */
export function workPool(root: string): WorkPool {
  shared.vaultDropPools ??= new Map();
  const pool = shared.vaultDropPools.get(root) ?? openPool(root);
  shared.vaultDropPools.set(root, pool);
  return pool;
}
