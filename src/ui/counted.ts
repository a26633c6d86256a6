/** A number with its noun: `1 set`, `3 sets`. */
export const counted = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
