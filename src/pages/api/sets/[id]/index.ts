import { endpoint, openSet, saveSet, setSetDeleted } from '../../../../server';

export const GET = endpoint('GET /api/sets/{id}', ({ as, id }) => openSet(as, id));
export const PUT = endpoint('PUT /api/sets/{id}', ({ as, body: { from, ...content }, id }) =>
  saveSet(as, id, content, from),
);
export const DELETE = endpoint('DELETE /api/sets/{id}', ({ as, id }) => setSetDeleted(as, id, true));
