/** Aids that learners may be allowed: a calculator, and having texts read aloud. */
export const AIDS = ['calculator', 'readAloud'] as const;
export type Aid = (typeof AIDS)[number];
