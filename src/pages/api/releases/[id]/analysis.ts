import { analysisOf, endpoint } from '../../../../server';

export const GET = endpoint('teacher', { does: 'How a release was answered: figures, who put what where, drops, who tried everything.' }, ({ as, id }) => analysisOf(as, id));
