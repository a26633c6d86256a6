import { wrap } from 'comlink';
import type { Earned, Question } from '../core';
import type { StrategiesApi } from './strategies.worker';

/** What strategies earn with a question, within the time; null: nobody can go about it so. */
export async function strategiesOf(
  question: Question,
  seed: string,
  milliseconds: number,
  signal: AbortSignal,
): Promise<Earned[] | null> {
  const worker = new Worker(new URL('./strategies.worker.ts', import.meta.url), { type: 'module' });
  const ended = new Promise<never>((_, reject) =>
    signal.addEventListener('abort', () => reject(signal.reason), { once: true }),
  );
  try {
    const remote = wrap<StrategiesApi>(worker);
    return await Promise.race([remote.strategies(question, seed, milliseconds) as Promise<Earned[] | null>, ended]);
  } finally {
    worker.terminate();
  }
}
