import { endpoint, usesOf } from '../../../../server';

export const GET = endpoint('GET /api/questions/{id}/uses', ({ as, id }) => usesOf(as, id));
