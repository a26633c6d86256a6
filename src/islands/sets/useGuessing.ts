import { type Guessed, type Guessing, guessingOf, type Section, type Worth } from '../../core';
import { useProofs } from '../publish/useProofs';
import { entriesIn, type Part } from './content';

/**
 * `undefined` while it is being worked out; null: the set gives no points. `unsaid`: titles of questions without a
 * figure, counted as never guessed.
 */
export type GuessingLevel =
  | (Guessed & Pick<Guessing, 'method'> & { readonly unsaid: readonly string[] })
  | null
  | undefined;
const NEVER: Guessed = { expectedFraction: 0, chanceOfFullMarks: 0 };

/** What guessing earns on the set, worked out question by question in a worker. */
export function useGuessing(sections: readonly Part[]): GuessingLevel {
  const ids = entriesIn(sections).map(({ id }) => id);
  const proofs = useProofs(ids);
  if (ids.some((id) => !proofs.has(id))) return undefined;
  let sampled = false;
  const unsaid: string[] = [];
  const parts = sections.map(
    ({ title, draw, questions }): Section<Worth & Guessed> => ({
      title,
      draw,
      questions: questions.map(({ id, title: name, max, points }) => {
        const guessing = proofs.get(id)?.proof.guessing;
        sampled ||= guessing?.method === 'sampled';
        const { expectedFraction = null, chanceOfFullMarks = null } = guessing ?? {};
        if (expectedFraction !== null && chanceOfFullMarks !== null)
          return { max, points, expectedFraction, chanceOfFullMarks };
        unsaid.push(name);
        return { max, points, ...NEVER };
      }),
    }),
  );
  const level = guessingOf(parts);
  return level && { ...level, method: sampled ? 'sampled' : 'exact', unsaid };
}
