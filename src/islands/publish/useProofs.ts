import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Proof, Question } from '../../core';
import { ask } from '../../ui';
import { prover } from '../../workers';

/** How long one question may be proved. */
const MAX_MS = 1500;

export interface Proved {
  readonly question: Question;
  readonly proof: Proof;
}

/**
 * Proves stored questions one after another in a worker. Null: it could not be loaded. Questions that are not proved
 * yet are missing.
 */
export function useProofs(ids: readonly string[]): ReadonlyMap<string, Proved | null> {
  const [known, setKnown] = useState<ReadonlyMap<string, Proved | null>>(new Map());
  const next = ids.find((id) => !known.has(id));
  const document = useQuery({
    queryKey: ['question', next],
    queryFn: () => ask('GET /api/questions/{id}', { id: next ?? '' }),
    enabled: next !== undefined,
    gcTime: 0,
  });
  const question = document.data?.question;
  useEffect(() => {
    if (next === undefined) return;
    const tell = (of: Proved | null) => setKnown((all) => new Map(all).set(next, of));
    if (document.isError) return tell(null);
    if (!question || question.id !== next) return;
    const { prove, stop } = prover();
    void prove(question, MAX_MS).then((proof) => proof && tell({ question, proof }));
    return stop;
  }, [next, question, document.isError]);
  return known;
}
