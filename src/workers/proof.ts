import { type Remote, wrap } from 'comlink';
import type { Proof, Question } from '../core';
import type { ProofApi } from './proof.worker';

export interface Prover {
  /** Proves a question; null when a newer one took its place meanwhile. */
  prove(question: Question, milliseconds: number): Promise<Proof | null>;
  stop(): void;
}

/**
 * One worker at a time. When a newer question comes, the running proof is useless: its worker is ended and another
 * starts.
 */
export function prover(): Prover {
  let worker: Worker | null = null;
  let remote: Remote<ProofApi> | null = null;
  let busy: (() => void) | null = null;

  const stop = () => {
    busy?.();
    busy = null;
    worker?.terminate();
    worker = null;
    remote = null;
  };
  return {
    stop,
    prove: async (question, milliseconds) => {
      if (busy) stop();
      if (!remote) {
        worker = new Worker(new URL('./proof.worker.ts', import.meta.url), { type: 'module' });
        remote = wrap<ProofApi>(worker);
      }
      const overtaken = new Promise<null>((resolve) => {
        busy = () => resolve(null);
      });
      const mine = busy;
      const proof = await Promise.race([remote.prove(question, milliseconds) as Promise<Proof>, overtaken]);
      if (busy === mine) busy = null;
      return proof;
    },
  };
}
