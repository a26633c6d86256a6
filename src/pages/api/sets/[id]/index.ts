import { endpoint, keepSet, openSet } from '../../../../server';

export const GET = endpoint('GET /api/sets/{id}', ({ as, id }) => openSet(as, id));
export const PUT = endpoint('PUT /api/sets/{id}', ({ as, body: { from, ...content }, id }) =>
  keepSet(as, id, content, from),
);
