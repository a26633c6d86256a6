import type { Place } from '../types';

export interface Leaving {
  /** The next step is the end. */
  readonly isLast: boolean;
  /** The learner cannot return to this question. */
  readonly isFinal: boolean;
  /** The questions that are not finished: of the whole set at its end, else this one. */
  readonly undone: number;
}

/** What leaving a question means. With deferred feedback no question ends before the attempt does. */
export function leavingOf(
  place: Pick<Place, 'at' | 'count' | 'goBack' | 'ended' | 'deferred'>,
  ended: boolean,
): Leaving {
  const isLast = place.at === place.count - 1;
  return { isLast, isFinal: isLast || !place.goBack, undone: undoneIn(place, ended, isLast) };
}

function undoneIn(
  { at, count, ended: others, deferred }: Pick<Place, 'at' | 'count' | 'ended' | 'deferred'>,
  ended: boolean,
  isLast: boolean,
): number {
  if (deferred) return isLast ? 0 : 1;
  if (!isLast || count === 1) return ended ? 0 : 1;
  return count - new Set([...others, ...(ended ? [at] : [])]).size;
}

/** What is said before a question is left for good. */
export function leavingInWords({ isLast, undone }: Leaving, count: number): string {
  if (!isLast) return 'You cannot come back to it.';
  const end = 'After this nothing can be moved any more';
  if (undone === 0) return `${end}, and all of it is checked.`;
  if (count === 1) return `This question is not finished. ${end}.`;
  return `${undone === 1 ? 'One question is' : `${undone} questions are`} not finished. ${end}.`;
}
