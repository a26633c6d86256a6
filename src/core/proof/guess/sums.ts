/** Sums of values that a slack of 1e-9 tells apart: the name under which equal ones meet. */
export const sumName = (sum: number): string => (Math.round(sum * 1e9) / 1e9).toString();
