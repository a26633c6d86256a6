import { wrap } from 'comlink';
import type { Earned, Question, Strategy } from '../core';
import type { StrategiesApi } from './strategies.worker';

/** Each worker plays two of them, in about the same time. */
const SHARED_OUT: readonly (readonly Strategy[])[] = [
  ['guesses', 'triesAll'],
  ['knowsHalf', 'slipsOnce'],
];

/** What strategies earn with a question, within the time; null: nobody can go about it so. */
export async function strategiesOf(
  question: Question,
  seed: string,
  milliseconds: number,
  signal: AbortSignal,
): Promise<Earned[] | null> {
  const earned = await Promise.all(SHARED_OUT.map((which) => played(question, seed, milliseconds, which, signal)));
  return earned.some((some) => some === null) ? null : earned.flatMap((some) => some ?? []);
}

async function played(
  question: Question,
  seed: string,
  milliseconds: number,
  which: readonly Strategy[],
  signal: AbortSignal,
): Promise<Earned[] | null> {
  const worker = new Worker(new URL('./strategies.worker.ts', import.meta.url), { type: 'module' });
  const ended = new Promise<never>((_, reject) =>
    signal.addEventListener('abort', () => reject(signal.reason), { once: true }),
  );
  try {
    const remote = wrap<StrategiesApi>(worker);
    const earned = remote.strategies(question, seed, milliseconds, which) as Promise<Earned[] | null>;
    return await Promise.race([earned, ended]);
  } finally {
    worker.terminate();
  }
}
