import { analysisOf, endpoint } from '../../../../server';

export const GET = endpoint('GET /api/releases/{id}/analysis', ({ as, id }) => analysisOf(as, id));
