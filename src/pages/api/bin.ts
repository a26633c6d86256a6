import { emptyBin, endpoint } from '../../server';

export const DELETE = endpoint('DELETE /api/bin', ({ as }) => emptyBin(as));
