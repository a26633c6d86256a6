import type { Place } from '../types';

export interface Leaving {
  /** The next step is the end. */
  readonly isLast: boolean;
  /** The learner cannot return to this question. */
  readonly isFinal: boolean;
  /**
   * The questions that were never checked, and those that could be tried again: of the whole set at its end, else this
   * one.
   */
  readonly unchecked: number;
  readonly open: number;
}

/** What leaving a question means; `now`: how the one on the page stands. */
export function leavingOf(
  {
    at,
    count,
    goBack,
    tried,
    ended,
    deferred,
  }: Pick<Place, 'at' | 'count' | 'goBack' | 'tried' | 'ended' | 'deferred'>,
  now: { readonly tried: boolean; readonly ended: boolean },
): Leaving {
  const isLast = at === count - 1;
  const kind = { isLast, isFinal: isLast || !goBack };
  // With deferred feedback no question ends before the attempt does.
  if (deferred) return { ...kind, unchecked: isLast ? 0 : 1, open: 0 };
  const over = new Set([...ended, ...(now.ended ? [at] : [])]);
  const begun = new Set([...tried, ...over, ...(now.tried ? [at] : [])]);
  if (!isLast || count === 1) {
    const checked = now.tried || now.ended;
    return { ...kind, unchecked: checked ? 0 : 1, open: checked && !now.ended ? 1 : 0 };
  }
  return { ...kind, unchecked: count - begun.size, open: begun.size - over.size };
}

/** What is said before a question is left for good. */
export function leavingInWords({ isLast, unchecked, open }: Leaving, count: number): string {
  if (!isLast) return 'You cannot come back to it.';
  const end = 'After this nothing can be moved any more';
  if (unchecked + open === 0) return `${end}, and all of it is checked.`;
  if (count === 1)
    return `${unchecked === 1 ? 'This question is not checked yet' : 'This question could be tried again'}. ${end}.`;
  const counted = (n: number, one: string, many: string) =>
    n === 0 ? [] : [n === 1 ? `One question ${one}` : `${n} questions ${many}`];
  const said = [
    ...counted(unchecked, 'is not checked yet', 'are not checked yet'),
    ...counted(open, 'could be tried again', 'could be tried again'),
  ];
  return `${said.join('. ')}. ${end}.`;
}
