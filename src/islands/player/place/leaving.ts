import { type Phrase, phrase } from '../../../words';
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
  if (!isLast) return phrase('player.cannotComeBack');
  if (unchecked + open === 0) return phrase('player.nothingAfterAllChecked');
  const end = phrase('player.nothingAfter');
  if (count === 1) return `${phrase(unchecked === 1 ? 'player.thisUnchecked' : 'player.thisOpen')} ${end}`;
  const counted = (id: Phrase, n: number) => (n === 0 ? [] : [phrase(id, { n })]);
  return [...counted('player.unchecked', unchecked), ...counted('player.open', open), end].join(' ');
}
