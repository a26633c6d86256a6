import { endpoint, listLeft } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/left', ({ as, id }) => listLeft(as, id));
