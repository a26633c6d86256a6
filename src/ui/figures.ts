/** A mark as it is shown: two decimals at most. What it counts is kept as it is. */
export const shownMark = (mark: number): number => Math.round(mark * 100) / 100;
