import { endpoint, listParts } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/parts', ({ as, id }) => listParts(as, id));
