import type { KeyEntry } from '../../document/schema';
import { SLACK } from '../../geometry/space';

/** Sums of values that a slack of 1e-9 tells apart: the name under which equal ones meet. */
export const sumName = (sum: number): string => (Math.round(sum * 1e9) / 1e9).toString();

export const sumHolds = (sum: KeyEntry['sum'], total: number): boolean => sum === null || Math.abs(total - sum.target) <= sum.tolerance + SLACK;
