import { emptyBin, endpoint } from '../../server';

/** What lies in the bin goes for good. */
export const DELETE = endpoint('teacher', null, ({ as }) => emptyBin(as));
