import { useEffect } from 'react';
import { prover } from '../../../workers';
import type { BenchStore } from '../store';

/** A pause in the author's edits, and how long a proof may take. */
const PAUSE_MS = 250;
const MAX_MS = 4000;

/** Proves the question in a worker, again after each edit. */
export function useProving(store: BenchStore): void {
  useEffect(() => {
    const { prove, stop } = prover();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const begin = async () => {
      const { question } = store.getState();
      const proof = await prove(question, MAX_MS);
      if (proof && store.getState().question === question) store.setState({ proved: { of: question, proof } });
    };
    const later = () => {
      clearTimeout(timer);
      timer = setTimeout(() => void begin(), PAUSE_MS);
    };
    later();
    const unsubscribe = store.subscribe(({ question }, before) => question !== before.question && later());
    return () => {
      unsubscribe();
      clearTimeout(timer);
      stop();
    };
  }, [store]);
}
