import { endpoint, goesOutside } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/outside', ({ as, id }) => goesOutside(as, id));
