import { endpoint, resultsOf } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/results', ({ as, id }) => resultsOf(as, id));
