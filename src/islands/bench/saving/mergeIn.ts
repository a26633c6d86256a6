import { merge, type Question } from '../../../core';
import { parseQuestion } from '../../../core/document';

import { api } from '../../../ui/api';

/** What another window or a colleague has made meanwhile, with what was made here. */
export interface MergedIn {
  readonly theirs: Question;
  readonly merged: Question;
  readonly revision: number;
}

/**
 * Joins what was made here on a revision with what has been made elsewhere since; null: both changed the same thing, or
 * what comes of it is no valid question. Entries of the key are told apart by their zones.
 */
export async function mergedIn(mine: Question, from: number): Promise<MergedIn | null> {
  const [base, there] = await Promise.all([
    api('GET /api/questions/{id}/versions/{revision}', { id: mine.id, revision: String(from) }),
    api('GET /api/questions/{id}', { id: mine.id }),
  ]);
  if (!base.ok || !there.ok) return null;
  const theirs = there.value.question;
  const { value, collisions } = merge(byZone(base.value.question), byZone(mine), byZone(theirs));
  if (collisions.length > 0) return null;
  const parsed = parseQuestion({ ...value, key: value.key.map(({ id: _, ...entry }) => entry) });
  return parsed.ok ? { theirs, merged: parsed.question, revision: there.value.revision } : null;
}

const byZone = (question: Question) => ({
  ...question,
  key: question.key.map((entry) => ({ ...entry, id: entry.zone as string })),
});
