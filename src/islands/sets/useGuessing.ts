import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { type Guessed, type Guessing, guessingOf, type Question, type Section, type Worth } from '../../core';
import { ask } from '../../ui';
import { prover } from '../../workers';
import { entriesIn, type Part } from './content';

/** How long one question may be proved. */
const MOST_MS = 1500;

interface Found extends Guessed {
  readonly method: Guessing['method'];
}
/** `undefined` while it is being worked out; null: the set gives no points. `unsaid`: the titles of questions of which it cannot be said, taken as never guessed. */
export type GuessingLevel = (Found & { readonly unsaid: readonly string[] }) | null | undefined;
const NEVER: Guessed = { expectedFraction: 0, chanceOfFullMarks: 0 };

/** What guessing earns on the set, worked out question by question in a worker. */
export function useGuessing(sections: readonly Part[]): GuessingLevel {
  const [known, setKnown] = useState<ReadonlyMap<string, Found | null>>(new Map());
  const next = entriesIn(sections).find(({ id }) => !known.has(id))?.id;
  const document = useQuery({
    queryKey: ['question', next],
    queryFn: () => ask<{ question: Question }>('GET', `/api/questions/${next}`),
    enabled: next !== undefined,
    staleTime: 60_000,
    gcTime: 0,
  });
  const question = document.data?.question;
  useEffect(() => {
    if (next === undefined) return;
    const tell = (of: Found | null) => setKnown((all) => new Map(all).set(next, of));
    if (document.isError) return tell(null);
    if (!question || question.id !== next) return;
    const { prove, stop } = prover();
    void prove(question, MOST_MS).then((proof) => {
      if (!proof) return;
      const { expectedFraction, chanceOfFullMarks, method } = proof.guessing;
      tell(expectedFraction === null || chanceOfFullMarks === null ? null : { expectedFraction, chanceOfFullMarks, method });
    });
    return stop;
  }, [next, question, document.isError]);

  if (next !== undefined) return undefined;
  let sampled = false;
  const unsaid: string[] = [];
  const parts: Section<Worth & Guessed>[] = [];
  for (const { title, draw, questions } of sections) {
    const found = questions.map((one) => ({ ...one, found: known.get(one.id) ?? null }));
    sampled ||= found.some((one) => one.found?.method === 'sampled');
    unsaid.push(...found.flatMap((one) => (one.found ? [] : [one.title])));
    parts.push({ title, draw, questions: found.map((one) => ({ max: one.max, points: one.points, ...(one.found ?? NEVER) })) });
  }
  const level = guessingOf(parts);
  return level && { ...level, method: sampled ? 'sampled' : 'exact', unsaid };
}
