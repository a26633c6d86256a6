/** A mark for display: at most two decimals. Stored marks are not rounded. */
export const shownMark = (mark: number): number => Math.round(mark * 100) / 100;
