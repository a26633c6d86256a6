/** A letter grade, and the share from 0 to 1 that it begins at. */
export interface LetterGrade {
  readonly letter: string;
  readonly from: number;
}

/** Shares nearer to a bound than this have reached it: they are added up in another order. */
const DUST = 1e-9;

/**
 * The letter of an overall mark (from 0 to 1): that of the highest bound which it reaches. Null: there is no mark, or it
 * reaches none.
 */
export function letterOf(scheme: readonly LetterGrade[], overall: number | null): string | null {
  if (overall === null) return null;
  const reached = scheme.filter(({ from }) => overall >= from - DUST);
  return reached.toSorted((a, b) => b.from - a.from)[0]?.letter ?? null;
}
