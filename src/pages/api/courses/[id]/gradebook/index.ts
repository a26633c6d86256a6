import { endpoint, openGradebook } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/gradebook', ({ as, id, query }) => openGradebook(as, id, query));
