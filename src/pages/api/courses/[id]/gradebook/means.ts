import { endpoint, gradeMeans } from '../../../../../server';

export const GET = endpoint('GET /api/courses/{id}/gradebook/means', ({ as, id, query }) => gradeMeans(as, id, query));
