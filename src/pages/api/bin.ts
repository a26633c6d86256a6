import { emptyBin, endpoint } from '../../server';

export const DELETE = endpoint('teacher', { does: 'Empties the bin: what lies in it goes for good.' }, ({ as }) => emptyBin(as));
