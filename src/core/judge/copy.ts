/**
 * One copy of an item, as a number: index of the item × 10,000 + copy. Endless copies run from 0 to 9,999. One index
 * after the last item stands the reserved item {@link UNREAD}: a typed text that is none of the texts accepted.
 */
export type Copy = number & { readonly copy: unique symbol };
export const COPIES = 10_000;
export const copyOf = (item: number, copy: number) => (item * COPIES + copy) as Copy;
export const itemOf = (copy: Copy) => Math.floor(copy / COPIES);
export const UNREAD = '?';
export const numberOf = (copy: Copy) => copy % COPIES;
