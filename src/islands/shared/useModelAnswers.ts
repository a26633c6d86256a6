import { useEffect, useMemo, useState } from 'react';
import type { ModelPlacement, Question } from '../../core';
import { prover } from '../../workers';

/** How long a model answer is looked for, in milliseconds. */
const PROVE_MS = 4000;

/** By question: its model answer; null: there is none. */
export type ModelAnswers = ReadonlyMap<string, readonly ModelPlacement[] | null>;

/** The model answer of each question, looked for in a worker, one after another. */
export function useModelAnswers(questions: readonly Question[]): ModelAnswers {
  const [found, setFound] = useState<ModelAnswers>(new Map());
  const worker = useMemo(prover, []);
  useEffect(() => {
    let ends = false;
    const look = async () => {
      for (const question of questions) {
        const proof = await worker.prove(question, PROVE_MS).catch(() => null);
        if (ends) return;
        setFound((all) => new Map(all).set(question.id, proof?.modelAnswer?.placements ?? null));
      }
    };
    void look();
    return () => {
      ends = true;
      worker.stop();
    };
  }, [questions, worker]);
  return found;
}
