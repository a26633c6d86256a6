import { endpoint, resultsPage } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/results', ({ as, id, query }) => resultsPage(as, id, query));
