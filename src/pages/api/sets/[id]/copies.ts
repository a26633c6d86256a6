import { copySet, endpoint } from '../../../../server';

export const POST = endpoint('POST /api/sets/{id}/copies', ({ as, id, body }) => copySet(as, id, body.id));
