import { endpoint, rosterNames } from '../../../../server';

export const GET = endpoint('GET /api/courses/{id}/names', ({ as, id }) => rosterNames(as, id));
