import { endpoint, listParts } from '../../../../server';

export const GET = endpoint('teacher', { does: 'The units, weight categories and groups of a course.' }, ({ as, id }) => listParts(as, id));
