import { endpoint, wholeSet } from '../../../../server';

export const GET = endpoint('GET /api/sets/{id}/whole', ({ as, id }) => wholeSet(as, id));
