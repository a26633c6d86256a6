import { endpoint, togetherOf } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/together', ({ as, id, query }) => togetherOf(as, id, query));
