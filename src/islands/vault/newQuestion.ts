import type { Kind } from '../../core';

/** The address of the Bench with a new question, which is stored when there is something in it. */
export function newQuestionAt(shelfId: string | null, more: { kind?: Kind; pasted?: 'yes' } = {}): string {
  const search = new URLSearchParams({ ...(shelfId ? { shelf: shelfId } : {}), ...more }).toString();
  return search === '' ? '/bench/new' : `/bench/new?${search}`;
}
