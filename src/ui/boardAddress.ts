import type { BoardSource } from '../contract';

/** Where a question, a set, a release or a unit is opened on the board. */
export const boardAddress = (from: BoardSource, id: string): string => `/board?from=${from}&id=${id}`;
