import { endpoint, reportsOf } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/reports', ({ as, id, query }) => reportsOf(as, id, query));
